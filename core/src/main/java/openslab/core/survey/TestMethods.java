package openslab.core.survey;

import java.util.List;
import java.util.stream.Collectors;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.method.CalciumChloride;
import openslab.core.survey.method.Climate;
import openslab.core.survey.method.ConcreteAge;
import openslab.core.survey.method.InSlabHumidity;
import openslab.core.survey.method.PlasticSheet;
import openslab.core.survey.method.ProfileComparison;
import openslab.core.survey.method.SurfacePh;
import openslab.core.survey.method.WalkOver;
import openslab.core.survey.method.WaterDrop;

/** Every test method there is, in the order an installer takes them. */
public final class TestMethods {
    public static final List<TestMethod> ALL = List.of(
            new WalkOver(),
            new WaterDrop(),
            new CalciumChloride(),
            new InSlabHumidity(),
            new PlasticSheet(),
            new SurfacePh(),
            new ProfileComparison(),
            new ConcreteAge(),
            new Climate());

    private TestMethods() {}

    /** @throws InvalidInput naming the field {@code method} when there is no such method */
    public static TestMethod of(String id) {
        return ALL.stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InvalidInput(
                        "method",
                        id,
                        "one of " + ALL.stream().map(TestMethod::id).collect(Collectors.joining(", "))));
    }
}
