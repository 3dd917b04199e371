package org.grenu.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Which rows to repeat so that a contrast gets tighter soonest: each step adds the row of the data that lowers the
 * contrast's variance most.
 */
final class MoreRows {

    private final double[][] x;
    private final List<Integer> candidates;
    private final double[][] inverse;
    private final double[] contrast;

    /** @param inverse (XᵀX)⁻¹ over the estimable directions, columns × columns */
    MoreRows(double[][] x, double[][] inverse, double[] contrast) {
        this.x = x;
        this.inverse = inverse;
        this.contrast = contrast;
        this.candidates = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            int row = i;
            if (candidates.stream().noneMatch(other -> Arrays.equals(x[other], x[row]))) {
                candidates.add(i);
            }
        }
    }

    /** Adds one row; returns its index in the data. */
    int add() {
        double[] l = times(contrast);
        int best = candidates.get(0);
        double most = -1;
        for (int row : candidates) {
            double gain = dot(l, x[row]);
            double lowered = gain * gain / (1 + dot(x[row], times(x[row])));
            if (lowered > most * (1 + 1e-9)) {
                most = lowered;
                best = row;
            }
        }
        update(x[best]);
        return best;
    }

    double variance() {
        return dot(contrast, times(contrast));
    }

    /** Sherman and Morrison's formula. */
    private void update(double[] row) {
        double[] v = times(row);
        double scale = 1 / (1 + dot(row, v));
        for (int i = 0; i < v.length; i++) {
            for (int j = 0; j < v.length; j++) {
                inverse[i][j] -= scale * v[i] * v[j];
            }
        }
    }

    private double[] times(double[] vector) {
        double[] result = new double[vector.length];
        for (int i = 0; i < result.length; i++) {
            result[i] = dot(inverse[i], vector);
        }
        return result;
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
