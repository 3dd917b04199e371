package org.grenu.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.numbers.Samples;

/**
 * A linear model whose groups (days, sessions) each shift all of their rows by an amount of their own:
 * Xβ + b + ε, Var b = τ², Var ε = σ²/w, fitted by restricted maximum likelihood over the ratio λ = τ²/σ².
 *
 * <p>Standard errors and degrees of freedom after M. G. Kenward, J. H. Roger, also where τ² is estimated as nought.
 */
public final class RandomInterceptFit implements ModelFit {

    private static final double MOST_RATIO = 1e6;
    private static final double LEAST_RATIO = 1e-8;
    /** So that rows without any spread still divide. */
    private static final double LEAST = 1e-24;
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
    private final KenwardRoger surety;

    private RandomInterceptFit(Design design, double[] y, double[] weights, List<int[]> groups,
            List<KnownSlope> known) {
        this.design = design;
        this.x = design.matrix();
        this.y = y;
        this.weights = weights;
        this.groups = groups;
        this.likelihood = new InterceptLikelihood(x, y, weights, groups);
        this.ratio = bestRatio();
        Whitened free = whitened(ratio, List.of(), 1);
        this.variance = free.solution().rss() / free.residualDf();
        this.whitened = known.isEmpty() ? free : whitened(ratio, known, Math.sqrt(variance));
        this.surety = new KenwardRoger(new KenwardRoger.Rows(x, weights, groups), whitened.solution().kept(), known,
                design, Math.max(variance, LEAST), ratio * variance);
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
        return of(design, y, weights, groups, List.of());
    }

    /** {@return the fit with slopes known beforehand, weighed by the spread that slopes left free leave} */
    public static RandomInterceptFit of(Design design, Samples y, Samples weights, Term.Levels groups,
            List<KnownSlope> known) {
        if (groups.levels().size() < 2 || y.size() != design.rows() || groups.rows() != design.rows()
                || !(weights.min() > 0)) {
            throw new IllegalArgumentException(
                    "a random intercept needs two groups, and every row a response and a positive weight");
        }
        List<int[]> rows = rows(groups);
        return new RandomInterceptFit(design, y.toArray(), weights.toArray(), rows, known);
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
        return Arrays.copyOf(whitened.leverages(), y.length);
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
        return Optional.of(new Estimate(whitened.value(contrast), Math.sqrt(surety.variance(contrast)),
                surety.df(contrast)));
    }

    @Override
    public Optional<FTest> typeTwo(Term term) {
        List<double[]> contrasts = whitened.typeTwo(term);
        if (contrasts.isEmpty() || residualDf() < 1) {
            return Optional.empty();
        }
        return Optional.of(surety.test(contrasts, contrasts.stream().mapToDouble(whitened::value).toArray()));
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
    private Whitened whitened(double lambda, List<KnownSlope> known, double spread) {
        double[][] scaled = new double[x.length + known.size()][];
        double[] response = new double[scaled.length];
        for (int k = 0; k < known.size(); k++) {
            scaled[x.length + k] = known.get(k).row(design, spread);
            response[x.length + k] = known.get(k).response(spread);
        }
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
