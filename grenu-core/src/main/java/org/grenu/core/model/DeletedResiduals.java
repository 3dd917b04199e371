package org.grenu.core.model;

import java.util.Arrays;
import org.grenu.core.numbers.Samples;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Each row held against the model of all others: its residual over the spread that is left when the row is taken out,
 * which
 * is Student's t with one degree of freedom less (R. D. Cook, S. Weisberg, Residuals and Influence in Regression,
 * 1982, §2.2.2).
 */
public final class DeletedResiduals {

    private DeletedResiduals() {
    }

    /**
     * {@return two-sided p-values by row, corrected after Bonferroni for having looked at every row; NaN for a row
     * that the
     * model follows whatever it is, and for all rows where no degree of freedom is left without one}
     *
     * @param weights by row, as the fit had them
     */
    public static double[] of(FixedFit fit, Samples weights) {
        double[] residuals = fit.residuals();
        double[] leverages = fit.leverages();
        double[] p = new double[residuals.length];
        Arrays.fill(p, Double.NaN);
        int df = fit.residualDf() - 1;
        if (df < 1) {
            return p;
        }
        TDistribution t = new TDistribution(df);
        long judged = Arrays.stream(leverages).filter(h -> h < 1 - 1e-9).count();
        for (int i = 0; i < p.length; i++) {
            if (leverages[i] < 1 - 1e-9) {
                double squares = weights.get(i) * residuals[i] * residuals[i] / (1 - leverages[i]);
                double left = Math.max(0, fit.rss() - squares) / df;
                // Rows without any spread but this one's: it stands apart as surely as can be.
                double statistic = left > 1e-24 * Math.max(1, fit.rss()) ? Math.sqrt(squares / left)
                        : squares > 1e-18 * Math.max(1, fit.rss()) ? Double.POSITIVE_INFINITY : 0;
                p[i] = Math.min(1,
                        judged * 2 * (statistic == Double.POSITIVE_INFINITY ? 0 : t.cumulativeProbability(-statistic)));
            }
        }
        return p;
    }
}
