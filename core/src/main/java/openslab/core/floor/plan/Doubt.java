package openslab.core.floor.plan;

import java.util.List;

/**
 * Why a plan cannot be built on yet, standing alone.
 *
 * @param rule a word of its own
 * @param title what is wrong
 * @param measured what was found
 * @param needed what would do
 * @param why it matters
 * @param remedy what to do
 * @param where the ids of what it concerns
 */
public record Doubt(
        String rule, String title, String measured, String needed, String why, String remedy, List<String> where) {
    public Doubt {
        where = List.copyOf(where);
    }
}
