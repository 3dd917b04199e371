package org.grenu.core.hydraulics;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.NormalEquations;
import org.grenu.core.numbers.RunningPowers;
import org.grenu.core.numbers.RunningPowers.Stretch;

/**
 * A sign of a channel: the resistance fell abruptly, where erosion would have let it fall smoothly. Found as the step
 * that best explains ln r beside a smooth course; how much better than the smooth course alone gives its likelihood.
 * Whether the pressure fell with it or the flow rose is up to the machine; where pressure and flow fall together it
 * was the machine that did it. A likelihood, not a fact: a kinked hose or a knocked cup can look alike.
 *
 * @param seconds    when, s
 * @param fall       share of the resistance lost, in (0, 1): medians before and after, less their smooth course
 * @param fallU      its standard uncertainty
 * @param overSeconds how long the fall took, s
 * @param likelihood of a step rather than none, in [0, 1], with one shot in ten expected to have one
 */
public record ChannelSign(double seconds, double fall, double fallU, double overSeconds, double likelihood) {

    private static final int FEWEST_SAMPLES = 20;
    private static final double FALL_SECONDS = 1.2;
    private static final double LEAST_FALL = 0.14;
    private static final double LEAST_LIKELIHOOD = 0.5;

    /** {@return the clearest sign; empty when a smooth course explains the resistance as well} */
    static Optional<ChannelSign> of(Resistance resistance, CurveMeasures measures) {
        return new Search(resistance, measures).clearest()
                .filter(sign -> sign.likelihood >= LEAST_LIKELIHOOD && sign.fall >= LEAST_FALL);
    }

    /** The search in one shot. */
    private static final class Search {
        private static final double WINDOW_SECONDS = 5;
        private static final double MARGIN_SECONDS = 1.2;
        private static final double COARSE_SECONDS = 0.3;
        /** The model does not know everything that looks alike. */
        private static final double MOST_LIKELIHOOD = 0.99;
        private static final double PRIOR = 0.1;
        /** How often such a step came true, by logistic regression on two sources (docs/validation.md). */
        private static final double AT = -6.45;
        private static final double PER_ODDS = 0.557;
        private static final double PER_SURE = 0.413;
        private static final double PER_SIZE = 13.2;
        private static final double MOST_ODDS = 12;
        private static final double MOST_BELOW = 10;
        private static final double MOST_SURE = 10;
        private static final double MOST_SIZE = 1;
        /** Samples of a smoothed flow repeat each other; about one in this many seconds is new. */
        private static final double NEW_EVERY_SECONDS = 0.8;
        private static final double SMALLEST_NOISE = 0.02;
        /** Share of the loss by which the flow may fall at most. */
        private static final double FLOW_MAY_FALL = 0.3;
        /** A pressure that falls by so much, in logarithms, tells the moment better than the cup does. */
        private static final double PRESSURE_TELLS = 0.06;
        private static final double NEAR_SECONDS = 1.5;
        private static final double FALLING_SECONDS = 0.4;
        private static final Set<RepairKind> BRIDGED = Set.of(RepairKind.DROPOUT, RepairKind.GAP,
                RepairKind.PRESSURE_SPIKE, RepairKind.SCALE_FROZEN, RepairKind.CUP_LIFTED, RepairKind.VESSEL_SWAP,
                RepairKind.SCALE_KNOCK, RepairKind.CLOCK_RESET, RepairKind.CLIPPED);

        private final Resistance resistance;
        private final UniformCurve r;
        /** Taken once: every window overlaps most of the others. */
        private final double[] logResistance;
        private final double[] logFlow;
        private final double[] seconds;
        private final RunningPowers powers;
        private final RunningPowers flowPowers;
        private final UniformCurve rawPressure;
        private final List<Repair> bridged;

        Search(Resistance resistance, CurveMeasures measures) {
            this.resistance = resistance;
            this.r = resistance.linear();
            this.logResistance = logarithms(r);
            this.logFlow = logarithms(measures.find(Channel.CUP_FLOW).orElseThrow());
            this.seconds = IntStream.range(0, r.size()).mapToDouble(r::time).toArray();
            this.powers = new RunningPowers(seconds, logResistance);
            this.flowPowers = new RunningPowers(seconds, whereKnown(logFlow, logResistance));
            this.rawPressure = measures.find(Channel.PRESSURE).orElseThrow();
            this.bridged = measures.repaired()
                    .repairs()
                    .stream()
                    .filter(repair -> BRIDGED.contains(repair.kind()))
                    .toList();
        }

