package org.grenu.core.numbers;

import java.util.Arrays;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.QRDecomposition;

/**
 * Small least-squares problems, gathered sample by sample. Inputs are centred by their user, so the squares do no
 * harm.
 */
public final class NormalEquations {

    private final double[][] xx;
    private final double[] xy;
    private double yy;

    public NormalEquations(int terms) {
        this(new double[terms][terms], new double[terms], 0);
    }

    private NormalEquations(double[][] xx, double[] xy, double yy) {
        this.xx = xx;
        this.xy = xy;
        this.yy = yy;
    }

    public void add(double y, double... x) {
        for (int i = 0; i < x.length; i++) {
            double[] row = xx[i];
            for (int j = 0; j <= i; j++) {
                row[j] += x[i] * x[j];
            }
            xy[i] += x[i] * y;
        }
        yy += y * y;
    }

    /** {@return the same samples with the first terms only} */
    public NormalEquations ofFirst(int terms) {
        return new NormalEquations(xx, Arrays.copyOf(xy, terms), yy);
    }

    /** {@return the coefficients; empty when the samples do not tell the terms apart} */
    public Optional<double[]> solve() {
        return solve(xy);
    }

    /** {@return the coefficients for another response of the same samples, by its products with the terms} */
    public Optional<double[]> solve(double[] products) {
        double[][] whole = new double[xy.length][xy.length];
        for (int i = 0; i < whole.length; i++) {
            for (int j = 0; j <= i; j++) {
                whole[i][j] = xx[i][j];
                whole[j][i] = xx[i][j];
            }
        }
        DecompositionSolver solver = new QRDecomposition(new Array2DRowRealMatrix(whole, false), 1e-10).getSolver();
        return solver.isNonSingular() ? Optional.of(solver.solve(new ArrayRealVector(products)).toArray())
                : Optional.empty();
    }

    /** {@return the sum of squares that the solution leaves} */
    public double residuals(double[] solution) {
        double explained = 0;
        for (int i = 0; i < xy.length; i++) {
            explained += solution[i] * xy[i];
        }
        return Math.max(0, yy - explained);
    }

}
