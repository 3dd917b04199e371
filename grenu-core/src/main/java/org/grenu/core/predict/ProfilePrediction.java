package org.grenu.core.predict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.profile.Profile;
import org.grenu.core.rig.SimulatedShot;
import org.hipparchus.random.Well19937c;

/**
 * What a profile would do on a puck: many simulated shots of it, each a little other than the next, as its coffee's
 * are. Bands hold 95 % of those shots; that the simulator itself may be wrong is not in them.
 *
 * @param seconds  the grid of the curves, from pump on, even steps
 * @param curves   at each of them
 * @param steps    when each step that was reached ended
 * @param numbers  what came of it
 * @param runs     how many shots that rests on
 */
public record ProfilePrediction(double[] seconds, Map<Channel, Band> curves, List<StepEnd> steps, Numbers numbers,
        int runs) {

    private static final double GRID = 0.25;
    private static final List<Channel> SHOWN = List.of(Channel.PRESSURE, Channel.PUMP_FLOW, Channel.CUP_MASS);
    private static final double TAIL = 0.025;
    private static final long SEED = 4_711;

    /**
     * A value along the grid.
     *
     * @param low    2.5 % of shots lie below
     * @param middle half lie below
     * @param high   97.5 % lie below
     */
    public record Band(double[] low, double[] middle, double[] high) {
    }

    /**
     * A number with its spread.
     *
     * @param middle median
     * @param low    2.5 % of shots lie below
     * @param high   97.5 % lie below
     */
    public record Spread(double middle, double low, double high) {

        /** {@return half the width that holds 95 %} */
        public double half() {
            return (high - low) / 2;
        }
    }

    /**
     * The end of a step.
     *
     * @param seconds   from pump on
     * @param limitRuns in how many of the shots its time limit ended it
     * @param runs      in how many it was reached and left
     */
    public record StepEnd(Spread seconds, int limitRuns, int runs) {
    }

    /** What came of it: first drip and time in s, beverage g, strength %, yield %. */
    public record Numbers(Spread firstDrip, Spread time, Spread beverage, Spread strength, Spread yield) {
    }

    /** One simulated shot. */
    private record Run(ShotLog log, SimulatedShot.Truth truth, double yieldNoise) {
    }

    /**
     * {@return the prediction from that many shots}
     *
     * @param runs at least 1; one alone has no bands
     */
    public static ProfilePrediction of(PuckFit puck, Profile profile, int runs) {
        Well19937c random = new Well19937c(SEED);
        List<Run> all = new ArrayList<>();
        for (int i = 0; i < runs; i++) {
            // One alone is the middle one.
            double drag = runs == 1 ? 1 : Math.exp(puck.timeSpread() * random.nextGaussian());
            SimulatedShot shot = puck.pull(profile, drag, SEED + i, true);
            all.add(new Run(shot.log(), shot.truth(), runs == 1 ? 0 : puck.yieldSpread() * random.nextGaussian()));
        }
        return of(puck, profile, all);
    }

    private static ProfilePrediction of(PuckFit puck, Profile profile, List<Run> runs) {
        double longest = runs.stream()
                .mapToDouble(run -> run.log.time().get(run.log.time().size() - 1))
                .max()
                .orElse(0);
        double[] seconds = new double[(int) Math.floor(longest / GRID) + 1];
        Arrays.setAll(seconds, i -> i * GRID);
        Map<Channel, Band> curves = new EnumMap<>(Channel.class);
        for (Channel channel : SHOWN) {
            curves.put(channel, band(runs, channel, seconds));
        }
        if (profile.heats()) {
            curves.put(Channel.TEMPERATURE, band(runs, Channel.TEMPERATURE, seconds));
        }
        double dose = puck.puck().doseGrams();
        Numbers numbers = new Numbers(spread(runs.stream().mapToDouble(run -> run.truth.firstDripSeconds()).toArray()),
                spread(runs.stream().mapToDouble(run -> run.truth.pumpOffSeconds()).toArray()),
                spread(runs.stream().mapToDouble(run -> run.truth.beverageGrams()).toArray()),
                spread(runs.stream()
                        .mapToDouble(run -> run.truth.strengthPercent()
                                + run.yieldNoise * dose / run.truth.beverageGrams())
                        .toArray()),
                spread(runs.stream().mapToDouble(run -> run.truth.yieldPercent(dose) + run.yieldNoise).toArray()));
        return new ProfilePrediction(seconds, curves, steps(profile, runs), numbers, runs.size());
    }

    private static Band band(List<Run> runs, Channel channel, double[] seconds) {
        double[][] sorted = new double[seconds.length][];
        for (int i = 0; i < seconds.length; i++) {
            double at = seconds[i];
            sorted[i] = runs.stream().mapToDouble(run -> at(run.log, channel, at)).sorted().toArray();
        }
        double[] low = new double[seconds.length];
        double[] middle = new double[seconds.length];
        double[] high = new double[seconds.length];
        for (int i = 0; i < seconds.length; i++) {
            low[i] = quantile(sorted[i], TAIL);
            middle[i] = quantile(sorted[i], 0.5);
            high[i] = quantile(sorted[i], 1 - TAIL);
        }
        return new Band(low, middle, high);
    }

    /** Where a shot's log is over, a pump is off and the cup keeps what is in it. */
    private static double at(ShotLog log, Channel channel, double seconds) {
        Samples times = log.time();
        Samples values = log.channels().get(channel);
        int last = times.size() - 1;
        if (seconds >= times.get(last)) {
            return channel == Channel.CUP_MASS || channel == Channel.TEMPERATURE ? values.get(last) : 0;
        }
        int after = Math.min(last, (int) Math.ceil((seconds - times.get(0)) / (times.get(last) - times.get(0)) * last));
        return values.get(Math.max(0, after));
    }

    private static Spread spread(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return new Spread(quantile(sorted, 0.5), quantile(sorted, TAIL), quantile(sorted, 1 - TAIL));
    }

    private static double quantile(double[] sorted, double share) {
        double place = share * (sorted.length - 1);
        int below = (int) Math.floor(place);
        int above = Math.min(sorted.length - 1, below + 1);
        return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
    }

    private static List<StepEnd> steps(Profile profile, List<Run> runs) {
        List<StepEnd> ends = new ArrayList<>();
        for (int step = 0; step < profile.steps().size(); step++) {
            List<double[]> found = new ArrayList<>();
            for (Run run : runs) {
                double begin = begin(run, step);
                double end = end(run, step);
                if (!Double.isNaN(begin) && !Double.isNaN(end)) {
                    found.add(new double[] {end, byLimit(profile, step, end - begin, end >= run.truth.pumpOffSeconds()
                            - GRID) ? 1 : 0});
                }
            }
            if (found.isEmpty()) {
                break;
            }
            ends.add(new StepEnd(spread(found.stream().mapToDouble(one -> one[0]).toArray()),
                    (int) found.stream().mapToDouble(one -> one[1]).sum(), found.size()));
        }
        return List.copyOf(ends);
    }

    private static boolean byLimit(Profile profile, int step, double lasted, boolean stopped) {
        return !stopped && profile.steps()
                .get(step)
                .exits()
                .stream()
                .anyMatch(exit -> profile.steps().get(step).isTimeLimit(exit) && lasted >= exit.value() - 0.15);
    }

    private static double begin(Run run, int step) {
        Samples numbers = run.log.channels().get(Channel.STEP);
        for (int i = 0; i < numbers.size(); i++) {
            if (Math.round(numbers.get(i)) == step + 1 && run.log.time().get(i) < run.truth.pumpOffSeconds()) {
                return run.log.time().get(i);
            }
        }
        return Double.NaN;
    }

    /** The begin of the next that was reached, or pump off. */
    private static double end(Run run, int step) {
        double begin = begin(run, step);
        if (Double.isNaN(begin)) {
            return Double.NaN;
        }
        Samples numbers = run.log.channels().get(Channel.STEP);
        for (int i = 0; i < numbers.size(); i++) {
            if (numbers.get(i) > step + 1.5 && run.log.time().get(i) < run.truth.pumpOffSeconds()) {
                return run.log.time().get(i);
            }
        }
        return run.truth.pumpOffSeconds();
    }
}
