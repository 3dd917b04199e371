package org.grenu.core.hydraulics;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.SavitzkyGolay;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.NormalEquations;

/**
 * Finds where the quotient of pressure and cup flow ceases to follow the stream that is still building. While the puck
 * still soaks, spouts and filter fill and the scale catches up, the flow in the cup is less than that into the puck and
 * the quotient falls steeply, whatever the puck's resistance does. It is over once as great a share of the pump's flow
 * arrives as later on; without a meter, once the steep part of the quotient's fall has died away.
 */
final class StreamBuilding {

    private static final double ARRIVES = 0.97;
    private static final double LATER_SHARE = 0.5;
    private static final double MOST_SCATTER = 0.12;
    private static final double[] DIES_AWAY = {0.3, 0.5, 0.8, 1.2, 1.8, 2.6, 3.6};
    private static final double LOOKED_AT_SECONDS = 14;
    private static final double LEFT = 0.02;

    private StreamBuilding() {
    }

    /** {@return when it is over, s} */
    static double end(CurveMeasures measures, UniformCurve quotient, double from, double to, double cupDelay) {
        return byPump(measures, from, to, cupDelay).orElseGet(() -> byCourse(quotient, from, to));
    }

    private static Optional<Double> byPump(CurveMeasures measures, double from, double to, double cupDelay) {
        Optional<UniformCurve> pump = measures.find(Channel.PUMP_FLOW);
        Optional<UniformCurve> cup = measures.find(Channel.CUP_FLOW);
        if (pump.isEmpty() || cup.isEmpty()) {
            return Optional.empty();
        }
        UniformCurve smooth = SavitzkyGolay.spanning(CurveMeasures.FLOW_WINDOW_SECONDS, pump.get().step(), 2)
                .smooth(pump.get());
        int first = (int) Math.ceil((from - cup.get().start()) / cup.get().step());
        int count = (int) Math.floor((to - from) / cup.get().step());
        double[] share = new double[count];
        for (int k = 0; k < count; k++) {
            double t = cup.get().time(first + k);
            share[k] = cup.get().value(first + k) / smooth.at(t - cupDelay);
        }
        double[] later = Arrays.stream(share, (int) (LATER_SHARE * count), count)
                .filter(Double::isFinite)
                .sorted()
                .toArray();
        if (later.length < 10) {
            return Optional.empty();
        }
        double level = later[later.length / 2];
        double scatter = (later[(int) (0.84 * later.length)] - later[(int) (0.16 * later.length)]) / 2;
        if (!(scatter < MOST_SCATTER * level)) {
            return Optional.empty();
        }
        int k = 0;
        while (k < count - later.length && !(share[k] >= ARRIVES * level)) {
            k++;
        }
        return Optional.of(cup.get().time(first + k));
    }

    /** The quotient's logarithm as a line and a part that dies away: over when little is left of that. */
    private static double byCourse(UniformCurve quotient, double from, double to) {
        double until = Math.min(to, from + LOOKED_AT_SECONDS);
        double least = Double.POSITIVE_INFINITY;
        double end = from;
        for (double diesAway : DIES_AWAY) {
            NormalEquations fit = new NormalEquations(3);
            for (int i = 0; i < quotient.size(); i++) {
                double x = quotient.time(i) - from;
                double y = Math.log(quotient.value(i));
                if (x >= 0 && quotient.time(i) <= until && Double.isFinite(y)) {
                    fit.add(y, 1, x, Math.exp(-x / diesAway));
                }
            }
            Optional<double[]> solution = fit.solve();
            double residuals = solution.map(fit::residuals).orElse(Double.POSITIVE_INFINITY);
            if (residuals < least) {
                least = residuals;
                double height = solution.orElseThrow()[2];
                end = height > LEFT ? from + diesAway * Math.log(height / LEFT) : from;
            }
        }
        return Math.min(end, Math.max(from, to - 2));
    }
}
