package org.grenu.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.numbers.Samples;

/**
 * A linear model whose groups (days, sessions) each shift all of their rows by an amount of their own:
 * Xβ + b + ε, Var b = τ², Var ε = σ²/w, fitted by restricted maximum likelihood over the ratio λ = τ²/σ².
 *
 * <p>Degrees of freedom after Satterthwaite: 2v²/Var v, with v the contrast's variance and the covariance of (σ², τ²)
 * from the curvature of the restricted likelihood; for several contrasts at once after A. Kuznetsova, P. B.
 * Brockhoff,
 * R. H. B. Christensen, J. Stat. Softw. 82(13), 2017. Where τ² is estimated as nought, those of fixed effects.
 */
public final class RandomInterceptFit implements ModelFit {

    private static final double MOST_RATIO = 1e6;
    private static final double LEAST_RATIO = 1e-8;
    private static final double STEP = 0.01;
    private static final int SEARCH_STEPS = 60;

    private final Design design;
    private final double[][] x;
    private final double[] y;
    private final double[] weights;
    private final List<int[]> groups;
    private final Whitened whitened;
    private final InterceptLikelihood likelihood;
    private final double ratio;
    private final double variance;
    /** Covariance of (σ², τ²); null where τ² is nought. */
    private final double[][] ofVariances;

    private RandomInterceptFit(Design design, double[] y, double[] weights, List<int[]> groups) {
        this.design = design;
        this.x = design.matrix();
        this.y = y;
        this.weights = weights;
        this.groups = groups;
        this.likelihood = new InterceptLikelihood(x, y, weights, groups);
        this.ratio = bestRatio();
        this.whitened = whitened(ratio);
        this.variance = whitened.solution().rss() / whitened.residualDf();
        this.ofVariances = ratio > 0 ? covarianceOfVariances() : null;
    }

    /**
     * {@return the fit}
     *
     * @param y       response by row; finite
     * @param weights by row, in (0, ∞)
     * @param groups  the group of each row
     * @throws IllegalArgumentException if there are fewer than two groups, or not more rows than columns
     */
    public static RandomInterceptFit of(Design design, Samples y, Samples weights, Term.Levels groups) {
        if (groups.levels().size() < 2 || y.size() != design.rows() || groups.rows() != design.rows()
                || !(weights.min() > 0)) {
            throw new IllegalArgumentException(
                    "a random intercept needs two groups, and every row a response and a positive weight");
        }
        List<int[]> rows = rows(groups);
        return new RandomInterceptFit(design, y.toArray(), weights.toArray(), rows);
    }

    private static List<int[]> rows(Term.Levels groups) {
        List<int[]> rows = new ArrayList<>();
        for (int g = 0; g < groups.levels().size(); g++) {
            List<Integer> members = new ArrayList<>();
            for (int i = 0; i < groups.rows(); i++) {
                if (groups.level().get(i) == g) {
                    members.add(i);
                }
            }
            rows.add(members.stream().mapToInt(Integer::intValue).toArray());
        }
        return rows;
    }

    /** {@return standard deviation of the groups' shifts} */
    public double groupDeviation() {
        return Math.sqrt(ratio * variance);
    }

    @Override
    public Design design() {
        return design;
    }

    @Override
    public double[] coefficients() {
        return whitened.coefficients();
    }

    @Override
    public double deviation() {
        return Math.sqrt(variance);
    }

    @Override
    public int residualDf() {
        return whitened.residualDf();
    }

    /** Less the groups' shifts too, as far as they are foreseen. */
    @Override
    public double[] residuals() {
        double[] residuals = new double[y.length];
        for (int[] rows : groups) {
            double sum = 0;
            double weight = 0;
            for (int i : rows) {
                residuals[i] = y[i] - whitened.value(x[i]);
                sum += weights[i] * residuals[i];
                weight += weights[i];
            }
            double shift = ratio * sum / (1 + ratio * weight);
            for (int i : rows) {
                residuals[i] -= shift;
            }
        }
        return residuals;
    }

    @Override
    public double[] leverages() {
        return whitened.leverages();
    }

    @Override
    public boolean estimable(double[] contrast) {
        return whitened.estimable(contrast);
    }

    @Override
    public Optional<Estimate> estimate(double[] contrast) {
        if (residualDf() < 1 || !estimable(contrast)) {
            return Optional.empty();
        }
        return Optional.of(new Estimate(whitened.value(contrast),
                Math.sqrt(variance * whitened.unscaledVariance(contrast)), satterthwaite(contrast)));
    }

    @Override
    public Optional<FTest> typeTwo(Term term) {
        List<double[]> contrasts = whitened.typeTwo(term);
        if (contrasts.isEmpty() || residualDf() < 1) {
            return Optional.empty();
        }
        double squares = contrasts.stream().mapToDouble(whitened::value).map(v -> v * v).sum();
        int q = contrasts.size();
        return Optional.of(new FTest(squares / q / variance, q, together(contrasts)));
    }

