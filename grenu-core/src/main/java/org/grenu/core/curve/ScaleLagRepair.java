package org.grenu.core.curve;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.numbers.Samples;

/**
 * Finds a scale whose values come late. When the pump stops, a stream thins at once, however long it drips on; a late
 * scale goes on along its line as if nothing had happened. How long the cup stays on its line after the stop therefore
 * tells a delay from a drip-out. Up to {@value #LEAST_SECONDS} s are what averaging scales and spouts take. A stated
 * delay goes before.
 */
final class ScaleLagRepair implements CurveRepair {

    /** A scale that answers at once (common practice, no source). */
    private static final double USUAL_SECONDS = 0.35;
    private static final double LEAST_SECONDS = 1.05;
    private static final double LONGEST_SECONDS = 4;
    private static final double BEFORE_SECONDS = 3;
    private static final double AFTER_SECONDS = 3;
    private static final double LEAST_FLOW = 0.4;

    @Override
    public RepairedLog repair(ShotLog log, CurveSettings settings) {
        Samples mass = log.find(Channel.CUP_MASS).orElse(null);
        if (mass == null || log.size() < 20) {
            return new RepairedLog(log, List.of());
        }
        OptionalDouble stated = settings.scaleLag();
        Optional<Shift> found = stated.isPresent() ? Optional.empty() : find(log, mass, settings);
        double lag = stated.isPresent() ? stated.getAsDouble() : found.map(Shift::seconds).orElse(0.0);
        if (lag == 0) {
            return new RepairedLog(log, List.of());
        }
        String evidence = evidence(stated, lag, found);
        return shifted(log, mass, lag, evidence, settings);
    }

    private static String evidence(OptionalDouble stated, double lag, Optional<Shift> found) {
        return stated.isPresent() ? String.format(Locale.ROOT, "%.1f s, as entered", lag)
                : String.format(Locale.ROOT,
                        "the cup went on along its line for %.1f s after the stop, %.1f s longer than usual",
                        found.get().onItsLine(), lag);
    }

    private static RepairedLog shifted(ShotLog log, Samples mass, double lag, String evidence, CurveSettings settings) {
        boolean applied = settings.applies(RepairKind.SCALE_LAG);
        Repair repair = new Repair(RepairKind.SCALE_LAG, log.time().get(0), log.time().get(log.size() - 1), evidence,
                applied);
        return new RepairedLog(applied ? log.with(Channel.CUP_MASS, earlier(log.time(), mass, lag)) : log,
                List.of(repair));
    }

    private record Shift(double seconds, double onItsLine) {
    }

    private static Optional<Shift> find(ShotLog log, Samples mass, CurveSettings settings) {
        Optional<UniformCurve> pressure = log.find(Channel.PRESSURE)
                .map(p -> Resampling.STANDARD.resample(log.time(), p));
        Optional<UniformCurve> pump = log.find(Channel.PUMP_FLOW).map(q -> Resampling.STANDARD.resample(log.time(), q));
        OptionalDouble off = settings.pumpOff().isPresent() ? settings.pumpOff()
                : PumpTimes.off(pressure, pump).map(e -> OptionalDouble.of(e.seconds())).orElse(OptionalDouble.empty());
        if (off.isEmpty()) {
            return Optional.empty();
        }
        UniformCurve cup = Resampling.STANDARD.resample(log.time(), mass);
        double stop = off.getAsDouble();
        double gained = cup.at(stop) - cup.at(stop - BEFORE_SECONDS);
        if (cup.end() < stop + AFTER_SECONDS || !(gained > LEAST_FLOW * BEFORE_SECONDS)) {
            return Optional.empty();
        }
        return StreamEnd.after(cup, stop, LONGEST_SECONDS)
                .filter(end -> end.seconds() - stop - 2 * end.u() > LEAST_SECONDS)
                .map(end -> new Shift(end.seconds() - stop - USUAL_SECONDS, end.seconds() - stop));
    }

    /** The cup mass as it would have been logged without delay; what was not yet logged at the end is unknown. */
    private static Samples earlier(Samples time, Samples mass, double lag) {
        double[] values = new double[time.size()];
        int j = 0;
        for (int i = 0; i < values.length; i++) {
            double at = time.get(i) + lag;
            while (j + 1 < time.size() && time.get(j + 1) <= at) {
                j++;
            }
            while (j > 0 && time.get(j) > at) {
                j--;
            }
            if (at < time.get(0)) {
                values[i] = mass.get(0);
            } else if (j + 1 >= time.size()) {
                values[i] = at <= time.get(j) + 1e-9 ? mass.get(j) : Double.NaN;
            } else {
                double share = (at - time.get(j)) / (time.get(j + 1) - time.get(j));
                values[i] = mass.get(j) + share * (mass.get(j + 1) - mass.get(j));
            }
        }
        return Samples.of(values);
    }
}
