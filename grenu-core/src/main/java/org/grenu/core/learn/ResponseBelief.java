package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * What a response of one coffee on one grinder comes to, by what was set: common practice until its log, and those of
 * the coffees before it on that grinder, know better. Immutable. On its scale it is linear in the notch, in the
 * logarithms of dose and beverage, in temperature and age, but for a bend in the notch and for what the grinder keeps;
 * some shots stray (handbook §§9, 17, 24).
 */
public final class ResponseBelief {

    private final NormalInverseGamma before;
    private final List<LearntShot> shots;
    private final List<Known> known;
    private final double strayed;
    private final ResponsePrior prior;
    private final ShotInputs reference;
    private final List<String> otherProfiles;

    /** One possibility of which shots strayed, with practice as sure as it was, however closely the others agree. */
    private record Known(double weight, NormalInverseGamma belief) {
    }

    private ResponseBelief(NormalInverseGamma before, List<LearntShot> shots, ResponsePrior prior,
            ShotInputs reference, List<String> otherProfiles) {
        this.before = before;
        this.shots = List.copyOf(shots);
        this.prior = prior;
        this.reference = reference;
        this.otherProfiles = otherProfiles;
        if (shots.isEmpty()) {
            this.known = List.of(new Known(1, before));
            this.strayed = prior.strayed();
        } else {
            List<Strays.Case> cases = cases();
            this.known = cases.stream()
                    .map(one -> new Known(one.weight(), one.closed().keepingWidth(before)))
                    .toList();
            this.strayed = prior.strayed() + cases.stream().mapToDouble(one -> one.weight() * one.strayed()).sum();
        }
    }

    /** Shots with those that the prior counts for. */
    private double counted() {
        return prior.strayed() + prior.usual() + shots.size();
    }

    private List<Strays.Case> cases() {
        double[][] x = shots.stream().map(shot -> row(shot.inputs())).toArray(double[][]::new);
        double[] y = shots.stream().mapToDouble(shot -> prior.practice().onScale(shot.value())).toArray();
        double[] weights = shots.stream().mapToDouble(LearntShot::weight).toArray();
        return new Strays(prior, before, x, y, weights).cases();
    }

    private double[] row(ShotInputs inputs) {
        return inputs.from(reference, otherProfiles);
    }

    private Mixture mixed(Function<NormalInverseGamma, StudentT> of) {
        return new Mixture(known.stream().map(one -> new Mixture.Part(one.weight, of.apply(one.belief))).toList());
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
        return new ResponseBelief(before, List.of(), prior, reference, List.copyOf(otherProfiles));
    }

    /**
     * {@return what is believed after those shots too}
     *
     * @param more the newest last
     */
    public ResponseBelief given(List<LearntShot> more) {
        List<LearntShot> all = new ArrayList<>(shots);
        all.addAll(more);
        return new ResponseBelief(before, all, prior, reference, otherProfiles);
    }

    /** {@return what is believed of a time near that one after those shots, in s} */
    public ResponseBelief givenNear(double seconds, List<LearntShot> more) {
        return given(more.stream().map(shot -> shot.near(practice(), shot.value(), seconds)).toList());
    }

    /** {@return what the next coffee on the grinder begins with} */
    public ResponsePrior forNextCoffee() {
        return prior.after(known.get(0).belief, strayed, counted() - strayed);
    }

    /** {@return the mean there, with what is not known of it} */
    public Prediction fit(ShotInputs inputs) {
        double[] x = row(inputs);
        return new Prediction(mixed(belief -> new StudentT(belief.fit(x).location(), belief.fit(x).scale(),
                belief.shot(x, 0, 0).degrees())), practice());
    }

    /** {@return one more shot there} */
    public Prediction shot(ShotInputs inputs) {
        double[] x = row(inputs);
        Practice.Stray stray = practice().stray();
        return new Prediction(mixed(belief -> belief.shot(x, 0, 0)),
                mixed(belief -> belief.shot(x, stray.by(), stray.spread())), strays(), practice());
    }

    /** {@return by how much that moves the response, on its scale} */
    public StudentT slope(Slope slope) {
        return mixed(belief -> belief.coefficient(slope.ordinal() + 1)).asOne();
    }

    /**
     * {@return how much of what is known of the lever's slope the log has told, from 0 where common practice alone
     * speaks to 1} By how much narrower it is, in squares, than practice leaves it.
     */
    public double learnt(Slope slope) {
        double width = slope(slope).scale() / prior.practice().deviation(slope.ordinal());
        return Math.max(0, 1 - width * width);
    }

    /** {@return whether common practice speaks louder of the lever's slope than the log} */
    public boolean mostlyAssumed(Slope slope) {
        return learnt(slope) < 0.5;
    }

    /**
     * {@return by how much what was set otherwise moves the response, on its scale}
     *
     * @param to differs from the other in something
     */
    public StudentT effect(ShotInputs from, ShotInputs to) {
        double[] x = row(to);
        double[] less = row(from);
        for (int i = 0; i < x.length; i++) {
            x[i] -= less[i];
        }
        return mixed(belief -> belief.fit(x)).asOne();
    }

    /** {@return the spread of a shot that goes as it should, on the scale} */
    public double spread() {
        return Math.sqrt(known.stream().mapToDouble(one -> one.weight * Math.pow(one.belief.spread(), 2)).sum());
    }

    /** {@return the chance that a shot strays, in (0, 1)} */
    public double strays() {
        return strayed / counted();
    }

    /** {@return what response it is} */
    public Practice practice() {
        return prior.practice();
    }
}
