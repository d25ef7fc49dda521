package openslab.core.practice;

import java.util.List;
import openslab.core.course.Step;
import openslab.core.product.ProductSheet;
import openslab.core.system.FloorSystem;

/** One answer to a question on which practitioners do not agree, and what it does to a job where it is followed. */
public interface School {
    /** Its word in the store, in files and in the API; an enum has it. */
    String name();

    /** What is done. */
    String label();

    /** Why somebody does it so. */
    String reason();

    /** A sheet as it is taken here. */
    default ProductSheet taken(ProductSheet sheet) {
        return sheet;
    }

    /** A step by which a layer is laid, as it is done here. */
    default Step laid(Step step, ProductSheet sheet, Place place) {
        return step;
    }

    /** The steps of a preparation, as they are done here. */
    default List<Step> prepared(List<Step> steps, Place place) {
        return steps;
    }

    /** Whether a layer that a system does not always lay goes on here. */
    default boolean lays(FloorSystem.Layer layer, FloorSystem system, Place place) {
        return false;
    }

    /** A layer of a system as it is laid here. */
    default FloorSystem.Layer as(FloorSystem.Layer layer, Place place) {
        return layer;
    }
}