        private static double[] logarithms(UniformCurve curve) {
            return IntStream.range(0, curve.size()).mapToDouble(i -> Math.log(curve.value(i))).toArray();
        }

        private static double[] whereKnown(double[] values, double[] known) {
            return IntStream.range(0, known.length)
                    .mapToDouble(i -> Double.isFinite(known[i]) ? values[i] : Double.NaN)
                    .toArray();
        }

        Optional<ChannelSign> clearest() {
            double from = resistance.from() + MARGIN_SECONDS;
            double to = resistance.to() - MARGIN_SECONDS;
            Optional<Step> best = clearest(from, to, COARSE_SECONDS);
            return best.flatMap(step -> clearest(Math.max(from, step.at - COARSE_SECONDS),
                    Math.min(to, step.at + COARSE_SECONDS), r.step()))
                    .flatMap(this::sign);
        }

        /** In the data, not only in the fit: and no sharp turn of a bed that swelled and wears. */
        private Optional<ChannelSign> sign(Step step) {
            Optional<ResistanceFall> fall = ResistanceFall.at(seconds, logResistance, r.step(), step.at);
            if (fall.isEmpty() || !(fall.get().size() > 0)) {
                return Optional.empty();
            }
            double odds = Math.min(step.logOdds, oddsAgainstTurning(step));
            double left = Math.exp(-fall.get().size());
            return Optional.of(new ChannelSign(moment(step), 1 - left, left * fall.get().u(), FALL_SECONDS,
                    likelihood(odds, fall.get())));
        }

        /** Both have as many parameters, and a place of their own. */
        private double oddsAgainstTurning(Step step) {
            int from = index(Math.ceil((Math.max(resistance.from(), step.at - WINDOW_SECONDS) - r.start()) / r.step()));
            int until = 1
                    + index(Math.floor((Math.min(resistance.to(), step.at + WINDOW_SECONDS) - r.start()) / r.step()));
            double turning = ResistanceFall.turning(seconds, logResistance, from, until);
            return Double.isInfinite(turning) ? step.logOdds
                    : evidence(step.samples, turning, step.residuals) / 2 + Math.log(PRIOR / (1 - PRIOR));
        }

        private static double likelihood(double logOdds, ResistanceFall fall) {
            double sure = fall.u() > 0 ? Math.min(MOST_SURE, fall.size() / fall.u()) : MOST_SURE;
            double score = AT + PER_ODDS * Math.max(-MOST_BELOW, Math.min(MOST_ODDS, logOdds)) + PER_SURE * sure
                    + PER_SIZE * Math.min(MOST_SIZE, fall.size());
            return Math.min(MOST_LIKELIHOOD, 1 / (1 + Math.exp(-score)));
        }

        private Optional<Step> clearest(double from, double to, double every) {
            Step best = null;
            for (double t = from; t <= to; t += every) {
                if (!isBridged(t)) {
                    Step step = step(t);
                    best = step != null && (best == null || step.clearer(best)) ? step : best;
                }
            }
            return Optional.ofNullable(best);
        }

        private boolean isBridged(double t) {
            return bridged.stream()
                    .anyMatch(b -> t >= b.fromSeconds() - NEAR_SECONDS && t <= b.toSeconds() + NEAR_SECONDS);
        }

        /**
         * A step of the resistance.
         *
         * @param at         on the cup's clock
         * @param fell       in logarithms
         * @param pressureFell in logarithms
         */
        private record Step(double at, double fell, double pressureFell, double logOdds, int samples,
                double residuals) {

            boolean clearer(Step other) {
                return logOdds > other.logOdds;
            }
        }

