package openslab.core.prep.repair;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.floor.plan.Flaws;
import openslab.core.quantity.UnitSystem;

/** Every way of making good there is, in the order they are done. */
public final class Repairs {
    static final List<RepairRule> ALL = List.of(
            new MovingCracks(),
            new JointsKept(),
            new HollowPatched(),
            new CracksFilled(),
            new LevelFilled(),
            new LipsGround(),
            new CoveTrowelled());

    private Repairs() {}

    /** Nothing is made good so on vinyl, timber or metal: what is loose there is fixed with its own method. */
    public static List<Repair> of(
            Substrate substrate, Flaws flaws, double hollowM2, PatchLimits patch, UnitSystem system) {
        if (substrate.family() != Substrate.Family.CEMENT && substrate.family() != Substrate.Family.TILE) {
            return List.of();
        }
        var damage = new RepairRule.Damage(flaws, hollowM2, patch, system);
        return ALL.stream().map(r -> r.of(damage)).flatMap(Optional::stream).toList();
    }
}
