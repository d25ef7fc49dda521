package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.product.Concentrate;
import openslab.core.product.Liquid;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;

/** One recipe being written: every part with its working, in pour order. */
final class RecipeWriting {
    private static final double ROUNDING = 1e-9;

    /** Of half a scoop: no more is in it for being scraped level. */
    private static final double SLIVER = 0.01;

    private static final Source RATIO = Source.sheet("mix ratio by volume");
    private static final Source DENSITY = Source.sheet("mix ratio by volume, density");
    private static final Source ON_TOP = Source.arithmetic("what is already on the scale, and this part on top");

    /** Less than this is weighed in grams. */
    private static final double GRAMS_BELOW_KG = 3;

    private final ProductSheet sheet;
    private final Vessel vessel;
    private final Measuring measuring;
    private final List<Extra> extras;
    private final UnitSystem system;

    RecipeWriting(ProductSheet sheet, Vessel vessel, Measuring measuring, List<Extra> extras, UnitSystem system) {
        this.sheet = sheet;
        this.vessel = vessel;
        this.measuring = measuring;
        this.extras = extras;
        this.system = system;
    }

    Recipe of(Wanted wanted) {
        Filled filled = filled(wanted.amount(sheet, besides(), system));
        Figure amount = filled.amount();
        Figure all = filled.all();
        Figure fillings = filled.fillings();
        double count = fillings.value();
        var e = new Worksheet(system);
        e.from("V", all);
        e.from("n", fillings);
        Figure each =
                e.figure("one filling", "Ve", "V/n", all.base() / count, Unit.LITRE, Source.arithmetic("filled alike"));
        List<Portion> portions = weighed(portions(amount.base() / count, each));
        return new Recipe(
                RatioWords.of(sheet, system),
                amount,
                all,
                amount.unit() == Unit.BAG ? amount.text() : Spoken.of(all.base(), system),
                fillings,
                each,
                portions,
                MixOrder.of(sheet, measuring, portions),
                left(wanted),
                Optional.empty(),
                sheet.liquid().flatMap(this::thinned),
                findings(portions, each));
    }

    /** How much it is, of its own parts and with all that is stirred in, and in how many vessels. */
    private record Filled(Figure amount, Figure all, Figure fillings) {}

    private Filled filled(Figure wanted) {
        Filled filled = filled(wanted, 1);
        return sheet.material() instanceof Concentrate c && vessel.scoopL() > 0 ? scooped(wanted, filled, c) : filled;
    }

    /** Nobody measures a third of a scoop: what is let down is whole and half ones of it in every vessel, and none is short. */
    private Filled scooped(Figure wanted, Filled exact, Concentrate concentrate) {
        double scoopMixL = vessel.scoopL() * (1 + concentrate.water());
        double count = exact.fillings().value();
        double most = mostL();
        while (count * scoopMixL / 2 < wanted.base()
                && halves(wanted.base(), count, scoopMixL) * scoopMixL / 2 > most * (1 + ROUNDING)) {
            count++;
        }
        var w = new Worksheet(system);
        w.from("V0", wanted);
        w.given("n", "vessels", count, Unit.ONE);
        w.given("w", "parts of water to one of it", concentrate.water(), Unit.ONE);
        w.given("c", "a level scoop", vessel.scoopL(), Unit.LITRE);
        double litres = count * halves(wanted.base(), count, scoopMixL) * scoopMixL / 2;
        Figure amount = w.figure(
                "mixed volume",
                "V",
                "n·max(1,ceil(2·V0/n/c/(1+w)-0.01))/2·c·(1+w)",
                litres,
                Unit.LITRE,
                Source.ours("whole and half scoops, as many as it takes"));
        return filled(amount, count);
    }

    private static double halves(double litres, double count, double scoopMixL) {
        return Math.max(1, Math.ceil(2 * litres / count / scoopMixL - SLIVER));
    }

    /** What one filling may be. */
    private double mostL() {
        double atOnce = sheet.handling().dosing().mostL();
        return Math.min(vessel.holdsL(), atOnce > 0 ? atOnce : Double.POSITIVE_INFINITY);
    }

    /** @param least how many vessels it is in at least */
    private Filled filled(Figure amount, double least) {
        Figure all = whole(amount);
        double mostL = mostL();
        var n = new Worksheet(system);
        n.from("V", all);
        n.given("M", "what one filling may be", mostL, Unit.LITRE);
        double count = Math.max(least, Math.ceil(all.base() / mostL - ROUNDING));
        if (least > 1) {
            n.given("k", "at least", least, Unit.ONE);
        }
        Figure fillings = n.figure(
                "fillings",
                "n",
                least > 1 ? "max(k,ceil(V/M))" : "ceil(V/M)",
                count,
                Unit.ONE,
                Source.ours("fewest vessels, each filled alike"));
        return new Filled(amount, all, fillings);
    }

