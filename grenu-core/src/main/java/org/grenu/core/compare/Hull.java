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

    /** Areas below that share of the points' own range are rounding. */
    private static final double ROUNDING = 1e-9;

    Hull {
        corners = List.copyOf(corners);
    }

    /** Andrew's monotone chain. */
    static Hull of(List<double[]> points) {
        List<double[]> sorted = points.stream()
                .sorted(Comparator.<double[]>comparingDouble(p -> p[0]).thenComparingDouble(p -> p[1]))
                .toList();
        double least = ROUNDING * range(sorted, 0) * range(sorted, 1);
        List<double[]> lower = chain(sorted, least);
        List<double[]> reversed = new ArrayList<>(sorted);
        Collections.reverse(reversed);
        List<double[]> corners = new ArrayList<>(lower.subList(0, Math.max(0, lower.size() - 1)));
        List<double[]> upper = chain(reversed, least);
        corners.addAll(upper.subList(0, Math.max(0, upper.size() - 1)));
        return new Hull(corners);
    }

    private static double range(List<double[]> points, int of) {
        return points.stream().mapToDouble(p -> p[of]).max().orElse(0)
                - points.stream().mapToDouble(p -> p[of]).min().orElse(0);
    }

    private static List<double[]> chain(List<double[]> points, double least) {
        List<double[]> chain = new ArrayList<>();
        for (double[] point : points) {
            while (chain.size() > 1
                    && cross(chain.get(chain.size() - 2), chain.get(chain.size() - 1), point) <= least) {
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
        double least = 2 * ROUNDING * range(corners, 0) * range(corners, 1);
        for (int i = 0; i < corners.size(); i++) {
            if (cross(corners.get(i), corners.get((i + 1) % corners.size()), new double[] {x, y}) < -least) {
                return false;
            }
        }
        return corners.size() > 2;
    }

    private static double cross(double[] o, double[] a, double[] b) {
        return (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
    }
}
