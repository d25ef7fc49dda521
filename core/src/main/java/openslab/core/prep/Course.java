package openslab.core.prep;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import openslab.core.prep.patch.Ladder;
import openslab.core.prep.wash.Chemical;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;

/**
 * How a plan went: its steps in order, and after each gate that failed the steps that it makes anybody do again. Nothing after
 * an open gate may start.
 *
 * @param turns oldest first, what is still to be done at the end
 * @param misfits what was logged and cannot have been so
 */
public record Course(List<Turn> turns, List<Misfit> misfits) {
    /** How far a turn is. */
    public enum State {
        /** A gate before it is open. */
        WAITING,
        OPEN,
        /** Its clock runs, or has run out. */
        RUNNING,
        DONE,
        /** Its gate failed; it is done again further down. */
        FAILED
    }

    /**
     * A step, done once.
     *
     * @param round 1 the first time
     * @param started when its clock began; empty where nothing runs
     * @param ready when it runs out
     * @param tested what its gate showed
     * @param rungs every test of a ladder, oldest first
     */
    public record Turn(
            Step step,
            int round,
            State state,
            Optional<Instant> started,
            Optional<Instant> ready,
            Optional<Deed> done,
            Optional<Deed> tested,
            List<Deed> rungs) {
        public boolean complete() {
            return state == State.DONE || state == State.FAILED;
        }
    }

    /** @param field of the entry that is at fault; {@code accepted} what it may be */
    public record Misfit(Deed deed, String field, String given, String accepted) {}

    /** Hours are told to a quarter. */
    private static final double ROUNDING_H = 0.25;

    /** A turn while the log is read. */
    private static final class Slot {
        private final Step step;
        private final int round;
        private boolean complete;
        private boolean failed;
        private Deed begun;
        private Deed done;
        private Deed tested;
        private final List<Deed> rungs = new ArrayList<>();

        private Slot(Step step, int round) {
            this.step = step;
            this.round = round;
        }

        private boolean shut() {
            return step.gate().isPresent() && !complete;
        }

        private Optional<Instant> last() {
            return Stream.of(begun, done, tested)
                    .filter(d -> d != null)
                    .map(Deed::at)
                    .max(Comparator.naturalOrder());
        }
    }

    /** @param deeds in any order; of two at the same minute the one that was logged later counts as later */
    public static Course of(List<Step> steps, List<Deed> deeds) {
        var log = new Log(steps);
        deeds.stream().sorted(Comparator.comparing(Deed::at)).forEach(log::take);
        return new Course(log.turns(), List.copyOf(log.misfits));
    }

    /** The turns that nobody has finished, the next first. */
    public List<Turn> open() {
        return turns.stream().filter(t -> !t.complete()).toList();
    }

    /** Whether a gate failed and what it made anybody repeat is not through yet. */
    public boolean isRepeating() {
        return open().stream().findFirst().map(t -> t.round() > 1).orElse(false);
    }

    /** Reading a log into turns. */
    private static final class Log {
        private final List<Step> steps;
        private final List<Slot> slots = new ArrayList<>();
        private final List<Misfit> misfits = new ArrayList<>();

        private Log(List<Step> steps) {
            this.steps = steps;
            steps.forEach(s -> slots.add(new Slot(s, 1)));
        }

        private void take(Deed deed) {
            if (deed.kind() == Deed.Kind.TESTED) {
                tested(deed);
                return;
            }
            int at = next(deed.subject(), false);
            if (at < 0 && deed.kind() == Deed.Kind.DONE) {
                // the second day of it, say
                at = lastComplete(s -> s.step.id().equals(deed.subject()));
            }
            if (at < 0) {
                misfits.add(new Misfit(deed, "subject", deed.subject(), mayStart()));
                return;
            }
            Slot slot = slots.get(at);
            if (deed.kind() == Deed.Kind.BEGUN) {
                slot.begun = deed;
            } else {
                slot.done = deed;
                slot.complete |= slot.step.gate().isEmpty();
            }
        }

        /** The first unfinished turn of a step, or with a gate, that no gate before it holds back; −1 where there is none. */
        private int next(String subject, boolean gate) {
            for (int i = 0; i < slots.size(); i++) {
                Slot slot = slots.get(i);
                boolean meant = gate ? isGate(slot, subject) : slot.step.id().equals(subject);
                if (meant && !slot.complete) {
                    return i;
                }
                if (slot.shut()) {
                    return -1;
                }
            }
            return -1;
        }

