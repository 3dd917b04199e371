package org.grenu.core.demo.dialin;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Chances that were stated and what came of them.
 *
 * @param stated one for each proposal that was pulled
 */
public record Reliability(List<Stated> stated) {

    private static final int BINS = 10;
    /** A chance of 0 or 1 has no logit. */
    private static final double LEAST = 1e-3;
    private static final int ITERATIONS = 50;

    public Reliability {
        stated = List.copyOf(stated);
    }

    /** One proposal: the chance stated, in [0, 1], and whether what it was of came. */
    public record Stated(double chance, boolean came) {
    }

    /**
     * Proposals whose chances were alike.
     *
     * @param from  lower end of their chances, in [0, 1)
     * @param count how many
     * @param said  mean of their chances
     * @param came  share of them that met what was wanted
     */
    public record Bin(double from, int count, double said, double came) {
    }

    /** {@return the tenths in which there are any} */
    public List<Bin> bins() {
        List<List<Stated>> tenths = new ArrayList<>(Collections.nCopies(BINS, null));
        tenths.replaceAll(none -> new ArrayList<>());
        stated.forEach(one -> tenths.get(Math.min(BINS - 1, (int) (one.chance * BINS))).add(one));
        List<Bin> bins = new ArrayList<>();
        for (int i = 0; i < BINS; i++) {
            List<Stated> in = tenths.get(i);
            if (!in.isEmpty()) {
                bins.add(new Bin(i / (double) BINS, in.size(),
                        in.stream().mapToDouble(Stated::chance).average().orElseThrow(), share(in)));
            }
        }
        return bins;
    }

    /** {@return those of them whose chance was at least that} */
    public Reliability atLeast(double chance) {
        return new Reliability(stated.stream().filter(one -> one.chance >= chance).toList());
    }

    /** {@return mean of the chances, NaN of none} */
    public double said() {
        return stated.stream().mapToDouble(Stated::chance).average().orElse(Double.NaN);
    }

    /** {@return share of what came, NaN of none} */
    public double came() {
        return share(stated);
    }

    private static double share(List<Stated> some) {
        return some.stream().mapToDouble(one -> one.came ? 1 : 0).average().orElse(Double.NaN);
    }

    /**
     * {@return slope of the logistic recalibration, logit(came) = a + b·logit(said), by maximum likelihood; 1 where
     * chances come true, below 1 where they are too sure}
     *
     * <p>Reference: D. R. Cox, Two further applications of a model for binary regression, Biometrika 45 (1958),
     * 562–565 (from memory).
     */
    public double slope() {
        double a = 0;
        double b = 1;
        for (int k = 0; k < ITERATIONS; k++) {
            double ga = 0;
            double gb = 0;
            double aa = 0;
            double ab = 0;
            double bb = 0;
            for (Stated one : stated) {
                double x = logit(one.chance);
                double p = 1 / (1 + Math.exp(-a - b * x));
                double left = (one.came ? 1 : 0) - p;
                double w = p * (1 - p);
                ga += left;
                gb += left * x;
                aa += w;
                ab += w * x;
                bb += w * x * x;
            }
            double det = aa * bb - ab * ab;
            a += (bb * ga - ab * gb) / det;
            b += (aa * gb - ab * ga) / det;
        }
        return b;
    }

    private static double logit(double chance) {
        double inside = Math.max(LEAST, Math.min(1 - LEAST, chance));
        return Math.log(inside / (1 - inside));
    }
}
