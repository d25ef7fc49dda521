package openslab.core.course;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import openslab.core.air.SlabHistory;
import openslab.core.course.work.Work;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.InvalidInput.Fault;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/**
 * How a list of steps went: in order, and after each gate that failed the steps that it makes anybody do again. Nothing after an
 * open gate may start; what was done all the same is kept, and told as a misfit.
 *
 * @param turns oldest first, what is still to be done at the end
 * @param misfits what was logged and should not have been so
 */
public record Course(List<Turn> turns, List<Misfit> misfits) {
    /**
     * A step, done once.
     *
     * @param round 1 the first time
     * @param doneSoFar of it, 0 to 1
     * @param all how much of it there is, m² or m
     * @param timer empty where nothing runs
     * @param done who did it, or the last part of it
     * @param tested what its gate showed
     * @param rungs every test of a ladder, oldest first
     */
    public record Turn(
            Step step,
            int round,
            Progress progress,
            double doneSoFar,
            double all,
            Optional<Wait.Timer> timer,
            Optional<Deed> done,
            Optional<Deed> tested,
            List<Deed> rungs) {
        public boolean isThrough() {
            return progress.isThrough();
        }

        /** What has to pass where it has a gate, else what is done. */
        public String title() {
            return step.gate().map(Gate::title).orElse(step.title());
        }

        /** What is still to be done, where a part of it is; empty where all of it is, or nothing. */
        public String left(UnitSystem system) {
            if (doneSoFar <= 0 || doneSoFar >= 1) {
                return "";
            }
            Dimension by = step.work().per() == Work.Per.EDGE ? Dimension.LENGTH : Dimension.AREA;
            return Show.in(system, by, (1 - doneSoFar) * all);
        }
    }

    /**
     * A deed that should not have been so.
     *
     * @param fault the field of the entry that is at fault, and what it may be
     */
    public record Misfit(Deed deed, Kind kind, Fault fault) {
        /** What is wrong with it. */
        public enum Kind {
            /** No step and no gate of this course. */
            ELSEWHERE,
            /** Before a gate was through. Work counts all the same; a test of what was not ready proves nothing. */
            EARLY,
            /** The log says otherwise, or the label does: it proves nothing. */
            DOUBTFUL
        }
    }

    /** Hours are told to a quarter. */
    private static final double ROUNDING_H = 0.25;

    /**
     * @param deeds in any order; of two at the same minute the one that was logged later counts as later
     * @param slab what a wait by temperature is reckoned with
     */
    public static Course of(List<Step> steps, List<Deed> deeds, Extent extent, SlabHistory slab) {
        var log = new Log(steps, extent);
        deeds.stream().sorted(Comparator.comparing(Deed::at)).forEach(log::take);
        return new Course(log.turns(slab), List.copyOf(log.misfits));
    }

    /** The turns that nobody has finished, the next first. */
    public List<Turn> open() {
        return turns.stream().filter(t -> !t.isThrough()).toList();
    }

    /** Whether a gate failed and what it made anybody repeat is not through yet. */
    public boolean isRepeating() {
        return open().stream().findFirst().map(t -> t.round() > 1).orElse(false);
    }

    /** A turn while the log is read. */
    private static final class Slot {
        private final Step step;
        private final int round;
        private boolean complete;
        private boolean failed;
        /** Its gate passed for the part that was done. */
        private boolean partly;

        private boolean whole;
        private double amount;
        private Deed begun;
        private Deed done;
        private Deed tested;
        private final List<Deed> rungs = new ArrayList<>();

        private Slot(Step step, int round) {
            this.step = step;
            this.round = round;
        }

        private boolean isGate(String id) {
            return step.gate().map(g -> g.id().equals(id)).orElse(false);
        }

        /** Whether nothing after it may start: a gate that is open, or a coat of which nothing is on. */
        private boolean shuts() {
            return !complete && (step.gate().isPresent() && !partly || step.proves() && amount == 0);
        }

        /** All of it where nobody says how much. */
        private void did(Deed deed) {
            done = deed;
            Value part = deed.values().get(Work.AMOUNT);
            whole |= part == null;
            amount += part == null ? 0 : part.base();
        }

        private double share(Extent extent) {
            return whole || complete ? 1 : amount > 0 ? extent.share(step, amount) : 0;
        }

        /** Whether somebody did some of it, and said so. */
        private boolean isPart(Extent extent) {
            return amount > 0 && share(extent) < 1;
        }