    /** Litres stirred in to one of the sheet's own parts. */
    private double besides() {
        return extras.stream().mapToDouble(Extra::share).sum();
    }

    /** Litres of all that is in the vessel in the end. */
    private Figure whole(Figure amount) {
        var w = new Worksheet(system);
        if (sheet.material() instanceof Powder powder) {
            w.from("n", amount);
            w.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
            double litres = amount.base() * powder.yieldL();
            return w.figure("mixed volume", "V", "n·y", litres, Unit.LITRE, Source.sheet("yield of a bag"));
        }
        double more = besides();
        if (more == 0) {
            return amount;
        }
        w.from("W", amount);
        w.given("x", "stirred in to one part of it", more, Unit.ONE);
        return w.figure(
                "with what is stirred in",
                "V",
                "W·(1+x)",
                amount.base() * (1 + more),
                Unit.LITRE,
                Source.arithmetic("volumes added up"));
    }

    private List<Portion> portions(double amount, Figure each) {
        if (sheet.material() instanceof Powder powder) {
            return bagged(powder, amount);
        }
        Liquid liquid = sheet.liquid().orElseThrow();
        var portions = new ArrayList<Portion>();
        double more = besides();
        for (Liquid.Part part : liquid.pouring()) {
            portions.add(poured(part, liquid, each, more, amount));
        }
        for (Extra extra : extras) {
            portions.add(stirredIn(extra, each, more, amount));
        }
        return portions;
    }

    private Portion poured(Liquid.Part part, Liquid liquid, Figure each, double more, double amount) {
        double litres = amount * part.parts() / liquid.allParts();
        Worksheet volume = shares(part, liquid, each, more);
        String sum = liquid.parts().stream().map(p -> "p" + p.name()).collect(Collectors.joining("+"));
        String formula = "V·p/(" + sum + ")" + (more > 0 ? "/(1+x)" : "");
        Worksheet mass = shares(part, liquid, each, more);
        mass.let("V" + part.name(), RatioWords.named(part), formula, litres, Unit.LITRE);
        mass.given("ρ", "density of " + RatioWords.named(part), part.density(), Unit.KILOGRAM_PER_LITRE);
        return Portion.of(
                part.name(),
                volume.figure(RatioWords.named(part), "V" + part.name(), formula, litres, Unit.LITRE, RATIO),
                Spoken.of(litres, system),
                Optional.empty(),
                Optional.of(mass(
                        mass, RatioWords.named(part), "V" + part.name(), litres * part.density(), amount, DENSITY)));
    }

    private Worksheet shares(Liquid.Part part, Liquid liquid, Figure each, double more) {
        var w = new Worksheet(system);
        w.from("V", each);
        w.given("p", "parts of " + part.name(), part.parts(), Unit.ONE);
        liquid.parts().forEach(p -> w.given("p" + p.name(), "parts of " + p.name(), p.parts(), Unit.ONE));
        if (more > 0) {
            w.given("x", "stirred in to one part of the mix", more, Unit.ONE);
        }
        return w;
    }

    /** What something weighs, in grams where the whole is small. */
    private Figure mass(Worksheet w, String of, String volume, double kg, double amount, Source source) {
        boolean small = amount * Recipe.WATER_KG_PER_L < GRAMS_BELOW_KG;
        return small
                ? w.figure(of + " by weight", "g", "1000·" + volume + "·ρ", 1000 * kg, Unit.GRAM, source)
                : w.figure(of + " by weight", "m", volume + "·ρ", kg, Unit.KILOGRAM, source);
    }

    private Portion stirredIn(Extra extra, Figure each, double more, double amount) {
        double litres = amount * extra.share();
        String name = extra instanceof Extra.Thin t ? t.thinner().label() : "Grit";
        var w = new Worksheet(system);
        w.from("V", each);
        w.given("s", "to one part of it", extra.share(), Unit.ONE);
        w.given("x", "all that is stirred in", more, Unit.ONE);
        Figure volume =
                w.figure(Show.lower(name), "Vx", "V·s/(1+x)", litres, Unit.LITRE, Source.sheet("dose by volume"));
        Optional<Figure> mass =
                extra instanceof Extra.Thin t ? Optional.of(massOf(volume, t.thinner(), amount)) : Optional.empty();
        return Portion.of(name, volume, Spoken.of(litres, system), Optional.empty(), mass);
    }

    private Figure massOf(Figure volume, Thinner thinner, double amount) {
        var w = new Worksheet(system);
        w.from("Vx", volume);
        w.given("ρ", "density of " + Show.lower(thinner.label()), thinner.density(), Unit.KILOGRAM_PER_LITRE);
        Source source = Source.published("handbook density at 20 °C, from memory");
        return mass(w, Show.lower(thinner.label()), "Vx", volume.base() * thinner.density(), amount, source);
    }

