package org.grenu.core.compare;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.grenu.core.model.Estimate;
import org.grenu.core.quantity.Measured;

/**
 * One shot on each side: how a repeat would come out is unknown, so the difference is held against the uncertainty of
 * measuring alone (k = 2, or more where few readings scatter; the parts that each shot has for itself), and no
 * verdict goes beyond that.
 */
final class SingleShots {

    /** Known uncertainties count as from so many repeats. */
    private static final double KNOWN = 1e6;

    private SingleShots() {
    }

    /** {@return the effect; empty when the contrast is not that of one shot with another} */
    static Optional<Effect> effect(ResponseModel model, Contrast asked, double margin) {
        double[] contrast = asked.weights();
        double[][] rows = model.fit().design().matrix();
        double[] errors = model.errors();
        for (int i = 0; i < rows.length; i++) {
            for (int j = 0; j < rows.length; j++) {
                if (i != j && alone(rows, i) && alone(rows, j) && isDifference(contrast, rows[i], rows[j])) {
                    double scale = scale(contrast, rows[i], rows[j]);
                    double difference = (model.values().get(i).value() - model.values().get(j).value()) * scale;
                    double df = Measured.joined(errors[i], model.values().get(i).df(), errors[j],
                            model.values().get(j).df());
                    Measured apart = new Measured(difference, Math.hypot(errors[i], errors[j]) * Math.abs(scale), 0,
                            df);
                    return Optional.of(between(asked, apart, margin));
                }
            }
        }
        return Optional.empty();
    }

    private static Effect between(Contrast asked, Measured apart, double margin) {
        double difference = apart.value();
        double u = apart.u();
        boolean beyond = u > 0 && Math.abs(difference) > apart.expanded();
        return new Effect(Effect.Change.of(asked),
                new Effect.Size(Optional.of(new Estimate(difference, u, Math.min(KNOWN, apart.df()))),
                        apart.expanded(), Double.NaN, OptionalDouble.empty(), Effect.Spread.MEASURING),
                margin,
                new Verdict.SeenOnce(beyond));
    }

    private static boolean alone(double[][] rows, int row) {
        return IntStream.range(0, rows.length).filter(other -> Arrays.equals(rows[other], rows[row])).count()
                == 1;
    }

    private static boolean isDifference(double[] contrast, double[] one, double[] other) {
        double scale = scale(contrast, one, other);
        return Double.isFinite(scale) && IntStream.range(0, contrast.length)
                .allMatch(k -> Math.abs(contrast[k] - scale * (one[k] - other[k]))
                        < 1e-9 * Math.max(1, Math.abs(contrast[k])));
    }

    /** How many times the rows' difference the contrast is, by the first column in which they differ. */
    private static double scale(double[] contrast, double[] one, double[] other) {
        for (int k = 0; k < contrast.length; k++) {
            if (one[k] != other[k]) {
                double scale = contrast[k] / (one[k] - other[k]);
                return scale > 0 ? scale : Double.NaN;
            }
        }
        return Double.NaN;
    }
}