        private Optional<Instant> last() {
            return Stream.of(begun, done, tested)
                    .filter(d -> d != null)
                    .map(Deed::at)
                    .max(Comparator.naturalOrder());
        }
    }

    /** Reading a log into turns. */
    private static final class Log {
        private final List<Step> steps;
        private final Extent extent;
        private final List<Slot> slots = new ArrayList<>();
        private final List<Misfit> misfits = new ArrayList<>();

        private Log(List<Step> steps, Extent extent) {
            this.steps = steps;
            this.extent = extent;
            steps.forEach(s -> slots.add(new Slot(s, 1)));
        }

        private void take(Deed deed) {
            boolean test = deed.kind() == Deed.Kind.TESTED;
            Predicate<Slot> meant =
                    test ? s -> s.isGate(deed.subject()) : s -> s.step.id().equals(deed.subject());
            int at = next(meant);
            if (at < 0) {
                // the second day of it, or a test of what had passed
                at = last(meant);
            }
            if (at >= 0) {
                took(deed, test, at);
                return;
            }
            int early = first(meant);
            var kind = early < 0 ? Misfit.Kind.ELSEWHERE : Misfit.Kind.EARLY;
            misfits.add(new Misfit(deed, kind, new Fault("subject", deed.subject(), mayStart())));
            if (early >= 0 && !test) {
                worked(deed, slots.get(early));
            }
        }

        private void took(Deed deed, boolean test, int at) {
            if (test) {
                tested(deed, at);
            } else {
                worked(deed, slots.get(at));
            }
        }

        private void worked(Deed deed, Slot slot) {
            if (deed.kind() == Deed.Kind.BEGUN) {
                slot.begun = deed;
            } else {
                slot.did(deed);
                slot.complete |= slot.step.gate().isEmpty() && slot.share(extent) == 1;
                if (slot.complete && slot.step.proves()) {
                    proved(slot);
                }
            }
        }

        /** What came before it and asks for no gate is done too. */
        private void proved(Slot slot) {
            slots.subList(0, slots.indexOf(slot)).stream()
                    .filter(s -> s.step.gate().isEmpty())
                    .forEach(s -> s.complete = true);
        }

        /** The first unfinished turn that is meant and that no gate before it holds back; −1 where there is none. */
        private int next(Predicate<Slot> meant) {
            for (int i = 0; i < slots.size(); i++) {
                Slot slot = slots.get(i);
                if (meant.test(slot) && !slot.complete) {
                    return i;
                }
                if (slot.shuts()) {
                    return -1;
                }
            }
            return -1;
        }

        /** The last turn that is meant and well through; −1 where there is none. */
        private int last(Predicate<Slot> meant) {
            for (int i = slots.size() - 1; i >= 0; i--) {
                Slot slot = slots.get(i);
                if (slot.complete && !slot.failed && meant.test(slot)) {
                    return i;
                }
            }
            return -1;
        }

        /** The first unfinished turn that is meant, held back or not; −1 where there is none. */
        private int first(Predicate<Slot> meant) {
            for (int i = 0; i < slots.size(); i++) {
                if (meant.test(slots.get(i)) && !slots.get(i).complete) {
                    return i;
                }
            }
            return -1;
        }

        private void tested(Deed deed, int at) {
            Slot slot = slots.get(at);
            Gate gate = slot.step.gate().orElseThrow();
            Optional<Fault> doubt = doubt(deed, gate, at);
            if (doubt.isPresent()) {
                misfits.add(new Misfit(deed, Misfit.Kind.DOUBTFUL, doubt.get()));
                return;
            }
            boolean passes = gate.passes().test(deed.values());
            slot.tested = deed;
            if (gate.ladder()) {
                slot.rungs.add(deed);
                slot.complete |= passes;
            } else if (passes && isInPart(at)) {
                slot.partly = true;
                slot.begun = null;
            } else {
                slot.complete = true;
                slot.failed = !passes;
                if (!passes) {
                    again(at);
                }
            }
            if (slot.complete) {
                slots.subList(0, at).forEach(s -> s.complete = true);
            }
        }

        /** Whether somebody said of a step up to this gate that only a part of it is done. */
        private boolean isInPart(int at) {
            return slots.subList(0, at + 1).stream().anyMatch(s -> !s.complete && s.isPart(extent));
        }

