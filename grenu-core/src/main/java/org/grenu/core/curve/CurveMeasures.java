package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * What a log says: repaired and evenly sampled curves, the shot's moments and simple measures.
 *
 * @param repaired     the log after repairs, with what was repaired
 * @param curves       each logged channel at 10 Hz; cup flow is derived from the cup mass where that was logged
 * @param times        the shot's moments, s on the log's axis
 * @param beverage     mass in the cup at the end, above the baseline before the first drip, g
 * @param peakPressure largest pressure, bar
 * @param meanPressure time-weighted mean pressure from pump on to pump off, bar
 */
public record CurveMeasures(RepairedLog repaired, Map<Channel, UniformCurve> curves, ShotTimes times,
                            Optional<Measured> beverage, OptionalDouble peakPressure, OptionalDouble meanPressure) {

    /** Counts up whenever the same log would give other numbers, so that stored results are made anew. */
    public static final int ALGORITHM_VERSION = 1;
    /** Savitzky–Golay window of the cup flow, s (common practice, no source). */
    public static final double FLOW_WINDOW_SECONDS = 1.5;
    private static final int FLOW_ORDER = 2;
    private static final double FINAL_SECONDS = 1.0;

    public CurveMeasures {
        EnumMap<Channel, UniformCurve> copy = new EnumMap<>(Channel.class);
        copy.putAll(curves);
        curves = Collections.unmodifiableMap(copy);
    }

    /** {@return the measures of that log} */
    public static CurveMeasures of(ShotLog raw, CurveSettings settings) {
        RepairedLog repaired = CurveRepairs.repair(raw, settings.repairsOff());
        ShotLog log = repaired.log();
        EnumMap<Channel, UniformCurve> curves = new EnumMap<>(Channel.class);
        log.channels().forEach((channel, samples) ->
                curves.put(channel, Resampling.STANDARD.resample(log.time(), samples)));
        UniformCurve mass = curves.get(Channel.CUP_MASS);
        if (mass != null && mass.size() > 3) {
            curves.put(Channel.CUP_FLOW, cupFlow(mass));
        }
        Optional<UniformCurve> pressure = Optional.ofNullable(curves.get(Channel.PRESSURE));
        Optional<UniformCurve> pumpFlow = Optional.ofNullable(curves.get(Channel.PUMP_FLOW));
        Optional<TimedEvent> on = stated(settings.pumpOn()).or(() -> PumpTimes.on(pressure, pumpFlow));
        Optional<TimedEvent> off = stated(settings.pumpOff()).or(() -> PumpTimes.off(pressure, pumpFlow));
        Optional<TimedEvent> firstDrip = Optional.ofNullable(mass).flatMap(FirstDrip::find);
        Optional<Measured> beverage = Optional.ofNullable(mass)
                .flatMap(m -> beverage(m, firstDrip, settings.massResolution()));
        ShotTimes times = new ShotTimes(on, firstDrip, off, firstDrip.flatMap(drip -> lastDrip(mass)));
        OptionalDouble peak = pressure.map(p -> p.values().max()).filter(Double::isFinite)
                .map(OptionalDouble::of).orElse(OptionalDouble.empty());
        return new CurveMeasures(repaired, curves, times, beverage, peak, mean(pressure, on, off));
    }

    /** {@return the channel's curve, if there is one} */
    public Optional<UniformCurve> find(Channel channel) {
        return Optional.ofNullable(curves.get(channel));
    }

    /** {@return the slope of the cup mass, g/s: Savitzky–Golay, order 2, over 1.5 s} */
    static UniformCurve cupFlow(UniformCurve mass) {
        return SavitzkyGolay.spanning(FLOW_WINDOW_SECONDS, mass.step(), FLOW_ORDER).derivative(mass);
    }

    private static Optional<TimedEvent> stated(OptionalDouble seconds) {
        return seconds.isPresent() ? Optional.of(TimedEvent.stated(seconds.getAsDouble())) : Optional.empty();
    }

    /** Median of the last second less the median before the first drip; only the display step and noise count as uncertainty. */
    private static Optional<Measured> beverage(UniformCurve mass, Optional<TimedEvent> firstDrip, double resolution) {
        double[] values = Arrays.stream(mass.values().toArray()).filter(Double::isFinite).toArray();
        int last = Math.max(1, (int) Math.round(FINAL_SECONDS / mass.step()));
        if (values.length < 2 * last) {
            return Optional.empty();
        }
        double[] end = Arrays.copyOfRange(values, values.length - last, values.length);
        int before = firstDrip.map(drip -> (int) ((drip.seconds() - mass.start()) / mass.step()) - last / 2).orElse(last);
        double[] start = Arrays.copyOfRange(values, 0, Math.min(values.length, Math.max(3, before)));
        double u = Math.hypot(resolution / Math.sqrt(12), spread(end) / Math.sqrt(end.length));
        return Optional.of(Measured.independent(Math.max(0, median(end) - median(start)), u));
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }

    private static double spread(double[] values) {
        double centre = median(values);
        return 1.4826 * median(Arrays.stream(values).map(v -> Math.abs(v - centre)).toArray());
    }

    /** The last time the cup was lighter than at the end by more than 0.15 g. */
    private static Optional<TimedEvent> lastDrip(UniformCurve mass) {
        double[] values = mass.values().toArray();
        int last = Math.max(1, (int) Math.round(FINAL_SECONDS / mass.step()));
        double[] end = Arrays.stream(Arrays.copyOfRange(values, Math.max(0, values.length - last), values.length))
                .filter(Double::isFinite).toArray();
        if (end.length == 0) {
            return Optional.empty();
        }
        double level = median(end) - 0.15;
        for (int i = values.length - 1; i >= 0; i--) {
            if (values[i] < level) {
                return Optional.of(new TimedEvent(mass.time(Math.min(i + 1, values.length - 1)), 2 * mass.step(), "cup mass"));
            }
        }
        return Optional.empty();
    }

    private static OptionalDouble mean(Optional<UniformCurve> pressure, Optional<TimedEvent> on, Optional<TimedEvent> off) {
        if (pressure.isEmpty() || on.isEmpty() || off.isEmpty()) {
            return OptionalDouble.empty();
        }
        UniformCurve curve = pressure.get();
        double sum = 0;
        int count = 0;
        for (int i = 0; i < curve.size(); i++) {
            boolean running = curve.time(i) >= on.get().seconds() - 1e-9 && curve.time(i) <= off.get().seconds() + 1e-9;
            if (running && Double.isFinite(curve.value(i))) {
                sum += curve.value(i);
                count++;
            }
        }
        return count == 0 ? OptionalDouble.empty() : OptionalDouble.of(sum / count);
    }
}
