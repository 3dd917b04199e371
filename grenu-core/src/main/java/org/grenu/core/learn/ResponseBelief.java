package org.grenu.core.learn;

import java.util.List;

/**
 * What a response of one coffee on one grinder comes to, by what was set: common practice until its log, and those of
 * the coffees before it on that grinder, know better. Immutable. On its scale it is linear in the notch, in the
 * logarithms of dose and beverage, in temperature and age (handbook §§9, 17).
 */
public final class ResponseBelief {

    /** A shot whose time is off by this much, in logarithms, counts half. Chosen on both physics of DialInStudy. */
    private static final double HALF_AT = 0.3;

    private final NormalInverseGamma before;
    private final NormalInverseGamma closed;
    /** With practice as sure as it was, however closely shots agree. */
    private final NormalInverseGamma wide;
    private final NormalInverseGamma belief;
    private final ResponsePrior prior;
    private final ShotInputs reference;
    private final List<String> otherProfiles;

    private ResponseBelief(NormalInverseGamma before, NormalInverseGamma closed, ResponsePrior prior,
            ShotInputs reference, List<String> otherProfiles) {
        this.before = before;
        this.closed = closed;
        this.wide = closed.keepingWidth(before);
        this.belief = prior.practice().keepsWidth() ? wide : closed;
        this.prior = prior;
        this.reference = reference;
        this.otherProfiles = otherProfiles;
    }

    /**
     * {@return what is believed before the coffee's first shot}
     *
     * @param prior     of its grinder
     * @param reference what differences are counted from
     * @param guess     what a shot there is thought to come to, in the response's unit
     */
    public static ResponseBelief before(ResponsePrior prior, ShotInputs reference, double guess) {
        return before(prior, reference, guess, List.of());
    }

    /**
     * {@return likewise, where shots by other profiles will be learnt from too}
     *
     * @param otherProfiles names, without the reference's
     */
    static ResponseBelief before(ResponsePrior prior, ShotInputs reference, double guess,
            List<String> otherProfiles) {
        NormalInverseGamma before = prior.withLevel(guess, otherProfiles.size());
        return new ResponseBelief(before, before, prior, reference, List.copyOf(otherProfiles));
    }

    /** {@return what is believed after those shots too} */
    public ResponseBelief given(List<LearntShot> shots) {
        double[][] x = shots.stream()
                .map(shot -> shot.inputs().from(reference, otherProfiles))
                .toArray(double[][]::new);
        double[] y = shots.stream().mapToDouble(shot -> prior.practice().onScale(shot.value())).toArray();
        double[] weights = shots.stream().mapToDouble(LearntShot::weight).toArray();
        return new ResponseBelief(before, closed.given(x, y, weights), prior, reference, otherProfiles);
    }

    /**
     * {@return what is believed of a time after those shots, of which those that took about that long count most} A
     * line in the notch holds for a part of the way only: a puck that chokes takes far longer than it says.
     */
    public ResponseBelief givenNear(double seconds, List<LearntShot> shots) {
        return given(shots.stream().map(shot -> shot.less(nearness(shot.value(), seconds))).toList());
    }

    /**
     * {@return how much a shot counts that took so long where another time is wanted, in (0, 1]} Whatever is learnt of
     * a puck that choked tells little of one that did not.
     */
    public static double nearness(double seconds, double wanted) {
        double off = Math.log(seconds / wanted) / HALF_AT;
        return 1 / (1 + off * off);
    }

    /** {@return what the next coffee on the grinder begins with} */
    public ResponsePrior forNextCoffee() {
        return prior.after(belief);
    }

    /** {@return the mean there, with what is not known of it} */
    public Prediction fit(ShotInputs inputs) {
        return new Prediction(belief.fit(inputs.from(reference, otherProfiles)), prior.practice());
    }

    /** {@return one more shot there} */
    public Prediction shot(ShotInputs inputs) {
        return new Prediction(belief.shot(inputs.from(reference, otherProfiles)), prior.practice());
    }

    /** {@return by how much that moves the response, on its scale} */
    public StudentT slope(Slope slope) {
        return belief.coefficient(slope.ordinal() + 1);
    }

    /**
     * {@return how much of what is known of the lever's slope the log has told, from 0 where common practice alone
     * speaks to 1} By how much narrower it is, in squares, than practice leaves it.
     */
    public double learnt(Slope slope) {
        int place = slope.ordinal() + 1;
        double width = wide.spread() / prior.practice().deviation(slope.ordinal());
        return Math.max(0, 1 - wide.scale().getEntry(place, place) * width * width);
    }

    /** {@return whether common practice speaks louder of the lever's slope than the log} */
    public boolean mostlyAssumed(Slope slope) {
        return learnt(slope) < 0.5;
    }

    /**
     * {@return by how much what was set otherwise moves the response, on its scale} With practice's own width, so that
     * a lever that was never moved is not known the better for shots that agree.
     *
     * @param to differs from the other in something
     */
    public StudentT effect(ShotInputs from, ShotInputs to) {
        double[] x = to.from(reference, otherProfiles);
        double[] less = from.from(reference, otherProfiles);
        for (int i = 0; i < x.length; i++) {
            x[i] -= less[i];
        }
        return wide.fit(x);
    }

    /** {@return the spread of a shot, on the scale} */
    public double spread() {
        return belief.spread();
    }

    /** {@return what response it is} */
    public Practice practice() {
        return prior.practice();
    }
}
