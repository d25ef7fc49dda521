package openslab.core.survey;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.survey.instrument.InstrumentKind;
import openslab.core.survey.method.TestMethods;

/** A way of testing a floor. A new one is one new class in {@code survey.method} and one line in {@link TestMethods}. */
public interface TestMethod {
    /**
     * What a method is.
     *
     * @param id its word in the store and the API
     * @param how it is done, in one or two sentences, for the person about to do it
     */
    record About(String id, String title, TestGroup group, String how, Source source) {}

    About about();

    default String id() {
        return about().id();
    }

    List<Field> fields();

    /** Whether it tells anything of a floor that is made of this. */
    default boolean isFor(Substrate substrate) {
        return true;
    }

    TestCount count();

    /** Whether the zone is not known well enough without it: because a sheet asks, or because something else was found. */
    default boolean asked(Readings read, Site site) {
        return true;
    }

    /**
     * Whether it tells anything of a floor whose film stays. Moisture, profile and what water does are asked of a bare floor; on a
     * film they say something of the film, and nothing is held against it.
     */
    default boolean tellsOfFilm() {
        return switch (about().group()) {
            case WALK, USE, AIR -> true;
            case MOISTURE, FILM, SOUND -> false;
        };
    }

    /** Whether what was found long ago still holds when the floor has been coated since. */
    default boolean lasts() {
        return false;
    }

    /**
     * What it means that it was asked for and not done often enough.
     *
     * @param draft with what was taken and what is needed
     * @param brief "no walk-over", "calcium chloride 2 of 3"
     */
    default Finding missing(Finding.Draft draft, String brief, int more) {
        return draft.hold(
                brief,
                "Not tested enough: what was not measured is not known, and a floor fails where nobody looked.",
                more == 1 ? "Take one more." : "Take " + more + " more, spread over the floor.");
    }

    /** What its readings mean side by side, beyond what each of them means. */
    default List<Finding> compare(Readings read, Site site) {
        return List.of();
    }

    /** True where one reading speaks for the whole zone, so that nobody is asked for a place. */
    default boolean wholeFloor() {
        return false;
    }

    /** What it is read with, where that has papers. */
    default Optional<InstrumentKind> instrument() {
        return Optional.empty();
    }

    /** How long it stands on the floor before it is read; empty where it is read at once. */
    default Optional<SetOut> setOut() {
        return Optional.empty();
    }

    /** How its readings are put on a map; empty where they are no figure, or one for the whole zone. */
    default Optional<Mapped> mapped() {
        return Optional.empty();
    }

    /** Whether the reading was taken as the method asks, and so counts. */
    default boolean valid(Reading reading, Site site) {
        return true;
    }

    /** What {@code reading} means; empty where nothing is asked that it could be held against. */
    List<Finding> judge(Reading reading, Site site);

    /** The reading in a few words: "2.90 lb". */
    String found(Reading reading, Site site);
}