    /** Water first, then colour, then powder: as much water as the sheet has at least, and then no more than it has at most. */
    private List<Portion> bagged(Powder powder, double bags) {
        var portions = new ArrayList<Portion>();
        portions.add(perBag("Water", "wl", bags, powder.waterLeastL(), powder.waterMostL(), true));
        if (powder.colourMostL() > 0) {
            portions.add(perBag("Colour", "cl", bags, powder.colourLeastL(), powder.colourMostL(), false));
        }
        var w = new Worksheet(system);
        w.given("n", "bags in one filling", bags, Unit.BAG);
        Figure count = w.figure("powder", "N", "n", bags, Unit.BAG, Source.arithmetic("filled alike"));
        var m = new Worksheet(system);
        m.given("n", "bags in one filling", bags, Unit.BAG);
        m.given("b", "a bag", powder.bagKg(), Unit.KILOGRAM);
        Figure mass = m.figure(
                "powder by weight",
                "m",
                "n·b",
                bags * powder.bagKg(),
                Unit.KILOGRAM,
                Source.sheet("what a bag weighs"));
        portions.add(Portion.of("Powder", count, count.text(), Optional.empty(), Optional.of(mass)));
        return portions;
    }

    private Portion perBag(String name, String symbol, double bags, double leastL, double mostL, boolean water) {
        Figure least = toABag(Show.lower(name) + ", to begin with", symbol, bags, leastL);
        Optional<Figure> most = mostL > leastL
                ? Optional.of(toABag(Show.lower(name) + ", at most", symbol, bags, mostL))
                : Optional.empty();
        Optional<Figure> mass = water ? Optional.of(waterMass(least)) : Optional.empty();
        return Portion.of(name, least, Spoken.of(Math.max(least.base(), 1e-6), system), most, mass);
    }

    private Figure toABag(String label, String symbol, double bags, double litres) {
        var w = new Worksheet(system);
        w.given("n", "bags in one filling", bags, Unit.BAG);
        w.given(symbol, "to a bag", litres, Unit.LITRE);
        return w.figure(label, "v", "n·" + symbol, bags * litres, Unit.LITRE, Source.sheet("so much to a bag"));
    }

    private Figure waterMass(Figure volume) {
        var w = new Worksheet(system);
        w.from("v", volume);
        w.given("ρ", "density of water", Recipe.WATER_KG_PER_L, Unit.KILOGRAM_PER_LITRE);
        return w.figure(
                "water by weight",
                "m",
                "v·ρ",
                volume.base() * Recipe.WATER_KG_PER_L,
                Unit.KILOGRAM,
                Source.arithmetic("water at 20 °C"));
    }

    /** With what the scale shows, and the line that it stands at. */
    private List<Portion> weighed(List<Portion> portions) {
        var done = new ArrayList<Portion>();
        boolean all = measuring == Measuring.SCALE;
        double aside = asideKg(portions);
        double shown = vessel.tareKg();
        double filled = 0;
        for (int i = 0; i < portions.size(); i++) {
            Portion p = portions.get(i);
            // what cannot be weighed is poured by volume, and what comes after it on the scale would be told
            // wrongly
            all &= p.mass().isPresent();
            Optional<Figure> scale = Optional.empty();
            Optional<Portion.Within> within = Optional.empty();
            if (all) {
                shown += p.mass().orElseThrow().base();
                scale = Optional.of(shows(portions.subList(0, i + 1), shown));
                within = Optional.of(within(scale.get(), aside));
            }
            filled += p.volume().unit() == Unit.BAG ? 0 : p.volume().base();
            boolean own = measuring == Measuring.OWN_PAILS;
            Optional<Figure> line = vessel.lines() > 0 && p.volume().unit() != Unit.BAG
                    ? Optional.of(line(portions.subList(own ? i : 0, i + 1)))
                    : Optional.empty();
            Optional<Figure> scoops = vessel.scoopL() > 0 && p.volume().unit() != Unit.BAG
                    ? Optional.of(scoops(p.volume()))
                    : Optional.empty();
            done.add(new Portion(p.part(), p.volume(), p.measured(), p.most(), p.mass(), scale, within, line, scoops));
        }
        return done;
    }

    /**
     * How far each reading may be off so that no two parts are apart by more than a pail scale is trusted for, whatever the
     * others are: all parts but the first are the difference of two readings.
     */
    private static double asideKg(List<Portion> portions) {
        double most = 0;
        double second = 0;
        for (int i = 0; i < portions.size() && portions.get(i).mass().isPresent(); i++) {
            double share = (i == 0 ? 1 : 2) / portions.get(i).mass().get().base();
            second = Math.max(second, Math.min(most, share));
            most = Math.max(most, share);
        }
        return WeighIn.TOLERANCE / (most + second);
    }

