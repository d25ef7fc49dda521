package openslab.core.floor;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import openslab.core.floor.walk.Bow;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Walk;

/** Walks as the tables in {@code cases/} write them, lengths in feet: "24|L 20|L30 9 (2". */
public final class Tape {
    static final double FOOT = 0.3048;

    private Tape() {}

    public static Walk walk(String text) {
        var runs = new ArrayList<Run>();
        for (String pull : text.split("\\|")) {
            List<String> words = new ArrayList<>(Arrays.asList(pull.trim().split(" ")));
            double turn = words.get(0).matches("[LR].*") ? turn(words.remove(0)) : 0;
            double length = Double.parseDouble(words.remove(0)) * FOOT;
            Bow bow = words.isEmpty() ? Bow.NONE : bow(words.remove(0), length);
            runs.add(new Run("r" + runs.size(), length, turn, bow));
        }
        return new Walk(runs, List.of());
    }

    private static double turn(String word) {
        double angle = word.length() == 1 ? 90 : Double.parseDouble(word.substring(1));
        return Math.toRadians(word.charAt(0) == 'L' ? angle : -angle);
    }

    private static Bow bow(String word, double chord) {
        int side = word.charAt(0) == '(' ? 1 : -1;
        String rest = word.substring(1);
        if (rest.startsWith("o")) {
            return new Bow.Offsets(Arrays.stream(rest.substring(1).split(";"))
                    .map(o -> side * Double.parseDouble(o) * FOOT)
                    .toList());
        }
        return rest.startsWith("r")
                ? Bow.Arc.ofRadius(Double.parseDouble(rest.substring(1)) * FOOT, chord, side, false)
                : new Bow.Arc(Double.parseDouble(rest) * FOOT, side);
    }
}
