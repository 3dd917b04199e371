package org.grenu.core.compare;

import java.util.Optional;
import org.grenu.core.model.Power;
import org.grenu.core.response.Response;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * What repeats of one recipe say of a response: its mean and the spread that every other verdict rests on.
 *
 * @param response the response
 * @param shots number of repeats, at least 2
 * @param mean in the response's unit
 * @param half half the mean's 95 % interval
 * @param scatter how far alike shots spread
 * @param detectable least difference between two arms of as many shots each that is found four times in five
 */
public record Repeatability(Response response, int shots, double mean, double half, Scatter scatter,
        double detectable) {

    /**
     * How far alike shots spread.
     *
     * @param spread standard deviation from shot to shot, same unit
     * @param spreadLow lower end of its 95 % interval (χ²)
     * @param spreadHigh upper end
     */
    public record Scatter(double spread, double spreadLow, double spreadHigh) {
    }

    /** {@return standard deviation from shot to shot, same unit} */
    public double spread() {
        return scatter.spread;
    }

    /** {@return lower end of its 95 % interval (χ²)} */
    public double spreadLow() {
        return scatter.spreadLow;
    }

    /** {@return upper end} */
    public double spreadHigh() {
        return scatter.spreadHigh;
    }

    private static final double LIKELY = 0.8;
    private static final int HALVINGS = 50;

    /**
     * {@return the repeatability; empty when something that was asked about changed, or fewer than two shots tell
     * of the response}
     */
    public static Optional<Repeatability> of(ResponseAnswer answer) {
        int n = answer.rows().size();
        if (!answer.effects().isEmpty() || n < 2 || !(answer.deviation() > 0)) {
            return Optional.empty();
        }
        double mean = answer.rows().stream().mapToDouble(RowResidual::value).average().orElseThrow();
        double spread = answer.deviation();
        int df = answer.residualDf();
        ChiSquaredDistribution chi = new ChiSquaredDistribution(df);
        double half = new TDistribution(df).inverseCumulativeProbability(1 - Question.ALPHA / 2) * spread
                / Math.sqrt(n);
        return Optional.of(new Repeatability(answer.response(), n, mean, half, new Scatter(spread,
                spread * Math.sqrt(df / chi.inverseCumulativeProbability(1 - Question.ALPHA / 2)),
                spread * Math.sqrt(df / chi.inverseCumulativeProbability(Question.ALPHA / 2))), detectable(spread, n)));
    }

    private static double detectable(double spread, int each) {
        double se = spread * Math.sqrt(2.0 / each);
        double low = 0;
        double high = 100 * se;
        for (int k = 0; k < HALVINGS; k++) {
            double middle = (low + high) / 2;
            if (Power.ofDifference(middle, se, 2 * each - 2, Question.ALPHA) < LIKELY) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    /**
     * {@return such as "EY as dosed 21.30 ±0.13 %, spread 0.21 (0.15–0.36) points; two arms of 12 tell differences
     * from 0.25 on"}
     */
    public String words() {
        return response.title() + " " + (Wording.reported(mean, half) + " " + response.unit()).strip() + ", spread "
                + Wording.digits(spread()) + " (" + Wording.digits(spreadLow()) + "–"
                + Wording.digits(spreadHigh()) + ") " + (response.differenceUnit() + "; two arms of " + shots).strip()
                + " tell differences from " + Wording.digits(detectable) + " on";
    }
}
