package org.grenu.core.demo.dialin;

import org.grenu.core.learn.ShotInputs;
import org.hipparchus.random.RandomGenerator;

/**
 * A coffee whose time is a soak, what the pump needs at its limit, and what the puck adds to that, which grows with the
 * notch. One shot in ten channels; the grinder warms and grinds a little finer from shot to shot. Made up so that the
 * model is wrong in another way.
 */
final class SoakedCoffee implements UnknownCoffee {

    private static final double SPREAD = 0.03;
    private static final double SOAK_SECONDS = 5;
    private static final double SOAK_SLOPE = 0.03;
    private static final double PUMP_SECONDS_A_GRAM = 0.2;
    private static final double PUCK_SECONDS_A_GRAM = 0.47;
    private static final double DOSE_POWER = 3;
    /** The puck is a part of the time only: its own slope is the larger. */
    private static final double PUCK_SHARE = 0.58;
    private static final double CHANNELLED = 0.1;
    private static final double CHANNEL_DRAG = 0.65;
    private static final double CHANNEL_YIELD = -1.2;
    private static final double WARMER = 0.05;
    private static final double CONTACT_SECONDS = 11;
    private static final double UNEVEN = 0.08;

    private final RandomGenerator random;
    private final double level;
    private final double slope;
    private final double most;
    private double warmth;

    /** @param grinder slope of its grinder, per notch */
    SoakedCoffee(RandomGenerator random, double grinder) {
        this.random = random;
        level = 0.5 * random.nextGaussian();
        slope = Math.max(0.04, grinder * Math.exp(0.2 * random.nextGaussian())) / PUCK_SHARE;
        most = 24.2 + 1.8 * random.nextGaussian();
    }

    @Override
    public Pulled pull(ShotInputs inputs) {
        boolean channel = random.nextDouble() < CHANNELLED;
        double off = SPREAD * random.nextGaussian();
        double yieldOff = 0.25 * random.nextGaussian();
        Pulled calm = expected(inputs.at(inputs.finer() + warmth), channel ? CHANNEL_DRAG : 1);
        warmth += WARMER;
        return new Pulled(Math.min(LONGEST_SECONDS, calm.seconds() * Math.exp(off)),
                calm.yield() + (channel ? CHANNEL_YIELD : 0) + yieldOff);
    }

    @Override
    public Pulled expected(ShotInputs inputs) {
        return expected(inputs, 1);
    }

    private Pulled expected(ShotInputs inputs, double drag) {
        double puck = PUCK_SECONDS_A_GRAM * drag * Math.exp(level + slope * inputs.finer())
                * Math.pow(inputs.dose() / USUAL.dose(), DOSE_POWER);
        double seconds = Math.min(LONGEST_SECONDS, SOAK_SECONDS * Math.exp(SOAK_SLOPE * inputs.finer())
                + inputs.beverage() * (PUMP_SECONDS_A_GRAM + puck));
        double ratio = inputs.beverage() / inputs.dose();
        double uneven = Math.max(0, inputs.finer() + level / slope);
        return new Pulled(seconds, most * -Math.expm1(-ratio)
                * Math.pow(-Math.expm1(-seconds / CONTACT_SECONDS), 0.4) - UNEVEN * uneven);
    }
}
