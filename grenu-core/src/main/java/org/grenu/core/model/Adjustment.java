package org.grenu.core.model;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** P-values corrected for asking several questions of the same data: the family-wise error stays at its level. */
public final class Adjustment {

    private Adjustment() {
    }

    /** {@return p-values after S. Holm, Scand. J. Statist. 6, 1979, 65–70, in the order given} */
    public static List<Double> holm(List<Double> p) {
        int m = p.size();
        int[] order = order(p);
        Double[] adjusted = new Double[m];
        double least = 0;
        for (int k = 0; k < m; k++) {
            least = Math.max(least, Math.min(1, (m - k) * p.get(order[k])));
            adjusted[order[k]] = least;
        }
        return Arrays.asList(adjusted);
    }

    private static int[] order(List<Double> p) {
        return IntStream.range(0, p.size())
                .boxed()
                .sorted(Comparator.comparing(p::get))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /**
     * {@return the p-value of a difference among all pairs of means, after Tukey and Kramer}
     *
     * @param means number of means, at least 2
     */
    public static double tukey(Estimate difference, int means) {
        return StudentizedRange.upperTail(Math.abs(difference.value() / difference.se()) * Math.sqrt(2), means,
                difference.df());
    }
}
