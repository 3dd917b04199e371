package org.grenu.core.model;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.numbers.Samples;

/**
 * A linear model with fixed effects, fitted by (weighted) least squares: Xβ + ε, Var ε = σ²/w.
 */
public final class FixedFit implements ModelFit {

    private static final int ROUNDS = 50;
    private static final double SETTLED = 1e-9;

    private final Design design;
    private final double[] residuals;
    private final Whitened whitened;
    private final double weightedSquares;

    private FixedFit(Design design, double[] y, double[] weights, List<KnownSlope> known, double spread) {
        double[][] x = design.matrix();
        int rows = x.length + known.size();
        double[][] scaled = new double[rows][];
        double[] response = new double[rows];
        for (int i = 0; i < x.length; i++) {
            double root = Math.sqrt(weights[i]);
            scaled[i] = x[i].clone();
            for (int j = 0; j < x[i].length; j++) {
                scaled[i][j] *= root;
            }
            response[i] = y[i] * root;
        }
        for (int k = 0; k < known.size(); k++) {
            scaled[x.length + k] = known.get(k).row(design, spread);
            response[x.length + k] = known.get(k).response(spread);
        }
        this.design = design;
        this.whitened = new Whitened(design, scaled, response);
        this.weightedSquares = whitened.solution().rss();
        this.residuals = Arrays.copyOf(whitened.solution().residuals(), x.length);
        for (int i = 0; i < residuals.length; i++) {
            residuals[i] /= Math.sqrt(weights[i]);
        }
    }

    /**
     * {@return the fit}
     *
     * @param y       response by row; finite
     * @param weights by row, in (0, ∞); inverse to the row's variance
     * @throws IllegalArgumentException if the lengths differ or a weight is not positive
     */
    public static FixedFit of(Design design, Samples y, Samples weights) {
        if (y.size() != design.rows() || weights.size() != design.rows() || !(weights.min() > 0)) {
            throw new IllegalArgumentException("every row needs a response and a positive weight");
        }
        return new FixedFit(design, y.toArray(), weights.toArray(), List.of(), 1);
    }

    /**
     * {@return the fit with slopes known beforehand, weighed by the spread that it leaves} That spread is found by
     * turns, from the one that slopes left free leave.
     *
     * @throws IllegalArgumentException as without them
     */
    public static FixedFit of(Design design, Samples y, Samples weights, List<KnownSlope> known) {
        FixedFit fit = of(design, y, weights);
        for (int round = 0; round < ROUNDS && !known.isEmpty(); round++) {
            double before = fit.residualDf() > 0 ? fit.deviation() : 0;
            double spread = before > 0 ? before : known.get(0).deviation();
            fit = new FixedFit(design, y.toArray(), weights.toArray(), known, spread);
            if (fit.residualDf() < 1 || Math.abs(fit.deviation() - before) <= SETTLED * before) {
                break;
            }
        }
        return fit;
    }

    /** {@return the fit with known slopes, the rows' spread being known as well} */
    static FixedFit of(Design design, Samples y, Samples weights, List<KnownSlope> known, double spread) {
        return new FixedFit(design, y.toArray(), weights.toArray(), known, spread);
    }

    /** {@return the sum of squares left over, weighted} */
    public double rss() {
        return weightedSquares;
    }

    /** {@return a search for rows to repeat} */
    MoreRows moreRows(double[] contrast) {
        return new MoreRows(design.matrix(), whitened.inverse(), contrast);
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
        return Math.sqrt(weightedSquares / whitened.residualDf());
    }

    @Override
    public int residualDf() {
        return whitened.residualDf();
    }

    @Override
    public double[] residuals() {
        return residuals.clone();
    }

    @Override
    public double[] leverages() {
        return Arrays.copyOf(whitened.leverages(), residuals.length);
    }

    /** What that combination rests on; a slope known beforehand spreads as it is known to. */
    UnequalSpread.Rows rows(double[] contrast) {
        double[] squares = whitened.solution().residuals().clone();
        double[] leverages = whitened.leverages();
        for (int i = 0; i < squares.length; i++) {
            squares[i] = i < residuals.length ? squares[i] * squares[i]
                    : deviation() * deviation() * (1 - leverages[i]);
        }
        return new UnequalSpread.Rows(whitened.shares(contrast), squares, leverages, whitened.axes());
    }

    double value(double[] contrast) {
        return whitened.value(contrast);
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
                deviation() * Math.sqrt(whitened.unscaledVariance(contrast)), residualDf()));
    }

    @Override
    public Optional<FTest> typeTwo(Term term) {
        List<double[]> contrasts = whitened.typeTwo(term);
        if (contrasts.isEmpty() || residualDf() < 1) {
            return Optional.empty();
        }
        double squares = contrasts.stream().mapToDouble(whitened::value).map(v -> v * v).sum();
        return Optional.of(
                new FTest(squares / contrasts.size() / (deviation() * deviation()), contrasts.size(), residualDf()));
    }
}
