package org.grenu.core.numbers;

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
        xx = new double[terms][terms];
        xy = new double[terms];
    }

    public void add(double y, double... x) {
        for (int i = 0; i < x.length; i++) {
            for (int j = 0; j < x.length; j++) {
                xx[i][j] += x[i] * x[j];
            }
            xy[i] += x[i] * y;
        }
        yy += y * y;
    }

    /** {@return the coefficients; empty when the samples do not tell the terms apart} */
    public Optional<double[]> solve() {
        DecompositionSolver solver = new QRDecomposition(new Array2DRowRealMatrix(xx), 1e-10).getSolver();
        return solver.isNonSingular() ? Optional.of(solver.solve(new ArrayRealVector(xy)).toArray()) : Optional.empty();
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
