package openslab.core.survey;

import java.util.List;
import java.util.function.ToDoubleFunction;
import openslab.core.quantity.Source;

/**
 * What a build-up asks of the slab and the air. Carried by product sheets, which beat any default here.
 *
 * @param mverMaxLb lb/(1000 ft²·24 h); infinite where the sheet does not ask, as for a film that lets vapour through
 * @param slabRhMaxPct in-slab relative humidity; infinite where the sheet does not ask
 * @param dewMarginK slab above dew point, kelvins
 * @param minAgeDays age of the concrete
 * @param cspMin lowest concrete surface profile, 1–10
 * @param shields whether what lies over it is kept from the slab's moisture and alkali
 * @param asks what only some sheets ask
 * @param sheet whose limits these are
 */
public record Limits(
        double mverMaxLb,
        double slabRhMaxPct,
        double phMin,
        double phMax,
        double slabMinC,
        double slabMaxC,
        double airRhMaxPct,
        double dewMarginK,
        double minAgeDays,
        int cspMin,
        int cspMax,
        boolean shields,
        Asks asks,
        String sheet) {

    /**
     * All of them of the floor that is to be coated; what the finished floor is to reach belongs to its handover.
     *
     * @param pullOffMinMpa tensile strength of the prepared surface; 0 where the sheet does not ask
     * @param resistanceMinOhm from point to point; 0 where the sheet does not ask
     * @param resistanceMaxOhm infinite where the sheet does not ask; the floor must stay under it
     * @param dcofMin wet dynamic friction; 0 where the sheet does not ask
     * @param strengthMinMpa compressive strength of the concrete below an overlay; 0 where the sheet does not ask
     * @param thicknessMinM of that concrete; 0 where the sheet does not ask
     * @param airMinC of the air, as against the slab; infinite where the sheet does not ask, {@code airMaxC} likewise
     * @param fallMax of the floor, rise over run, for what flows on it; infinite where the sheet does not ask
     */
    public record Asks(
            double pullOffMinMpa,
            double resistanceMinOhm,
            double resistanceMaxOhm,
            double dcofMin,
            double strengthMinMpa,
            double thicknessMinM,
            double airMinC,
            double airMaxC,
            double fallMax) {
        public static final Asks NOTHING = new Asks(
                0,
                0,
                Double.POSITIVE_INFINITY,
                0,
                0,
                0,
                Double.NEGATIVE_INFINITY,
                Double.POSITIVE_INFINITY,
                Double.POSITIVE_INFINITY);

        /** Whether it says how warm the air is to be. */
        public boolean air() {
            return Double.isFinite(airMinC) || Double.isFinite(airMaxC);
        }

        /** Whether what goes on flows: it is looked at first how the floor falls. */
        public boolean flows() {
            return Double.isFinite(fallMax);
        }

        /** Whether what goes on is carried by the concrete below it. */
        public boolean base() {
            return strengthMinMpa > 0 || thicknessMinM > 0;
        }

        public boolean resistance() {
            return resistanceMinOhm > 0 || resistanceMaxOhm < Double.POSITIVE_INFINITY;
        }
    }

    /** Of a floor on which nothing goes. */
    public static final Limits NONE = new Limits(
            Double.POSITIVE_INFINITY,
            Double.POSITIVE_INFINITY,
            0,
            14,
            Double.NEGATIVE_INFINITY,
            Double.POSITIVE_INFINITY,
            Double.POSITIVE_INFINITY,
            Double.NEGATIVE_INFINITY,
            0,
            1,
            10,
            false,
            Asks.NOTHING,
            "nothing goes on");

    /** The same, of concrete of so many days. */
    public Limits aged(double days) {
        return new Limits(
                mverMaxLb,
                slabRhMaxPct,
                phMin,
                phMax,
                slabMinC,
                slabMaxC,
                airRhMaxPct,
                dewMarginK,
                days,
                cspMin,
                cspMax,
                shields,
                asks,
                sheet);
    }

    /** Whether it asks how much moisture is in the slab or comes out of it. */
    public boolean moisture() {
        return Double.isFinite(mverMaxLb) || Double.isFinite(slabRhMaxPct);
    }

    /**
     * What holds for every sheet in the build-up at once. Over a sheet that shields, nothing meets the slab's moisture; how rough
     * the floor may be at most is said by what lies on it, how rough it must be by whatever asks most.
     *
     * @param all from the slab upward
     */
    public static Limits strictest(List<Limits> all, String sheet) {
        List<Limits> wet = all.get(0).shields ? all.subList(0, 1) : all;
        return new Limits(
                least(wet, Limits::mverMaxLb),
                least(wet, Limits::slabRhMaxPct),
                most(wet, Limits::phMin),
                least(wet, Limits::phMax),
                most(all, Limits::slabMinC),
                least(all, Limits::slabMaxC),
                least(all, Limits::airRhMaxPct),
                most(all, Limits::dewMarginK),
                most(all, Limits::minAgeDays),
                (int) most(all, Limits::cspMin),
                all.get(0).cspMax,
                all.get(0).shields,
                new Asks(
                        most(all, l -> l.asks.pullOffMinMpa),
                        most(all, l -> l.asks.resistanceMinOhm),
                        least(all, l -> l.asks.resistanceMaxOhm),
                        most(all, l -> l.asks.dcofMin),
                        most(all, l -> l.asks.strengthMinMpa),
                        most(all, l -> l.asks.thicknessMinM),
                        most(all, l -> l.asks.airMinC),
                        least(all, l -> l.asks.airMaxC),
                        least(all, l -> l.asks.fallMax)),
                sheet);
    }

    public Source source() {
        return Source.sheet(sheet);
    }

    private static double least(List<Limits> all, ToDoubleFunction<Limits> of) {
        double least = Double.POSITIVE_INFINITY;
        for (Limits l : all) {
            least = Math.min(least, of.applyAsDouble(l));
        }
        return least;
    }

    private static double most(List<Limits> all, ToDoubleFunction<Limits> of) {
        double most = Double.NEGATIVE_INFINITY;
        for (Limits l : all) {
            most = Math.max(most, of.applyAsDouble(l));
        }
        return most;
    }
}
