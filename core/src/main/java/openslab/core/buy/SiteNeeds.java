package openslab.core.buy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import openslab.core.course.work.Item;

/**
 * What a zone asks of the shelf of small things.
 *
 * @param maskM along which tape is still laid; {@code filmM2} what hangs from it
 * @param worn whole ones of what the steps use up, roller sleeves and masking left out, by their label
 * @param supplies what it takes that has no sheet
 */
public record SiteNeeds(
        String zone, double maskM, double filmM2, List<Coat> coats, Map<String, Double> worn, List<Supply> supplies) {
    /**
     * One layer as it is put on, or the preparation, which mixes nothing by a sheet.
     *
     * @param tool as its sheet has it
     * @param vessels how many pails it is mixed in; 0 where it comes ready
     * @param parts how many are measured for it
     * @param sleeves how many its steps use up; their nap is the tool's
     * @param hands how many put it on; {@code items} what they take along
     */
    public record Coat(String title, String tool, int vessels, int parts, double sleeves, int hands, Set<Item> items) {}

    public SiteNeeds {
        coats = List.copyOf(coats);
        worn = Map.copyOf(worn);
        supplies = List.copyOf(supplies);
    }
}