    private double together(List<double[]> contrasts) {
        int q = contrasts.size();
        if (q == 1) {
            return satterthwaite(contrasts.get(0));
        }
        double sum = 0;
        for (double[] contrast : contrasts) {
            double df = satterthwaite(contrast);
            sum += df > 2 ? df / (df - 2) : 0;
        }
        return sum > q ? 2 * sum / (sum - q) : 2;
    }

    private double satterthwaite(double[] contrast) {
        if (ofVariances == null) {
            return residualDf();
        }
        double tau = ratio * variance;
        double v = variance * whitened.unscaledVariance(contrast);
        double[] gradient = {slope(h -> likelihood.variance(contrast, variance * (1 + h), tau)) / variance,
                slope(h -> likelihood.variance(contrast, variance, tau * (1 + h))) / tau};
        double spread = 0;
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2; j++) {
                spread += gradient[i] * ofVariances[i][j] * gradient[j];
            }
        }
        return 2 * v * v / spread;
    }

    private interface Along {
        double at(double h);
    }

    /** Derivative at 0, by central differences extrapolated once (Richardson). */
    private static double slope(Along f) {
        double coarse = (f.at(STEP) - f.at(-STEP)) / (2 * STEP);
        double fine = (f.at(STEP / 2) - f.at(-STEP / 2)) / STEP;
        return (4 * fine - coarse) / 3;
    }

    /** Twice the inverse of the curvature of minus twice the restricted log-likelihood. */
    private double[][] covarianceOfVariances() {
        double tau = ratio * variance;
        double middle = likelihood.deviance(variance, tau);
        double ss = second(h -> likelihood.deviance(variance * (1 + h), tau), middle) / (variance * variance);
        double tt = second(h -> likelihood.deviance(variance, tau * (1 + h)), middle) / (tau * tau);
        double st = slope(h -> slope(k -> likelihood.deviance(variance * (1 + h), tau * (1 + k)))) / (variance * tau);
        double determinant = ss * tt - st * st;
        return new double[][] {{2 * tt / determinant, -2 * st / determinant},
                {-2 * st / determinant, 2 * ss / determinant}};
    }

    private static double second(Along f, double middle) {
        double coarse = (f.at(STEP) - 2 * middle + f.at(-STEP)) / (STEP * STEP);
        double fine = (f.at(STEP / 2) - 2 * middle + f.at(-STEP / 2)) / (STEP * STEP / 4);
        return (4 * fine - coarse) / 3;
    }

    /** A coarse look over all ratios, then golden sections about the best; nought when that is better still. */
    private double bestRatio() {
        double from = Math.log(LEAST_RATIO);
        double width = (Math.log(MOST_RATIO) - from) / SEARCH_STEPS;
        double best = from;
        double least = likelihood.profiled(LEAST_RATIO);
        for (int k = 1; k <= SEARCH_STEPS; k++) {
            double value = likelihood.profiled(Math.exp(from + k * width));
            best = value < least ? from + k * width : best;
            least = Math.min(least, value);
        }
        double golden = (Math.sqrt(5) - 1) / 2;
        double low = best - width;
        double high = best + width;
        while (high - low > 1e-8) {
            double a = high - golden * (high - low);
            double b = low + golden * (high - low);
            if (likelihood.profiled(Math.exp(a)) < likelihood.profiled(Math.exp(b))) {
                high = b;
            } else {
                low = a;
            }
        }
        double found = Math.exp((low + high) / 2);
        return found <= 2 * LEAST_RATIO || likelihood.profiled(0) <= likelihood.profiled(found) ? 0 : found;
    }

    /** Rows scaled and, within each group, mixed by V^(−1/2) = I − k·uuᵀ, u the roots of the weights, σ = 1. */
    private Whitened whitened(double lambda) {
        double[][] scaled = new double[x.length][];
        double[] response = new double[x.length];
        for (int[] rows : groups) {
            double weight = 0;
            double[] sums = new double[x[0].length];
            double sum = 0;
            for (int i : rows) {
                weight += weights[i];
                sum += weights[i] * y[i];
                for (int j = 0; j < sums.length; j++) {
                    sums[j] += weights[i] * x[i][j];
                }
            }
            double k = weight == 0 ? 0 : (1 - 1 / Math.sqrt(1 + lambda * weight)) / weight;
            for (int i : rows) {
                double root = Math.sqrt(weights[i]);
                scaled[i] = new double[sums.length];
                for (int j = 0; j < sums.length; j++) {
                    scaled[i][j] = root * (x[i][j] - k * sums[j]);
                }
                response[i] = root * (y[i] - k * sum);
            }
        }
        return new Whitened(design, scaled, response);
    }
}
