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
    /** A step of at least that, in logarithms, and looked for that far from either end. */
    private static final double LEAST_STEP = 0.15;
    private static final double STEP_AFTER = 1.2;
    private static final double STEP_EVERY = 0.4;
    private static final double STEP_SECONDS = 1.2;
    /** It has to leave so small a share of what is left over without one. */
    private static final double EXPLAINS = 0.4;

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

    /**
     * The quotient's logarithm as a line and a part that dies away: over when little is left of that. A bed that breaks
     * open meanwhile makes a step; taken for a part that dies away it would hide the break and the peak before it, so a
     * course with one is held against the one without.
     */
    private static double byCourse(UniformCurve quotient, double from, double to) {
        double until = Math.min(to, from + LOOKED_AT_SECONDS);
        Course smooth = Course.NONE;
        Course broken = Course.NONE;
        for (double diesAway : DIES_AWAY) {
            smooth = smooth.orBetter(course(quotient, from, until, diesAway, Double.NaN));
            for (double at = from + STEP_AFTER; at < until - STEP_AFTER; at += STEP_EVERY) {
                Course one = course(quotient, from, until, diesAway, at);
                broken = one.fell >= LEAST_STEP ? broken.orBetter(one) : broken;
            }
        }
        Course best = broken.residuals < EXPLAINS * smooth.residuals ? broken : smooth;
        double end = best.height > LEFT ? from + best.diesAway * Math.log(best.height / LEFT) : from;
        return Math.min(end, Math.max(from, to - 2));
    }

    /** A fitted course: how much dies away how fast, and by how much it fell at the step, in logarithms. */
    private record Course(double residuals, double height, double diesAway, double fell) {

        static final Course NONE = new Course(Double.POSITIVE_INFINITY, 0, 1, 0);

        Course orBetter(Course other) {
            return other.residuals < residuals ? other : this;
        }
    }

    private static Course course(UniformCurve quotient, double from, double until, double diesAway, double step) {
        boolean stepped = Double.isFinite(step);
        NormalEquations fit = new NormalEquations(stepped ? 4 : 3);
        for (int i = 0; i < quotient.size(); i++) {
            double x = quotient.time(i) - from;
            double y = Math.log(quotient.value(i));
            if (x >= 0 && quotient.time(i) <= until && Double.isFinite(y)) {
                double dies = Math.exp(-x / diesAway);
                if (stepped) {
                    fit.add(y, 1, x, dies,
                            Math.max(0, Math.min(1, (quotient.time(i) - step) / STEP_SECONDS + 0.5)));
                } else {
                    fit.add(y, 1, x, dies);
                }
            }
        }
        return fit.solve()
                .map(found -> new Course(fit.residuals(found), found[2], diesAway, stepped ? -found[3] : 0))
                .orElse(Course.NONE);
    }
}
