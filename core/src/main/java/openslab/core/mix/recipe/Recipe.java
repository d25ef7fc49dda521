package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.mix.Allowance;
import openslab.core.mix.TakeOff;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;

/**
 * What goes into the vessel, part by part, for any sheet and any amount.
 *
 * @param words the ratio, said so that nobody takes one part for the other
 * @param amount of the sheet's own parts: litres mixed, bags of a powder
 * @param all litres of it with all that is stirred in
 * @param measured all of it by jug, cup and spoon; bags of a powder
 * @param fillings how many vessels of it, each filled alike
 * @param each litres in one filling, all that is stirred in included
 * @param portions of one filling, in the order in which they go in
 * @param stages what is done, in order
 * @param left what stays in the cans that did not run out; empty where nobody mixes by cans
 * @param covers how much floor it is for; empty where nobody asked
 * @param thinned what the thinner does to the film; empty without one
 * @param findings what to mind; nothing where there is nothing
 */
public record Recipe(
        String words,
        Figure amount,
        Figure all,
        String measured,
        Figure fillings,
        Figure each,
        List<Portion> portions,
        List<MixStage> stages,
        List<Figure> left,
        Optional<Figure> covers,
        Optional<Thinned> thinned,
        List<Finding> findings) {
    /** Of water at 20 °C. */
    public static final double WATER_KG_PER_L = 0.998;

    public Recipe {
        portions = List.copyOf(portions);
        stages = List.copyOf(stages);
        left = List.copyOf(left);
        findings = List.copyOf(findings);
    }

    /**
     * @param measuring how the parts are measured; on the scale or by volume is refused where the sheet wants a pail for each
     * @param extras each at most once
     * @throws InvalidInput where nothing of it is mixed, or where it is not mixed so
     */
    public static Recipe of(
            ProductSheet sheet,
            Wanted wanted,
            Vessel vessel,
            Measuring measuring,
            List<Extra> extras,
            UnitSystem system) {
        if (!Wanted.isMixed(sheet.material())) {
            throw new InvalidInput(
                    "sheet", sheet.name(), "a sheet of something that is mixed: this one is thrown as it comes");
        }
        if (sheet.handling().dosing().ownPails() && measuring != Measuring.OWN_PAILS) {
            throw new InvalidInput(
                    "measuring",
                    measuring.label(),
                    Measuring.OWN_PAILS.id() + ": its sheet wants each part in its own pail, never on top of another");
        }
        return new RecipeWriting(sheet, vessel, measuring, extras, system).of(wanted);
    }

    /** How a sheet's parts are measured where nobody says otherwise. */
    public static Measuring usual(ProductSheet sheet) {
        return sheet.handling().dosing().ownPails() ? Measuring.OWN_PAILS : Measuring.SCALE;
    }

    /** With one finding more. */
    Recipe with(Finding finding) {
        var more = new ArrayList<>(findings);
        more.add(finding);
        return new Recipe(words, amount, all, measured, fillings, each, portions, stages, left, covers, thinned, more);
    }

    /** With how much floor it is for, by its sheet. @param allowance that goes on top, as it is put on there */
    public Recipe covering(ProductSheet sheet, Allowance allowance, UnitSystem system) {
        Figure floor = TakeOff.covers(amount, sheet.material(), allowance, system);
        return new Recipe(
                words,
                amount,
                all,
                measured,
                fillings,
                each,
                portions,
                stages,
                left,
                Optional.of(floor),
                thinned,
                findings);
    }

    /** What weighs anything of a filling, all of it. */
    public double kg() {
        return portions.stream()
                .flatMap(p -> p.mass().stream())
                .mapToDouble(Figure::base)
                .sum();
    }
}
