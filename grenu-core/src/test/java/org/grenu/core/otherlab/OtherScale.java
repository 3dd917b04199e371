package org.grenu.core.otherlab;

import java.util.ArrayDeque;
import java.util.Deque;

/** A scale that averages over a while, shows in steps, renews what it shows at its own pace and sends it late. */
final class OtherScale {

    private final int averaged;
    private final int late;
    private final double display;
    private final int every;
    private final Deque<Double> window = new ArrayDeque<>();
    private final Deque<Double> onTheWay = new ArrayDeque<>();
    private double sum;
    private double shown;
    private int count;

    /**
     * @param averageSeconds over which it averages
     * @param lateSeconds    between scale and log
     * @param display        its step, g
     * @param everySeconds   how often it shows a new value
     * @param step           of the simulation, s
     */
    OtherScale(double averageSeconds, double lateSeconds, double display, double everySeconds, double step) {
        this.averaged = Math.max(1, (int) Math.round(averageSeconds / step));
        this.late = (int) Math.round(lateSeconds / step);
        this.display = display;
        this.every = Math.max(1, (int) Math.round(everySeconds / step));
    }

    /** Puts that on it for one step. {@return what has reached the log} */
    double weigh(double grams, double noise) {
        window.add(grams);
        sum += grams;
        if (window.size() > averaged) {
            sum -= window.remove();
        }
        if (count++ % every == 0) {
            shown = Math.rint((sum / window.size() + noise) / display) * display;
        }
        onTheWay.add(shown);
        return onTheWay.size() > late ? onTheWay.remove() : onTheWay.peek();
    }
}
