package openslab.core.system;

import java.util.Optional;
import java.util.OptionalDouble;
import openslab.core.course.Wait;
import openslab.core.product.Clock;
import openslab.core.product.ProductSheet;
import openslab.core.product.Stain;
import openslab.core.product.TemperatureCurve;

/** What has to pass at a step, as the system says it; what a sheet gives the time for is asked of the sheet that is laid. */
public sealed interface LayWait {
    /** Nothing. */
    LayWait NONE = new Fixed(0);

    /** So many minutes. */
    record Fixed(double minutes) implements LayWait {
        @Override
        public Wait of(ProductSheet sheet) {
            return minutes == 0 ? Wait.NONE : new Wait.Fixed(minutes);
        }
    }

    /** Until it looks so. @param lookMin minutes until the first look; {@code usualMin} after which it is usually through */
    record Open(double lookMin, double usualMin, String until) implements LayWait {
        @Override
        public Wait of(ProductSheet sheet) {
            return new Wait.Open(lookMin, usualMin, until);
        }
    }

    /** Something is done while it lasts. */
    record Window(TemperatureCurve opens, TemperatureCurve closes, String until) implements LayWait {
        @Override
        public Wait of(ProductSheet sheet) {
            return new Wait.Window(at(opens), at(closes), until);
        }
    }

    /** As the sheet says it. */
    record OfSheet(Says says) implements LayWait {
        @Override
        public Wait of(ProductSheet sheet) {
            return says.of(sheet);
        }
    }

    /** Times that stand on a sheet. */
    enum Says {
        /** Each part by itself, then all together. */
        STIR {
            @Override
            Wait of(ProductSheet sheet) {
                return fixed(sheet.stirringMin());
            }
        },
        STAND {
            @Override
            Wait of(ProductSheet sheet) {
                return fixed(sheet.handling().standMin());
            }
        },
        REACT {
            @Override
            Wait of(ProductSheet sheet) {
                return sheet.material() instanceof Stain s
                        ? new Wait.Open(s.lookMin(), s.usualMin(), "the colour has come; deep browns and black last")
                        : Wait.NONE;
            }
        },
        RECOAT {
            @Override
            Wait of(ProductSheet sheet) {
                Optional<TemperatureCurve> opens = sheet.curve(Clock.RECOAT_OPENS);
                return opens.map(c -> (Wait) new Wait.ByTemperature(at(c))).orElse(Wait.NONE);
            }
        };

        abstract Wait of(ProductSheet sheet);

        private static Wait fixed(double minutes) {
            return minutes == 0 ? Wait.NONE : new Wait.Fixed(minutes);
        }
    }

    Wait of(ProductSheet sheet);

    private static Wait.Timing at(TemperatureCurve curve) {
        return slabC -> curve.covers(slabC) ? OptionalDouble.of(curve.minutesAt(slabC)) : OptionalDouble.empty();
    }
}
