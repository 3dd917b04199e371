package org.grenu.core.learn;

import java.util.List;

/**
 * How long shots of one coffee on one grinder take, by what was set: common practice until its log, and those of the
 * coffees before it on that grinder, know better. Immutable. Linear in the notch and in the logarithms of time, dose and
 * beverage (handbook §§9, 17).
 */
public final class TimeBelief {

    /** How far off the first guess of a coffee's time may be, in its logarithm (handbook §17). */
    private static final double LEVEL = 0.5;

    /** A shot whose time is off by this much, in logarithms, counts half. Chosen on both physics of DialInStudy. */
    private static final double HALF_AT = 0.3;

    private final NormalInverseGamma belief;
    private final ShotInputs reference;
    private final List<String> otherProfiles;

    private TimeBelief(NormalInverseGamma belief, ShotInputs reference, List<String> otherProfiles) {
        this.belief = belief;
        this.reference = reference;
        this.otherProfiles = otherProfiles;
    }

    /**
     * {@return what is believed before the coffee's first shot}
     *
     * @param prior     of its grinder
     * @param reference what differences are counted from
     * @param seconds   how long a shot there is thought to take
     */
    public static TimeBelief before(TimePrior prior, ShotInputs reference, double seconds) {
        return before(prior, reference, seconds, List.of());
    }

    /**
     * {@return likewise, where shots by other profiles will be learnt from too}
     *
     * @param otherProfiles names, without the reference's
     */
    static TimeBelief before(TimePrior prior, ShotInputs reference, double seconds, List<String> otherProfiles) {
        return new TimeBelief(prior.withLevel(seconds, LEVEL, otherProfiles.size()), reference,
                List.copyOf(otherProfiles));
    }

    /** {@return what is believed after those shots too} */
    public TimeBelief given(List<TimedShot> shots) {
        double[][] x = shots.stream()
                .map(shot -> shot.inputs().from(reference, otherProfiles))
                .toArray(double[][]::new);
        double[] y = shots.stream().mapToDouble(shot -> Math.log(shot.seconds())).toArray();
        double[] weights = shots.stream().mapToDouble(TimedShot::weight).toArray();
        return new TimeBelief(belief.given(x, y, weights), reference, otherProfiles);
    }

    /**
     * {@return what is believed after those shots, of which those that took about that long count most} A line in the
     * notch holds for a part of the way only: a puck that chokes takes far longer than it says.
     */
    public TimeBelief givenNear(double seconds, List<TimedShot> shots) {
        return given(shots.stream().map(shot -> {
            double off = Math.log(shot.seconds() / seconds) / HALF_AT;
            return new TimedShot(shot.inputs(), shot.seconds(), shot.weight() / (1 + off * off));
        }).toList());
    }

    /** {@return what the next coffee on the grinder begins with} */
    public TimePrior forNextCoffee() {
        return TimePrior.after(belief);
    }

    /** {@return ln of the mean time there, s, with what is not known of it} */
    public StudentT fit(ShotInputs inputs) {
        return belief.fit(inputs.from(reference, otherProfiles));
    }

    /** {@return ln of the time of one more shot there, s} */
    public StudentT shot(ShotInputs inputs) {
        return belief.shot(inputs.from(reference, otherProfiles));
    }

    /** {@return the chance that a shot there takes from low to high, s} */
    public double chance(ShotInputs inputs, double low, double high) {
        return shot(inputs).between(Math.log(low), Math.log(high));
    }

    /** {@return by how much a notch finer lengthens ln(time)} */
    public StudentT notch() {
        return belief.coefficient(1);
    }

    /** {@return spread of ln(time) of a shot} */
    public double spread() {
        return belief.spread();
    }
}
