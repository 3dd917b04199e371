package org.grenu.core.hydraulics;

import java.util.Optional;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.NormalEquations;

/**
 * A sign of a channel: the resistance fell abruptly, where erosion would have let it fall smoothly. Found as the step
 * that
 * best explains ln r beside a smooth course; how much better than the smooth course alone gives its likelihood. A
 * likelihood, not a fact: a kinked hose or a knocked cup can look alike.
 *
 * @param seconds    when, s
 * @param fall       share of the resistance lost, in (0, 1)
 * @param overSeconds how long the fall took, s
 * @param likelihood of a step rather than none, in [0, 1], with one shot in ten expected to have one
 */
public record ChannelSign(double seconds, double fall, double overSeconds, double likelihood) {

    private static final double WINDOW_SECONDS = 5;
    private static final double MARGIN_SECONDS = 1.5;
    private static final double STEADY_SECONDS = 2.5;
    private static final double COARSE_SECONDS = 0.4;
    private static final double FALL_SECONDS = 1.2;
    private static final double LEAST_FALL = 0.12;
    private static final double PRIOR = 0.1;
    /** Samples of a smoothed flow repeat each other; about one in this many seconds is new. */
    private static final double NEW_EVERY_SECONDS = 0.8;
    private static final double LEAST_LIKELIHOOD = 0.5;
    private static final double SMALLEST_NOISE = 0.02;

    /** {@return the clearest sign; empty when a smooth course explains the resistance as well} */
    static Optional<ChannelSign> of(Resistance resistance) {
        UniformCurve r = resistance.linear();
        Optional<ChannelSign> best = search(resistance, resistance.from() + MARGIN_SECONDS,
                resistance.to() - MARGIN_SECONDS, COARSE_SECONDS);
        if (best.isPresent()) {
            best = search(resistance, best.get().seconds - COARSE_SECONDS, best.get().seconds + COARSE_SECONDS,
                    r.step());
        }
        return best.filter(sign -> sign.likelihood >= LEAST_LIKELIHOOD && sign.fall >= LEAST_FALL);
    }

    private static Optional<ChannelSign> search(Resistance resistance, double from, double to, double every) {
        Optional<ChannelSign> best = Optional.empty();
        for (double t = from; t <= to; t += every) {
            if (resistance.steady(t - STEADY_SECONDS, t + STEADY_SECONDS)) {
                Optional<ChannelSign> sign = at(resistance.linear(), t, Math.max(resistance.from(), t - WINDOW_SECONDS),
                        Math.min(resistance.to(), t + WINDOW_SECONDS));
                if (sign.isPresent() && (best.isEmpty() || sign.get().likelihood > best.get().likelihood)) {
                    best = sign;
                }
            }
        }
        return best;
    }

    /** Least squares of ln r on 1, t, t² and a ramped step at t: the step's share of the explanation decides. */
    private static Optional<ChannelSign> at(UniformCurve r, double t, double from, double to) {
        int first = (int) Math.ceil((from - r.start()) / r.step());
        int last = Math.min(r.size() - 1, (int) Math.floor((to - r.start()) / r.step()));
        NormalEquations smooth = new NormalEquations(3);
        NormalEquations stepped = new NormalEquations(4);
        int n = 0;
        for (int i = first; i <= last; i++) {
            if (!Double.isFinite(r.value(i))) {
                continue;
            }
            double x = r.time(i) - t;
            double y = Math.log(r.value(i));
            double step = Math.max(0, Math.min(1, x / FALL_SECONDS + 0.5));
            smooth.add(y, 1, x, x * x);
            stepped.add(y, 1, x, x * x, step);
            n++;
        }
        if (n < 20) {
            return Optional.empty();
        }
        Optional<double[]> curve = smooth.solve();
        Optional<double[]> curveAndStep = stepped.solve();
        if (curve.isEmpty() || curveAndStep.isEmpty()) {
            return Optional.empty();
        }
        double[] solution = curveAndStep.get();
        double with = stepped.residuals(solution);
        double without = smooth.residuals(curve.get());
        double effective = Math.max(3, n * r.step() / NEW_EVERY_SECONDS);
        double variance = Math.max(SMALLEST_NOISE * SMALLEST_NOISE, with / n);
        double evidence = (without - with) / n * effective / variance;
        // Bayesian information criterion: one more parameter, placed anywhere in the window.
        double logOdds = evidence / 2 - Math.log(effective) + Math.log(PRIOR / (1 - PRIOR));
        double fall = 1 - Math.exp(solution[3]);
        return solution[3] < 0 ? Optional.of(new ChannelSign(t, fall, FALL_SECONDS, 1 / (1 + Math.exp(-logOdds))))
                : Optional.empty();
    }
}
