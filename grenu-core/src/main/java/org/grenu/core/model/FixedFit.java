package org.grenu.core.model;

import java.util.List;
import java.util.Optional;
import org.grenu.core.numbers.Samples;

/**
 * A linear model with fixed effects, fitted by (weighted) least squares: Xβ + ε, Var ε = σ²/w.
 */
public final class FixedFit implements ModelFit {

    private final Design design;
    private final double[] residuals;
    private final Whitened whitened;
    private final double weightedSquares;

    private FixedFit(Design design, double[] y, double[] weights) {
        double[][] x = design.matrix();
        double[][] scaled = new double[x.length][];
        double[] response = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            double root = Math.sqrt(weights[i]);
            scaled[i] = x[i].clone();
            for (int j = 0; j < x[i].length; j++) {
                scaled[i][j] *= root;
            }
            response[i] = y[i] * root;
        }
        this.design = design;
        this.whitened = new Whitened(design, scaled, response);
        this.weightedSquares = whitened.solution().rss();
        this.residuals = whitened.solution().residuals().clone();
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
        return new FixedFit(design, y.toArray(), weights.toArray());
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
