package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.special.Beta;

/**
 * Which of a coffee's shots strayed: that is not known, so that each possibility is kept with what is believed if it is
 * so. Of the newest shots every choice of up to two is weighed by how well it foretells all; older ones count by how
 * likely they are to have gone as they should.
 *
 * <p>Reference: the weights are the evidences of the conjugate model times a beta–binomial for how many strayed; A.
 * Gelman et al., Bayesian Data Analysis, 3rd ed., CRC Press 2013, chapters 14 and 22 (from memory).
 */
final class Strays {

    /** A case less likely than that is left out. */
    private static final double NEGLIGIBLE = 0.01;
    private static final int MOST_CASES = 6;
    private static final int NEWEST = 6;
    private static final int ROUNDS = 6;

    /**
     * One possibility.
     *
     * @param weight  how likely it is
     * @param strayed how many shots did
     */
    record Case(double weight, double strayed, NormalInverseGamma closed) {
    }

    private final NormalInverseGamma before;
    private final Practice.Stray stray;
    private final double priorStrayed;
    private final double priorUsual;
    private final double[][] x;
    private final double[] y;
    private final double[] weights;

    /**
     * The shots of one coffee, the newest last.
     *
     * @param prior  how many stray
     * @param before what is believed of the coffee
     * @param x       n × p
     * @param y       on the response's scale, length n
     * @param weights length n
     */
    Strays(ResponsePrior prior, NormalInverseGamma before, double[][] x, double[] y,
            double[] weights) {
        this.before = before;
        this.priorStrayed = prior.strayed();
        this.priorUsual = prior.usual();
        this.stray = prior.practice().stray();
        this.x = x;
        this.y = y;
        this.weights = weights;
    }

    /** {@return the possibilities, the likeliest first} */
    List<Case> cases() {
        double[] usual = new double[y.length];
        Arrays.fill(usual, 1);
        int old = Math.max(0, y.length - NEWEST);
        if (old > 0) {
            soften(usual, old);
        }
        // What the older shots teach is the same in every case.
        Older older = older(usual, old);
        double spread = before.given(x, y, weights).spread();
        List<Case> cases = new ArrayList<>();
        List<Double> logs = new ArrayList<>();
        for (int one = old - 1; one < y.length; one++) {
            for (int two = one < old ? y.length : one + 1; two <= y.length; two++) {
                weigh(older, old, one < old ? -1 : one, two < y.length ? two : -1, spread, cases, logs);
            }
        }
        return likely(cases, logs);
    }

    /** What is believed after the older shots, and how many of them strayed. */
    private record Older(NormalInverseGamma belief, double strayed) {
    }

    private Older older(double[] usual, int old) {
        double[] precision = new double[old];
        double strayed = 0;
        for (int i = 0; i < old; i++) {
            precision[i] = weights[i] * usual[i];
            strayed += 1 - usual[i];
        }
        return new Older(before.given(Arrays.copyOf(x, old), Arrays.copyOf(y, old), precision,
                Arrays.copyOf(weights, old)), strayed);
    }

    private void weigh(Older older, int old, int one, int two, double spread, List<Case> cases, List<Double> logs) {
        double[] value = Arrays.copyOfRange(y, old, y.length);
        double[] precision = Arrays.copyOfRange(weights, old, y.length);
        double strayed = older.strayed;
        for (int i : new int[] {one, two}) {
            if (i >= 0) {
                value[i - old] -= stray.by();
                precision[i - old] = 1 / (1 / weights[i] + Math.pow(stray.spread() / spread, 2));
                strayed++;
            }
        }
        NormalInverseGamma closed = older.belief.given(Arrays.copyOfRange(x, old, x.length), value, precision,
                Arrays.copyOfRange(weights, old, y.length));
        double log = closed.evidence(before)
                + Beta.logBeta(priorStrayed + strayed, priorUsual + y.length - strayed);
        for (double ofShot : precision) {
            log += Math.log(ofShot) / 2;
        }
        cases.add(new Case(1, strayed, closed));
        logs.add(log);
    }

    private static List<Case> likely(List<Case> cases, List<Double> logs) {
        double most = logs.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double all = logs.stream().mapToDouble(log -> Math.exp(log - most)).sum();
        List<Case> kept = new ArrayList<>();
        for (int i = 0; i < cases.size(); i++) {
            double weight = Math.exp(logs.get(i) - most) / all;
            if (weight >= NEGLIGIBLE) {
                kept.add(new Case(weight, cases.get(i).strayed, cases.get(i).closed));
            }
        }
        kept.sort((a, b) -> Double.compare(b.weight, a.weight));
        List<Case> likeliest = kept.subList(0, Math.min(MOST_CASES, kept.size()));
        double left = likeliest.stream().mapToDouble(Case::weight).sum();
        return likeliest.stream().map(one -> new Case(one.weight / left, one.strayed, one.closed)).toList();
    }

    /** How likely the older shots are to have gone as they should, by expectation and maximisation. */
    private void soften(double[] usual, int old) {
        for (int round = 0; round < ROUNDS; round++) {
            double[] precision = weights.clone();
            for (int i = 0; i < y.length; i++) {
                precision[i] *= usual[i];
            }
            NormalInverseGamma now = before.given(x, y, precision, weights);
            for (int i = 0; i < old; i++) {
                double noise = Math.pow(now.spread(), 2) / weights[i] + Math.pow(now.fit(x[i]).scale(), 2);
                double off = y[i] - now.fit(x[i]).location();
                double went = priorUsual * density(off, noise);
                double strayed = priorStrayed * density(off - stray.by(), noise + Math.pow(stray.spread(), 2));
                usual[i] = Math.max(NEGLIGIBLE, went / (went + strayed));
            }
        }
    }

    private static double density(double off, double variance) {
        return Math.exp(-off * off / (2 * variance)) / Math.sqrt(variance);
    }
}
