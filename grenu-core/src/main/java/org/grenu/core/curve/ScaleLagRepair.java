package org.grenu.core.curve;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.numbers.Samples;

/**
 * Finds a scale whose values come late, by cross-correlation with the pressure (or the pump flow) about the stop,
 * where
 * both fall: the shift at which the cup flow follows it best. Some shift is the machine's own, since spouts drip on
 * and
 * every scale settles; only what goes far beyond that is taken for a delay and removed. A stated delay goes before.
 */
final class ScaleLagRepair implements CurveRepair {

    /** Between the pump and a scale that answers at once (common practice, no source). */
    private static final double USUAL_SECONDS = 0.6;
    private static final double LEAST_EXCESS_SECONDS = 0.65;
    private static final double LONGEST_SECONDS = 3;
    private static final double BEFORE_SECONDS = 3;
    private static final double AFTER_SECONDS = 4;
    private static final double LEAST_FLOW = 0.5;
    private static final double LEAST_CORRELATION = 0.97;

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
                        "the cup follows the pump %.1f s late, %.1f s more than usual (correlation %.3f)",
                        lag + USUAL_SECONDS, lag, found.get().correlation());
    }

    private static RepairedLog shifted(ShotLog log, Samples mass, double lag, String evidence, CurveSettings settings) {
        boolean applied = settings.applies(RepairKind.SCALE_LAG);
        Repair repair = new Repair(RepairKind.SCALE_LAG, log.time().get(0), log.time().get(log.size() - 1), evidence,
                applied);
        return new RepairedLog(applied ? log.with(Channel.CUP_MASS, earlier(log.time(), mass, lag)) : log,
                List.of(repair));
    }

    private record Shift(double seconds, double correlation) {
    }

    private static Optional<Shift> find(ShotLog log, Samples mass, CurveSettings settings) {
        Optional<UniformCurve> pressure = log.find(Channel.PRESSURE)
                .map(p -> Resampling.STANDARD.resample(log.time(), p));
        Optional<UniformCurve> pump = log.find(Channel.PUMP_FLOW).map(q -> Resampling.STANDARD.resample(log.time(), q));
        Optional<UniformCurve> driver = pressure.or(() -> pump);
        OptionalDouble off = settings.pumpOff().isPresent() ? settings.pumpOff()
                : PumpTimes.off(pressure, pump).map(e -> OptionalDouble.of(e.seconds())).orElse(OptionalDouble.empty());
        if (driver.isEmpty() || off.isEmpty()) {
            return Optional.empty();
        }
        UniformCurve flow = CurveMeasures.cupFlow(Resampling.STANDARD.resample(log.time(), mass));
        double stop = off.getAsDouble();
        if (flow.end() < stop + AFTER_SECONDS || stop - BEFORE_SECONDS < flow.start()
                || !(flow.at(stop - 1) > LEAST_FLOW)) {
            return Optional.empty();
        }
        UniformCurve smooth = SavitzkyGolay.spanning(CurveMeasures.FLOW_WINDOW_SECONDS, flow.step(), 2)
                .smooth(driver.get());
        Shift best = new Shift(0, -1);
        for (double lag = 0; lag <= LONGEST_SECONDS; lag += flow.step()) {
            double correlation = correlation(smooth, flow, stop, lag);
            if (correlation > best.correlation) {
                best = new Shift(lag, correlation);
            }
        }
        double excess = best.seconds - USUAL_SECONDS;
        return best.correlation > LEAST_CORRELATION && excess > LEAST_EXCESS_SECONDS
                ? Optional.of(new Shift(excess, best.correlation)) : Optional.empty();
    }

    /** Pearson's correlation of the driver with the flow that much later, over the driver's fall. */
    private static double correlation(UniformCurve driver, UniformCurve flow, double stop, double lag) {
        double sx = 0;
        double sy = 0;
        double sxx = 0;
        double syy = 0;
        double sxy = 0;
        int n = 0;
        double until = Math.min(stop + AFTER_SECONDS, flow.end() - lag);
        for (double t = stop - BEFORE_SECONDS; t <= until; t += flow.step()) {
            double x = driver.at(t);
            double y = flow.at(t + lag);
            if (Double.isFinite(x) && Double.isFinite(y)) {
                sx += x;
                sy += y;
                sxx += x * x;
                syy += y * y;
                sxy += x * y;
                n++;
            }
        }
        return (n * sxy - sx * sy) / Math.sqrt((n * sxx - sx * sx) * (n * syy - sy * sy));
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