        /** What the failed turn makes anybody do again, itself, and whatever was done after it. */
        private void again(int at) {
            Slot failed = slots.get(at);
            int last = at;
            for (int i = at + 1; i < slots.size(); i++) {
                if (slots.get(i).complete || slots.get(i).last().isPresent()) {
                    last = i;
                }
            }
            var repeat = new ArrayList<Slot>();
            for (String id : failed.step.again()) {
                steps.stream().filter(s -> s.id().equals(id)).forEach(s -> repeat.add(new Slot(s, failed.round + 1)));
            }
            repeat.add(new Slot(failed.step, failed.round + 1));
            for (int i = at + 1; i <= last; i++) {
                Slot after = slots.get(i);
                after.complete = true;
                if (!after.failed) {
                    repeat.add(new Slot(after.step, after.round + 1));
                }
            }
            slots.addAll(last + 1, repeat);
        }

        private Optional<Fault> doubt(Deed deed, Gate gate, int at) {
            if (gate.ladder()) {
                return slots.get(at).step.mix().flatMap(m -> m.misfit(deed.values()));
            }
            Value dried = deed.values().get(Gate.DRIED);
            Optional<Instant> wet = wetAt(at);
            if (dried == null || wet.isEmpty()) {
                return Optional.empty();
            }
            double most = Duration.between(wet.get(), deed.at()).toMinutes() / 60.0;
            return Unit.HOUR.fromBase(dried.base()) <= most + ROUNDING_H
                    ? Optional.empty()
                    : Optional.of(new Fault(
                            "values." + Gate.DRIED,
                            dried.typed(),
                            "at most " + Show.number(Math.max(0, most), 1)
                                    + " h: the log has it wet that long before; correct the time of one of the two"));
        }

        /** When the floor was last wet before this turn; empty where nothing says so. */
        private Optional<Instant> wetAt(int at) {
            return slots.subList(0, at).stream()
                    .filter(s -> s.step.work().isWet() || s.step.proves())
                    .flatMap(s -> s.last().stream())
                    .max(Comparator.naturalOrder());
        }

        /** When the step before it was done. */
        private Optional<Instant> justBefore(int at) {
            return at > 0 && slots.get(at - 1).complete ? slots.get(at - 1).last() : Optional.empty();
        }

        private String mayStart() {
            for (Slot slot : slots) {
                if (slot.shuts()) {
                    return slot.step
                            .gate()
                            .map(g -> "nothing after \"" + g.title() + "\", which has to pass first")
                            .orElseGet(() -> "nothing after \"" + slot.step.title() + "\", which has to be done first");
                }
            }
            return steps.isEmpty() ? "nothing: there is no step to do here" : "a step that is to be done here";
        }

        private List<Turn> turns(SlabHistory slab) {
            var turns = new ArrayList<Turn>();
            boolean held = false;
            for (int i = 0; i < slots.size(); i++) {
                Slot slot = slots.get(i);
                Optional<Wait.Timer> timer = timer(slot, i, held, slab);
                turns.add(new Turn(
                        slot.step,
                        slot.round,
                        progress(slot, held, timer.isPresent()),
                        slot.share(extent),
                        slot.step.amount(extent),
                        timer,
                        Optional.ofNullable(slot.done),
                        Optional.ofNullable(slot.tested),
                        List.copyOf(slot.rungs)));
                held |= slot.shuts();
            }
            return List.copyOf(turns);
        }

        private Progress progress(Slot slot, boolean held, boolean runs) {
            if (slot.complete) {
                return slot.failed ? Progress.FAILED : Progress.DONE;
            }
            if (held) {
                return Progress.WAITING;
            }
            if (runs && !slot.partly) {
                return Progress.RUNNING;
            }
            return slot.partly || slot.isPart(extent) ? Progress.PARTLY : Progress.OPEN;
        }

        /** What only waits begins by itself once nothing holds it back; any other clock when somebody starts it. */
        private Optional<Wait.Timer> timer(Slot slot, int at, boolean held, SlabHistory slab) {
            if (!slot.step.waits().isAny()) {
                return Optional.empty();
            }
            Optional<Instant> begun = Optional.ofNullable(slot.begun).map(Deed::at);
            Optional<Instant> wet =
                    slot.step.onlyWaits() && !held ? wetAt(at).or(() -> justBefore(at)) : Optional.empty();
            return begun.or(() -> wet).map(from -> slot.step.waits().from(from, slab));
        }
    }
}
