package openslab.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.care.Reseal;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.BuildUp;

/**
 * What whoever owns a floor is left with: what lies on it, when it may be used, how it is looked after and what must never come
 * near it.
 *
 * @param laid from the floor upward, of every cycle that is still on it
 * @param finished whether the last coat that was chosen is on
 * @param ladder from when on it may be used for what; of the last coat
 * @param care a sentence each
 * @param never what harms it, a sentence each
 */
public record Handover(
        List<Laid> laid,
        boolean finished,
        List<Free> ladder,
        Optional<Reseal> due,
        List<String> care,
        List<String> never) {
    /**
     * A layer that is on.
     *
     * @param colour empty where nobody said; {@code lots} of its batches, each once
     * @param dry its film as the sheet has it; empty where it is none
     */
    public record Laid(String title, String product, String colour, List<String> lots, Instant on, String dry) {}

    /** From {@code at} on it bears what {@code label} says. */
    public record Free(String label, Instant at) {}

    public Handover {
        laid = List.copyOf(laid);
        ladder = List.copyOf(ladder);
    }

    public static Handover of(ZoneFacts zone, ZoneReport report, UnitSystem system) {
        ServiceReport service = report.service();
        List<Laid> laid = zone.lies().stream()
                .map(l -> new Laid(
                        l.layer().title(),
                        l.layer().laid().name(),
                        zone.colour(l),
                        lots(zone, l),
                        l.on(),
                        dry(l, system)))
                .toList();
        List<Free> ladder = service.ladder().stream()
                .filter(c -> c.at().isPresent())
                .map(c -> new Free(c.label(), c.at().get()))
                .sorted(Comparator.comparing(Free::at))
                .toList();
        var care = new ArrayList<String>();
        var never = new ArrayList<String>();
        sentences(service.care()).forEach(s -> (forbids(s) ? never : care).add(s));
        boolean finished = service.started() == LayerReport.Started.COATED;
        return new Handover(
                laid,
                finished,
                finished ? ladder : List.of(),
                service.reseal().filter(r -> finished),
                List.copyOf(care),
                List.copyOf(never));
    }

    private static String dry(Past.Laid laid, UnitSystem system) {
        double um = BuildUp.thicknessUm(laid.layer().laid().material());
        return um > 0 ? Show.in(system, Dimension.FILM, um) : "";
    }

    private static List<String> lots(ZoneFacts zone, Past.Laid laid) {
        return zone.usedEver().stream()
                .map(ZoneFacts.UsedFor::entry)
                .filter(e -> e.cycle() == laid.cycle()
                        && e.subject().equals(laid.layer().id()))
                .flatMap(e -> Stream.ofNullable(e.values().get(LogEntry.LOT.id())))
                .map(v -> v.typed().strip())
                .filter(lot -> !lot.isEmpty())
                .distinct()
                .toList();
    }

    /** What care comes to, thought by thought. */
    private static Stream<String> sentences(String care) {
        return Arrays.stream(care.split("(?<=[.;])\\s+"))
                .map(s -> s.replaceFirst("[.;]$", "").strip())
                .filter(s -> !s.isEmpty())
                .map(s -> Show.capital(s) + ".");
    }

    private static boolean forbids(String sentence) {
        return sentence.startsWith("No ") || sentence.startsWith("Never ") || sentence.startsWith("Nothing ");
    }
}
