package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;

/**
 * The convex hull of points in a plane: beyond it nothing was tried.
 *
 * @param corners counter-clockwise
 */
record Hull(List<double[]> corners) {

    private static final double ON_EDGE = 1e-9;

    Hull {
        corners = List.copyOf(corners);
    }

    /** Andrew's monotone chain. */
    static Hull of(List<double[]> points) {
        List<double[]> sorted = points.stream().sorted(Comparator.<double[]>comparingDouble(p -> p[0]).thenComparingDouble(p -> p[1])).toList();
        List<double[]> lower = chain(sorted);
        List<double[]> reversed = new ArrayList<>(sorted);
        Collections.reverse(reversed);
        List<double[]> corners = new ArrayList<>(lower.subList(0, Math.max(0, lower.size() - 1)));
        List<double[]> upper = chain(reversed);
        corners.addAll(upper.subList(0, Math.max(0, upper.size() - 1)));
        return new Hull(corners);
    }

    private static List<double[]> chain(List<double[]> points) {
        List<double[]> chain = new ArrayList<>();
        for (double[] point : points) {
            while (chain.size() > 1 && cross(chain.get(chain.size() - 2), chain.get(chain.size() - 1), point) <= 0) {
                chain.remove(chain.size() - 1);
            }
            chain.add(point);
        }
        return chain;
    }

    boolean hasArea() {
        return corners.size() > 2;
    }

    /** Whether the place lies inside or on the edge. */
    boolean holds(double x, double y) {
        for (int i = 0; i < corners.size(); i++) {
            double[] a = corners.get(i);
            double[] b = corners.get((i + 1) % corners.size());
            double size = Math.abs(b[0] - a[0]) * Math.abs(y - a[1]) + Math.abs(b[1] - a[1]) * Math.abs(x - a[0]);
            if (cross(a, b, new double[] {x, y}) < -ON_EDGE * Math.max(1e-300, size)) {
                return false;
            }
        }
        return corners.size() > 2;
    }

    private static double cross(double[] o, double[] a, double[] b) {
        return (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
    }
}
