package org.grenu.core.extraction;

import java.util.ArrayList;
import java.util.List;

/**
 * A beverage caught in slices, one cup after another.
 *
 * @param doseGrams dry ground coffee, g, in (0, ∞)
 * @param slices    in the order they were caught
 */
public record Slices(double doseGrams, List<Slice> slices) {

    /** @throws IllegalArgumentException if the dose is not positive */
    public Slices {
        if (!(doseGrams > 0)) {
            throw new IllegalArgumentException("dose must be positive, is " + doseGrams + " g");
        }
        slices = List.copyOf(slices);
    }

    /** {@return after each slice, the strength and as-dosed yield of all that was caught so far} */
    public List<Cumulative> cumulative() {
        List<Cumulative> result = new ArrayList<>();
        double mass = 0;
        double solids = 0;
        for (Slice slice : slices) {
            mass += slice.grams();
            solids += slice.grams() * slice.strengthPercent() / 100;
            result.add(new Cumulative(mass, 100 * solids / mass, 100 * solids / doseGrams));
        }
        return result;
    }

    /** One cup: mass in g, in (0, ∞), and strength in %. */
    public record Slice(double grams, double strengthPercent) {
        public Slice {
            if (!(grams > 0)) {
                throw new IllegalArgumentException("a slice must have mass, has " + grams + " g");
            }
        }
    }

    /** All cups so far: mass in g, strength in %, as-dosed extraction yield in %. */
    public record Cumulative(double grams, double strengthPercent, double yieldPercent) {
    }
}
