package openslab.core.prep.repair;

import java.util.Optional;
import openslab.core.floor.plan.Flaws;
import openslab.core.quantity.UnitSystem;

/** A way of making something good. A new one is one new class and one line in {@link Repairs}. */
interface RepairRule {
    /**
     * What is to be made good, and with what.
     *
     * @param hollowM2 drawn as hollow and not proved sound since
     * @param patch the product it is filled with
     */
    record Damage(Flaws flaws, double hollowM2, PatchLimits patch, UnitSystem system) {}

    /** Empty where there is nothing of it. */
    Optional<Repair> of(Damage damage);
}
