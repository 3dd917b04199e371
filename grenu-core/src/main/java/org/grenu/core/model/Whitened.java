package org.grenu.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A model whose rows were scaled and mixed so that their errors are alike and independent, and its solution. */
final class Whitened {

    private static final double ROUNDING = 1e-7;

    private final Design design;
    private final double[][] x;
    private final double[] y;
    private final LeastSquares.Solution solution;
    /** Made when first asked for; whoever comes second makes the same. */
    private double[][] axes;

    Whitened(Design design, double[][] x, double[] y) {
        this.design = design;
        this.x = x;
        this.y = y;
        this.solution = LeastSquares.solve(x, y);
    }

    LeastSquares.Solution solution() {
        return solution;
    }

    int residualDf() {
        return y.length - solution.kept().length;
    }

    /** By column; 0 where aliased, which serves every estimable combination. */
    double[] coefficients() {
        double[] coefficients = new double[design.columns()];
        for (int k = 0; k < solution.kept().length; k++) {
            coefficients[solution.kept()[k]] = solution.coefficients()[k];
        }
        return coefficients;
    }

    double value(double[] contrast) {
        double sum = 0;
        double[] coefficients = coefficients();
        for (int i = 0; i < contrast.length; i++) {
            sum += contrast[i] * coefficients[i];
        }
        return sum;
    }

    /** Variance of the combination over σ². */
    double unscaledVariance(double[] contrast) {
        double sum = 0;
        for (double a : solution.root(contrast)) {
            sum += a * a;
        }
        return sum;
    }

    /** (XᵀX)⁻¹ over the kept columns, noughts elsewhere. */
    double[][] inverse() {
        double[][] roots = new double[design.columns()][];
        for (int k : solution.kept()) {
            double[] unit = new double[design.columns()];
            unit[k] = 1;
            roots[k] = solution.root(unit);
        }
        double[][] inverse = new double[roots.length][roots.length];
        for (int i : solution.kept()) {
            for (int j : solution.kept()) {
                for (int k = 0; k < roots[i].length; k++) {
                    inverse[i][j] += roots[i][k] * roots[j][k];
                }
            }
        }
        return inverse;
    }

    /**
     * A combination is determined when it is one of the model matrix's rows, but for rounding in proportion to the
     * columns.
     */
    boolean estimable(double[] contrast) {
        double[] a = solution.root(contrast);
        double length = Math.sqrt(Arrays.stream(a).map(v -> v * v).sum());
        for (int j = 0; j < contrast.length; j++) {
            double made = 0;
            double column = 0;
            for (int i = 0; i < a.length; i++) {
                made += solution.rows()[i][j] * a[i];
                column += solution.rows()[i][j] * solution.rows()[i][j];
            }
            if (!(Math.abs(made - contrast[j]) <= ROUNDING * (Math.sqrt(column) * length + Math.abs(contrast[j])))) {
                return false;
            }
        }
        return true;
    }

    /** By row the share in that combination: X(XᵀX)⁻¹l. */
    double[] shares(double[] contrast) {
        double[][] inverse = inverse();
        double[] direction = new double[contrast.length];
        for (int i : solution.kept()) {
            for (int j : solution.kept()) {
                direction[i] += inverse[i][j] * contrast[j];
            }
        }
        double[] shares = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            for (int j : solution.kept()) {
                shares[i] += x[i][j] * direction[j];
            }
        }
        return shares;
    }

    /** Orthonormal basis of the columns, an axis each. */
    double[][] axes() {
        if (axes == null) {
            axes = LeastSquares.axes(x);
        }
        return axes;
    }

    double[] leverages() {
        double[] leverages = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            leverages[i] = Math.min(1, unscaledVariance(x[i]));
        }
        return leverages;
    }

    /**
     * The term's contrasts for a type II test, each of variance σ² and independent of the others: the rows of QᵀX
     * that
     * belong to the term when it stands after all terms that do not contain it. None when nothing of it can be told.
     */
    List<double[]> typeTwo(Term term) {
        List<Integer> order = new ArrayList<>(List.of(0));
        List<Integer> own = new ArrayList<>();
        List<Integer> after = new ArrayList<>();
        for (Term other : design.terms()) {
            List<Integer> to = other.equals(term) ? own : other.contains(term) ? after : order;
            for (int k = 0; k < other.averaged().length; k++) {
                to.add(design.firstColumn(other) + k);
            }
        }
        int from = order.size();
        order.addAll(own);
        int to = order.size();
        order.addAll(after);
        double[][] reordered = new double[x.length][order.size()];
        for (int i = 0; i < x.length; i++) {
            for (int j = 0; j < order.size(); j++) {
                reordered[i][j] = x[i][order.get(j)];
            }
        }
        LeastSquares.Solution other = LeastSquares.solve(reordered, y);
        List<double[]> contrasts = new ArrayList<>();
        for (int k = 0; k < other.kept().length; k++) {
            if (other.kept()[k] >= from && other.kept()[k] < to) {
                double[] contrast = new double[order.size()];
                for (int j = 0; j < order.size(); j++) {
                    contrast[order.get(j)] = other.rows()[k][j];
                }
                contrasts.add(contrast);
            }
        }
        return contrasts;
    }
}
