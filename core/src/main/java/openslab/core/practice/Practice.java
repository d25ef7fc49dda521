package openslab.core.practice;

import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Source;

/**
 * A question on which practitioners do not agree.
 *
 * @param id its word in the store, in files and in the API
 * @param usual the school that is followed where nobody chose one
 * @param why that one
 * @param schools every one of them, {@code usual} included
 */
public record Practice(String id, String question, School usual, String why, Source source, List<School> schools) {
    public Practice {
        schools = List.copyOf(schools);
    }

    static Practice of(String id, String question, School usual, String why, School[] schools) {
        return new Practice(id, question, usual, why, Source.commonPractice("practitioners differ"), List.of(schools));
    }

    /** Empty where it has no school of this name. */
    public Optional<School> school(String name) {
        return schools.stream().filter(s -> s.name().equals(name)).findFirst();
    }
}
