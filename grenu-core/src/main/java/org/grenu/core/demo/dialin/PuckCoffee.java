package org.grenu.core.demo.dialin;

import java.util.List;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.hipparchus.random.RandomGenerator;

/** A coffee of the puck model, on a dial whose notch is 0.2. */
final class PuckCoffee implements UnknownCoffee {

    private static final double NOTCH = 0.2;
    private static final double MIDDLE = 2.4;
    /** Of one puck's resistance about that of others, by hand (common practice, no source). */
    private static final double PUCK_SPREAD = 0.035;
    private static final double YIELD_SPREAD = 0.15;

    private final RandomGenerator random;
    private final SimulatedCoffee coffee;
    private final double days;

    PuckCoffee(RandomGenerator random) {
        this.random = random;
        coffee = new SimulatedCoffee(0.23 + 0.05 * random.nextDouble(), 0.8 + 0.45 * random.nextDouble(),
                0.8 + 0.4 * random.nextDouble());
        days = 6 + 24 * random.nextDouble();
    }

    @Override
    public Pulled pull(ShotInputs inputs) {
        double drag = Math.exp(PUCK_SPREAD * random.nextGaussian());
        double dose = inputs.dose() + 0.05 * random.nextGaussian();
        SimulatedShot.Truth truth = shot(inputs.with(Slope.DOSE, dose), drag,
                new SimulatedRig(random.nextLong()));
        return new Pulled(truth.pumpOffSeconds(), truth.yieldPercent(dose) + YIELD_SPREAD * random.nextGaussian());
    }

    @Override
    public Pulled expected(ShotInputs inputs) {
        SimulatedShot.Truth truth = shot(inputs, 1, new SimulatedRig(1).previewing());
        return new Pulled(truth.pumpOffSeconds(), truth.yieldPercent(inputs.dose()));
    }

    private SimulatedShot.Truth shot(ShotInputs inputs, double drag, SimulatedRig rig) {
        double grind = Math.max(0, Math.min(6, MIDDLE - NOTCH * inputs.finer()));
        SimulatedCoffee puck = new SimulatedCoffee(coffee.solubleShare(), coffee.drag() * drag, coffee.hardness());
        return rig
                .pull(new RigRecipe(new Puck(puck, days, inputs.dose(), grind, 93), DemoProfile.STRAIGHT_NINE.profile(),
                        inputs.beverage(), LONGEST_SECONDS), List.of())
                .truth();
    }
}
