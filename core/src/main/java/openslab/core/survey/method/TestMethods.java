package openslab.core.survey.method;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.TestMethod;

/** Every test method there is, in the order an installer takes them. */
public final class TestMethods {
    public static final List<TestMethod> ALL = List.of(
            new WalkOver(),
            new OldFloor(),
            new TileCheck(),
            new ResilientCheck(),
            new CareHistory(),
            new WhatBelow(),
            new LayersBelow(),
            new ReleaseCheck(),
            new RustCheck(),
            new TimberMoisture(),
            new ElectronicMeter(),
            new CalciumChloride(),
            new InSlabHumidity(),
            new PlasticSheet(),
            new SurfacePh(),
            new WaterDrop(),
            new TimedAbsorption(),
            new SolventRub(),
            new Scrape(),
            new BlackLight(),
            new FootRub(),
            new ProfileComparison(),
            new TapeTest(),
            new CrossCut(),
            new Sounding(),
            new PullOff(),
            new OverlayBase(),
            new CrackWidth(),
            new Straightedge(),
            new FallAndFace(),
            new SurfaceResistance(),
            new SlipResistance(),
            new ConcreteAge(),
            new Climate());

    private TestMethods() {}

    /** Empty where there is none of this id, or none any more. */
    public static Optional<TestMethod> find(String id) {
        return ALL.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    /** @throws InvalidInput naming the field {@code method} when there is no such method */
    public static TestMethod of(String id) {
        return find(id).orElseThrow(() -> new InvalidInput(
                "method", id, "one of " + ALL.stream().map(TestMethod::id).collect(Collectors.joining(", "))));
    }
}
