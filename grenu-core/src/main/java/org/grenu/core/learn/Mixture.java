package org.grenu.core.learn;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Several Student t distributions of which one holds.
 *
 * @param parts at least one; their weights sum to 1
 */
public record Mixture(List<Part> parts) {

    private static final double FAR = 4;
    private static final double ACCURACY = 1e-7;
    private static final int EVALUATIONS = 200;

    /**
     * One of them.
     *
     * @param weight in (0, 1]
     */
    public record Part(double weight, StudentT distribution) {
    }

    public Mixture {
        parts = List.copyOf(parts);
    }

    /** {@return one alone} */
    static Mixture of(StudentT only) {
        return new Mixture(List.of(new Part(1, only)));
    }

    /** {@return this with that chance, else the other} */
    Mixture or(double chance, Mixture other) {
        List<Part> both = new ArrayList<>();
        parts.forEach(part -> both.add(new Part(chance * part.weight, part.distribution)));
        other.parts.forEach(part -> both.add(new Part((1 - chance) * part.weight, part.distribution)));
        return new Mixture(both);
    }

    /** {@return the mean of their middles} */
    public double centre() {
        return parts.stream().mapToDouble(part -> part.weight * part.distribution.location()).sum();
    }

    /** {@return the chance of a value from low to high} */
    public double between(double low, double high) {
        return parts.stream().mapToDouble(part -> part.weight * part.distribution.between(low, high)).sum();
    }

    private double below(double value) {
        double sum = 0;
        for (Part part : parts) {
            sum += part.weight * part.distribution.below(value);
        }
        return sum;
    }

    /** {@return the value that it stays below with that probability, in (0, 1)} */
    public double quantile(double probability) {
        if (parts.size() == 1) {
            return parts.get(0).distribution.quantile(probability);
        }
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double wide = 0;
        for (Part part : parts) {
            low = Math.min(low, part.distribution.location());
            high = Math.max(high, part.distribution.location());
            wide = Math.max(wide, part.distribution.scale());
        }
        while (below(low) > probability) {
            low -= FAR * wide;
        }
        while (below(high) < probability) {
            high += FAR * wide;
        }
        return new BrentSolver(wide * ACCURACY).solve(EVALUATIONS, value -> below(value) - probability, low, high);
    }

    /** {@return one distribution with their mean and their spread, where a single one must stand for them} */
    public StudentT asOne() {
        double centre = centre();
        double squares = 0;
        double degrees = 0;
        for (Part part : parts) {
            StudentT one = part.distribution;
            squares += part.weight * (one.scale() * one.scale() + Math.pow(one.location() - centre, 2));
            degrees += part.weight * one.degrees();
        }
        return new StudentT(centre, Math.sqrt(squares), degrees);
    }
}