    private Portion.Within within(Figure scale, double asideKg) {
        Unit unit = scale.unit();
        double aside = unit.fromBase(asideKg);
        Source source = Source.ours("no two parts apart by more than 2 %, whatever the other readings are");
        var from = new Worksheet(system);
        from.from("s", scale);
        from.given("d", "aside", aside, unit);
        var to = new Worksheet(system);
        to.from("s", scale);
        to.given("d", "aside", aside, unit);
        return new Portion.Within(
                from.figure("right from", "s1", "s-d", scale.value() - aside, unit, source),
                to.figure("right up to", "s2", "s+d", scale.value() + aside, unit, source));
    }

    private Figure scoops(Figure volume) {
        var w = new Worksheet(system);
        w.from("v", volume);
        w.given("c", "a level scoop", vessel.scoopL(), Unit.LITRE);
        return w.figure(
                "level scoops",
                "n",
                "v/c",
                volume.base() / vessel.scoopL(),
                Unit.SCOOP,
                Source.arithmetic("what a scoop holds"));
    }

    private Figure shows(List<Portion> in, double kg) {
        boolean grams = in.get(0).mass().orElseThrow().unit() == Unit.GRAM;
        Unit unit = grams ? Unit.GRAM : Unit.KILOGRAM;
        var w = new Worksheet(system);
        w.given("t", "the empty vessel", unit.fromBase(vessel.tareKg()), unit);
        var sum = new StringBuilder("t");
        for (int i = 0; i < in.size(); i++) {
            Figure mass = in.get(i).mass().orElseThrow();
            w.given("m" + (i + 1), mass.label(), unit.fromBase(mass.base()), unit);
            sum.append("+m").append(i + 1);
        }
        return w.figure("scale shows", "s", sum.toString(), unit.fromBase(kg), unit, ON_TOP);
    }

    private Figure line(List<Portion> in) {
        var w = new Worksheet(system);
        w.given("H", "the vessel holds, to its last line", vessel.holdsL(), Unit.LITRE);
        w.given("k", "lines on it", vessel.lines(), Unit.ONE);
        var sum = new StringBuilder();
        double litres = 0;
        for (int i = 0; i < in.size(); i++) {
            litres += w.given(
                    "v" + (i + 1),
                    in.get(i).volume().label(),
                    in.get(i).volume().base(),
                    Unit.LITRE);
            sum.append(i == 0 ? "" : "+").append("v").append(i + 1);
        }
        return w.figure(
                "stands at line",
                "l",
                "k·(" + sum + ")/H",
                vessel.lines() * litres / vessel.holdsL(),
                Unit.ONE,
                Source.arithmetic("lines apart alike"));
    }

    private List<Figure> left(Wanted wanted) {
        if (!(wanted instanceof Wanted.Cans cans)) {
            return List.of();
        }
        Liquid liquid = sheet.liquid().orElseThrow();
        var left = new ArrayList<Figure>();
        cans.left(liquid).forEach((part, litres) -> {
            var w = new Worksheet(system);
            double label = w.given(
                    "L",
                    "in the cans of " + part + ", by the label",
                    cans.litres().get(part),
                    Unit.LITRE);
            w.given("u", "goes into the mix", label - litres, Unit.LITRE);
            left.add(w.figure(
                    "stays in the cans of " + part,
                    "r",
                    "L-u",
                    litres,
                    Unit.LITRE,
                    Source.arithmetic("whole ratio: what is over is not stirred in")));
        });
        return left;
    }

    private Optional<Thinned> thinned(Liquid liquid) {
        return extras.stream()
                .flatMap(x -> x instanceof Extra.Thin t && !t.preview() && liquid.isFilm()
                        ? Optional.of(Thinned.of(liquid, sheet.traits().vocGPerL(), t.thinner(), t.share(), system))
                                .stream()
                        : Optional.<Thinned>empty().stream())
                .findFirst();
    }

    private List<Finding> findings(List<Portion> portions, Figure each) {
        var findings = new ArrayList<Finding>();
        double kg = portions.stream()
                .flatMap(p -> p.mass().stream())
                .mapToDouble(Figure::base)
                .sum();
        if (sheet.liquid().map(Liquid::isTwoPart).orElse(false) && kg > Heat.MOST_KG) {
            findings.add(Heat.of(kg, system));
        }
        extras.stream()
                .flatMap(x ->
                        x instanceof Extra.Thin t ? Optional.of(t).stream() : Optional.<Extra.Thin>empty().stream())
                .findFirst()
                .ifPresent(t -> findings.add(Solvents.of(t, sheet)));
        return findings;
    }
}