        /** Least squares of ln r on 1, t, t² and a ramped step at t: the step's share of the explanation decides. */
        private Step step(double t) {
            Window window = window(t);
            if (window.samples < FEWEST_SAMPLES) {
                return null;
            }
            NormalEquations smooth = window.stepped.ofFirst(3);
            Optional<double[]> curve = smooth.solve();
            Optional<double[]> curveAndStep = window.stepped.solve();
            if (curve.isEmpty() || curveAndStep.isEmpty()) {
                return null;
            }
            double fell = -curveAndStep.get()[3];
            double flowRose = window.stepped.solve(window.flow).orElseThrow()[3];
            if (!(fell > 0) || flowRose < -FLOW_MAY_FALL * fell) {
                return null;
            }
            double residuals = window.stepped.residuals(curveAndStep.get());
            return new Step(t, fell, fell - flowRose,
                    logOdds(window.samples, smooth.residuals(curve.get()), residuals), window.samples, residuals);
        }

        /** Bayesian information criterion: one more parameter, placed anywhere in the window. */
        private double logOdds(int n, double without, double with) {
            return evidence(n, without, with) / 2 - Math.log(effective(n)) + Math.log(PRIOR / (1 - PRIOR));
        }

        private double effective(int n) {
            return Math.max(3, n * r.step() / NEW_EVERY_SECONDS);
        }

        private double evidence(int n, double without, double with) {
            double variance = Math.max(SMALLEST_NOISE * SMALLEST_NOISE, with / n);
            return (without - with) / n * effective(n) / variance;
        }

        /** What is gathered about a moment: the resistance with a step, and the flow with one. */
        private record Window(NormalEquations stepped, double[] flow, int samples) {
        }

        /** Only the samples within the fall are gone through: before it the step is 0, after it 1. */
        private Window window(double t) {
            int from = index(Math.ceil((Math.max(resistance.from(), t - WINDOW_SECONDS) - r.start()) / r.step()));
            int until = 1 + index(Math.floor((Math.min(resistance.to(), t + WINDOW_SECONDS) - r.start()) / r.step()));
            int falls = Math.max(from, index(Math.ceil((t - FALL_SECONDS / 2 - r.start()) / r.step())));
            int fallen = Math.min(until, index(Math.ceil((t + FALL_SECONDS / 2 - r.start()) / r.step())));
            Stretch all = powers.about(t, from, until);
            Stretch after = powers.about(t, fallen, until);
            Stretch flowAll = flowPowers.about(t, from, until);
            double[] step = {after.n(), after.x(), after.xx(), after.n(), after.y(),
                    flowPowers.about(t, fallen, until).y()};
            for (int i = falls; i < fallen; i++) {
                if (Double.isFinite(logResistance[i])) {
                    double x = r.time(i) - t;
                    double share = Math.max(0, Math.min(1, x / FALL_SECONDS + 0.5));
                    step[0] += share;
                    step[1] += share * x;
                    step[2] += share * x * x;
                    step[3] += share * share;
                    step[4] += share * logResistance[i];
                    step[5] += share * logFlow[i];
                }
            }
            NormalEquations stepped = NormalEquations.ofSums(
                    new double[] {all.n(), all.x(), all.xx(), all.xx(), all.xxx(), all.xxxx(), step[0], step[1],
                            step[2],
                            step[3]},
                    new double[] {all.y(), all.xy(), all.xxy(), step[4]}, all.yy());
            return new Window(stepped, new double[] {flowAll.y(), flowAll.xy(), flowAll.xxy(), step[5]},
                    (int) all.n());
        }

        private int index(double place) {
            return (int) Math.max(0, Math.min(r.size() - 1, place));
        }

        /** The pressure shows it at once, the cup later by its delay. */
        private double moment(Step step) {
            double atPuck = step.at - Resistance.CUP_DELAY_SECONDS;
            if (step.pressureFell < PRESSURE_TELLS) {
                return atPuck;
            }
            double best = atPuck;
            double steepest = 0;
            for (double t = atPuck - NEAR_SECONDS; t <= atPuck + NEAR_SECONDS; t += r.step()) {
                double fall = rawPressure.at(t) - rawPressure.at(t + FALLING_SECONDS);
                if (fall > steepest) {
                    steepest = fall;
                    best = t;
                }
            }
            return best;
        }
    }
}