        private void tested(Deed deed) {
            int at = next(deed.subject(), true);
            if (at < 0) {
                // it had passed and is tested once more
                at = lastComplete(s -> isGate(s, deed.subject()));
            }
            if (at < 0) {
                misfits.add(new Misfit(deed, "subject", deed.subject(), mayStart()));
                return;
            }
            Slot slot = slots.get(at);
            Gate gate = slot.step.gate().orElseThrow();
            Optional<Misfit> misfit = misfit(deed, gate, at);
            if (misfit.isPresent()) {
                misfits.add(misfit.get());
                return;
            }
            boolean passes = gate.passes().test(deed.values());
            if (gate.ladder()) {
                slot.rungs.add(deed);
                slot.tested = deed;
                slot.complete |= passes;
            } else {
                slot.tested = deed;
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

        private static boolean isGate(Slot slot, String gate) {
            return slot.step.gate().map(g -> g.id().equals(gate)).orElse(false);
        }

        private int lastComplete(Predicate<Slot> meant) {
            for (int i = slots.size() - 1; i >= 0; i--) {
                Slot slot = slots.get(i);
                if (slot.complete && !slot.failed && meant.test(slot)) {
                    return i;
                }
            }
            return -1;
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

        private Optional<Misfit> misfit(Deed deed, Gate gate, int at) {
            if (gate.ladder()) {
                return offLabel(deed, slots.get(at).step.dose().orElseThrow().any());
            }
            Value dried = deed.values().get(Gate.DRIED);
            Optional<Instant> wet = wetAt(at);
            if (dried == null || wet.isEmpty()) {
                return Optional.empty();
            }
            double most = Duration.between(wet.get(), deed.at()).toMinutes() / 60.0;
            return Unit.HOUR.fromBase(dried.base()) <= most + ROUNDING_H
                    ? Optional.empty()
                    : Optional.of(new Misfit(
                            deed,
                            "values." + Gate.DRIED,
                            dried.typed(),
                            "at most " + Show.number(Math.max(0, most), 1)
                                    + " h: the log has it wet that long before; correct the time of one of the two"));
        }

        /** A chemical that does not do this, or a strength that its label does not know. */
        private static Optional<Misfit> offLabel(Deed deed, List<Chemical> any) {
            Value named = deed.values().get("chemical");
            Value water = deed.values().get("water");
            Optional<Chemical> tried =
                    any.stream().filter(c -> c.id().equals(named.typed())).findFirst();
            if (tried.isEmpty()) {
                String known = String.join(", ", any.stream().map(Chemical::id).toList());
                return Optional.of(new Misfit(deed, "values.chemical", named.typed(), "one of " + known));
            }
            Chemical c = tried.get();
            return new Ladder.Square(c, water.base(), 0, Ladder.Result.UNTRIED).isOnLabel()
                    ? Optional.empty()
                    : Optional.of(new Misfit(
                            deed,
                            "values.water",
                            water.typed(),
                            "parts of water from " + c.strongest().words() + " to "
                                    + c.weakest().words()));
        }

        /** When the floor was last wet before this turn; empty where nothing says so. */
        private Optional<Instant> wetAt(int at) {
            return slots.subList(0, at).stream()
                    .filter(s -> s.step.work().isWet())
                    .flatMap(s -> s.last().stream())
                    .max(Comparator.naturalOrder());
        }

        private String mayStart() {
            for (Slot slot : slots) {
                if (slot.shut()) {
                    return "nothing after \"" + slot.step.gate().orElseThrow().title() + "\", which has to pass first";
                }
            }
            return steps.isEmpty()
                    ? "nothing: no method fits this floor, so there is no step to do"
                    : "a step of this preparation";
        }

        private List<Turn> turns() {
            var turns = new ArrayList<Turn>();
            boolean held = false;
            for (int i = 0; i < slots.size(); i++) {
                Slot slot = slots.get(i);
                Optional<Instant> started = held ? Optional.empty() : started(slot, i);
                State state = slot.failed
                        ? State.FAILED
                        : slot.complete
                                ? State.DONE
                                : held ? State.WAITING : started.isPresent() ? State.RUNNING : State.OPEN;
                turns.add(new Turn(
                        slot.step,
                        slot.round,
                        state,
                        started,
                        started.map(s -> s.plusSeconds(Math.round(slot.step.waitMin() * 60))),
                        Optional.ofNullable(slot.done),
                        Optional.ofNullable(slot.tested),
                        List.copyOf(slot.rungs)));
                held |= slot.shut();
            }
            return List.copyOf(turns);
        }

        private Optional<Instant> started(Slot slot, int at) {
            if (slot.step.waitMin() == 0) {
                return Optional.empty();
            }
            Optional<Instant> begun = Optional.ofNullable(slot.begun).map(Deed::at);
            return slot.step.onlyWaits() ? begun.or(() -> wetAt(at)) : begun;
        }
    }
}
