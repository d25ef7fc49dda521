package openslab.server.product;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.floor.Substrate;
import openslab.core.product.Chemistry;
import openslab.core.product.Dosing;
import openslab.core.product.Fan;
import openslab.core.product.Handling;
import openslab.core.product.Suits;
import openslab.core.product.Traits;
import openslab.core.product.Waiver;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/** Reads what a material is like on a floor, how it is handled, and where its numbers come from. */
final class TraitsReader {
    private static final SheetForm.TraitsForm SILENT =
            new SheetForm.TraitsForm(null, null, null, null, null, null, null, null);
    private static final int MOST_MARKS = 100;

    private final SheetForm form;
    private final Faults faults;
    private final Traits traits;
    private final Value voc;
    private final Map<String, Value> handled;
    private final Map<String, String> marks = new TreeMap<>();

    TraitsReader(SheetForm form, UnitSystem units, Faults faults) {
        this.form = form;
        this.faults = faults;
        SheetForm.TraitsForm t = form.traits() == null ? SILENT : form.traits();
        voc = said(t.voc()) ? faults.read(() -> SheetFields.VOC.parse("traits.voc", t.voc(), units)) : null;
        traits = new Traits(
                one("traits.chemistry", t.chemistry(), Chemistry.class, Chemistry.UNSAID),
                many("traits.on", t.on(), Substrate.class),
                many("traits.waives", t.waives(), Waiver.class),
                many("traits.suits", t.suits(), Suits.class),
                one("traits.opacity", t.opacity(), Traits.Opacity.class, Traits.Opacity.UNSAID),
                one("traits.gloss", t.gloss(), Traits.Gloss.class, Traits.Gloss.UNSAID),
                one("traits.odour", t.odour(), Traits.Odour.class, Traits.Odour.UNSAID),
                voc == null ? 0 : openslab.core.quantity.Unit.GRAM_PER_LITRE.fromBase(voc.base()));
        Map<String, String> typed = form.handling() == null ? Map.of() : form.handling();
        Map<String, Value> read = faults.read(() -> Field.parseAll("handling", SheetFields.HANDLING, typed, units));
        handled = read == null ? Map.of() : read;
        readMarks();
    }

    private static boolean said(String text) {
        return text != null && !text.isBlank();
    }

    private <E extends Enum<E>> E one(String path, String text, Class<E> words, E otherwise) {
        E read = said(text) ? faults.oneOf(path, text, words) : otherwise;
        return read == null ? otherwise : read;
    }

    private <E extends Enum<E>> Set<E> many(String path, List<String> texts, Class<E> words) {
        Set<E> read = EnumSet.noneOf(words);
        for (int i = 0; texts != null && i < texts.size(); i++) {
            E one = faults.oneOf(path + "[" + i + "]", texts.get(i), words);
            if (one != null) {
                read.add(one);
            }
        }
        return read;
    }

    private void readMarks() {
        Map<String, String> given = form.marks() == null ? Map.of() : form.marks();
        if (given.size() > MOST_MARKS) {
            faults.add("marks", given.size() + " marks", "at most " + MOST_MARKS);
            return;
        }
        given.forEach((field, mark) -> {
            String name = faults.line("marks", field, 1, 60);
            String said = faults.line("marks." + field, mark, 1, 120);
            if (name != null && said != null) {
                marks.put(name, said);
            }
        });
    }

    Traits traits() {
        return traits;
    }

    Handling handling() {
        return new Handling(
                number("stir"),
                number("combine"),
                number("stand"),
                words("tool"),
                Arrays.stream(words("box").split(";"))
                        .map(String::strip)
                        .filter(thing -> !thing.isEmpty())
                        .toList(),
                handled.containsKey("fan")
                        ? Fan.valueOf(handled.get("fan").typed().toUpperCase(Locale.ROOT))
                        : Fan.UNSAID,
                number("rainSafe"),
                number("keeps"),
                new Dosing(
                        handled.containsKey("ownPails")
                                && handled.get("ownPails").typed().equals("yes"),
                        number("atOnce"),
                        number("grit") / 100,
                        number("thin") / 100));
    }

    private String words(String field) {
        return handled.containsKey(field) ? handled.get(field).typed() : "";
    }

    private double number(String field) {
        return handled.containsKey(field) ? handled.get(field).base() : 0;
    }

    /** As it is stored; nothing where nothing was said, so that a silent sheet stays the sheet it was. */
    SheetForm.TraitsForm typedTraits() {
        var typed = new SheetForm.TraitsForm(
                name(traits.chemistry(), Chemistry.UNSAID),
                names(traits.on()),
                names(traits.waives()),
                names(traits.suits()),
                name(traits.opacity(), Traits.Opacity.UNSAID),
                name(traits.gloss(), Traits.Gloss.UNSAID),
                name(traits.odour(), Traits.Odour.UNSAID),
                voc == null ? null : voc.typed());
        return typed.equals(SILENT) ? null : typed;
    }

    private static String name(Enum<?> word, Enum<?> unsaid) {
        return word == unsaid ? null : word.name();
    }

    private static List<String> names(Set<? extends Enum<?>> words) {
        var names = new ArrayList<String>();
        words.forEach(w -> names.add(w.name()));
        return names.isEmpty() ? null : names;
    }

    Map<String, String> typedHandling() {
        return typed(handled);
    }

    Map<String, String> typedMarks() {
        return marks.isEmpty() ? null : marks;
    }

    /** As typed; nothing where nothing was. */
    static Map<String, String> typed(Map<String, Value> values) {
        if (values.isEmpty()) {
            return null;
        }
        Map<String, String> typed = new TreeMap<>();
        values.forEach((field, value) -> typed.put(field, value.typed()));
        return typed;
    }
}
