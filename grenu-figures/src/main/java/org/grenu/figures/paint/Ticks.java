package org.grenu.figures.paint;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.quantity.Reported;

/**
 * Round values along an axis.
 *
 * @param values   increasing
 * @param decimals that tell them apart
 */
public record Ticks(List<Double> values, int decimals) {

    public Ticks {
        values = List.copyOf(values);
    }

    /** {@return about that many multiples of 1, 2, 2.5 or 5 times a power of ten within the range} */
    public static Ticks of(double low, double high, int about) {
        double rough = (high - low) / Math.max(1, about);
        if (!(rough > 0) || Double.isInfinite(rough)) {
            return new Ticks(List.of(low), 1);
        }
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double[] steps = {1, 2, 2.5, 5, 10};
        double step = steps[4] * power;
        for (int i = steps.length - 1; i >= 0; i--) {
            step = steps[i] * power >= rough * 0.999 ? steps[i] * power : step;
        }
        List<Double> values = new ArrayList<>();
        for (double k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9 * step; k++) {
            values.add(k * step + 0.0);
        }
        int decimals = (int) Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
        boolean half = Math.abs(step / Math.pow(10, -decimals) - Math.rint(step / Math.pow(10, -decimals))) > 1e-6;
        return new Ticks(values, decimals + (half ? 1 : 0));
    }

    /** {@return the multiples of that whole step within the range} */
    public static Ticks every(int step, double low, double high) {
        List<Double> values = new ArrayList<>();
        for (double k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9; k++) {
            values.add(k * step + 0.0);
        }
        return new Ticks(values, 0);
    }

    /** {@return the value as it is written at the axis} */
    public String label(double value) {
        return Reported.fixed(value, decimals);
    }
}
