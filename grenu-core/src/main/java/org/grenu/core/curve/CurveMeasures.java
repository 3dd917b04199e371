package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.numbers.OrderStatistic;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.Measured;

/**
 * What a log says: repaired and evenly sampled curves, the shot's moments and simple measures.
 *
 * @param repaired the log after repairs, with what was repaired
 * @param drawn the repaired curves
 * @param sparse whether the log is a few points read off by hand: curves are straight lines between them
 * @param times the shot's moments, s on the log's axis
 * @param beverage mass in the cup at the end, above the baseline before the first drip, g
 * @param pressures pressures while pumping
 */
public record CurveMeasures(RepairedLog repaired, Drawn drawn, boolean sparse, ShotTimes times,
        Optional<Measured> beverage, Pressures pressures) {

    /** Counts up whenever the same log would give other numbers, so that stored results are made anew. */
    public static final int ALGORITHM_VERSION = 3;
    /** Savitzky–Golay window of the cup flow, s (common practice, no source). */
    public static final double FLOW_WINDOW_SECONDS = 1.5;
    private static final int FLOW_ORDER = 2;
    /** Logs slower than this are points, not curves. */
    private static final double SPARSE_STEP_SECONDS = 1.5;

    /**
     * The repaired curves.
     *
     * @param curves each logged channel at 10 Hz; cup flow is derived from the cup mass where that was logged
     * @param noise standard deviation of each logged channel's samples about their course, in the channel's unit
     * @param flowU standard uncertainty of the derived cup flow, g/s, where the cup mass was logged
     */
    public record Drawn(Map<Channel, UniformCurve> curves, Map<Channel, Double> noise, Optional<UniformCurve> flowU) {

        public Drawn {
            EnumMap<Channel, UniformCurve> copy = new EnumMap<>(Channel.class);
            copy.putAll(curves);
            curves = Collections.unmodifiableMap(copy);
            noise = Map.copyOf(noise);
        }
    }

    /**
     * Pressures while pumping.
     *
     * @param peakPressure largest pressure, bar
     * @param meanPressure time-weighted mean pressure from first pressure to pump off, or to the log's end, bar
     */
    public record Pressures(OptionalDouble peakPressure, OptionalDouble meanPressure) {
    }

    /** {@return each logged channel at 10 Hz; cup flow is derived from the cup mass where that was logged} */
    public Map<Channel, UniformCurve> curves() {
        return drawn.curves;
    }

    /** {@return standard deviation of each logged channel's samples about their course, in the channel's unit} */
    public Map<Channel, Double> noise() {
        return drawn.noise;
    }

    /** {@return standard uncertainty of the derived cup flow, g/s, where the cup mass was logged} */
    public Optional<UniformCurve> flowU() {
        return drawn.flowU;
    }

    /** {@return largest pressure, bar} */
    public OptionalDouble peakPressure() {
        return pressures.peakPressure;
    }

    /** {@return time-weighted mean pressure from pump on to pump off, bar} */
    public OptionalDouble meanPressure() {
        return pressures.meanPressure;
    }

    /**
     * {@return whether the cup filled and it is not known how far: the log ends while more may still come, or the
     * scale fell silent}
     */
    public boolean beverageWithheld() {
        return beverage.isEmpty() && times.firstDrip().isPresent() && find(Channel.CUP_MASS).isPresent();
    }

    /** {@return the measures of that log} */
    public static CurveMeasures of(ShotLog raw, CurveSettings settings) {
        RepairedLog repaired = CurveRepairs.repair(raw, settings);
        ShotLog log = repaired.log();
        boolean sparse = TimeOrderRepair.medianStep(log.time().toArray()) > SPARSE_STEP_SECONDS;
        Resampling resampling = sparse ? Resampling.BETWEEN_POINTS : Resampling.STANDARD;
        EnumMap<Channel, UniformCurve> curves = new EnumMap<>(Channel.class);
        EnumMap<Channel, Double> noise = new EnumMap<>(Channel.class);
        log.channels().forEach((channel, samples) -> {
            curves.put(channel, resampling.resample(log.time(), samples));
            noise.put(channel, noise(samples));
        });
        UniformCurve mass = curves.get(Channel.CUP_MASS);
        Optional<UniformCurve> flowU = Optional.empty();
        if (mass != null && mass.size() > 3 && !sparse) {
            curves.put(Channel.CUP_FLOW, cupFlow(mass));
            double u = Math.hypot(noise.get(Channel.CUP_MASS), settings.massResolution() / Math.sqrt(12));
            flowU = Optional.of(flowFilter(mass).derivativeNoise(mass, u));
        }
        Optional<UniformCurve> pressure = Optional.ofNullable(curves.get(Channel.PRESSURE));
        ShotTimes times = times(repaired, curves, settings);
        Optional<Measured> beverage = Optional.ofNullable(mass)
                .filter(m -> endKnown(repaired))
                .flatMap(m -> CupMassEnd.beverage(m, times.firstDrip(), settings.massResolution(),
                        lastSeen(repaired, m)));
        OptionalDouble peak = pressure.map(p -> p.values().max())
                .filter(Double::isFinite)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
        return new CurveMeasures(repaired, new Drawn(curves, noise, flowU), sparse, times, beverage,
                new Pressures(peak, mean(pressure, times)));
    }

    /**
     * The stretch in which the pump is known to run.
     *
     * @param from  pump on, or else first pressure, s
     * @param until pump off, or else the log's end, s
     */
    public record Running(double from, double until) {
    }

    /** {@return when the pump is known to run; empty when the log shows neither pump nor pressure} */
    public Optional<Running> running() {
        Optional<TimedEvent> from = times.pumpOn().or(times::pressureOnset);
        double end = Stream.of(Channel.PRESSURE, Channel.PUMP_FLOW)
                .flatMap(channel -> find(channel).stream())
                .mapToDouble(UniformCurve::end)
                .max()
                .orElse(Double.NaN);
        double until = times.pumpOff().map(TimedEvent::seconds).orElse(end);
        return from.filter(f -> until > f.seconds()).map(f -> new Running(f.seconds(), until));
    }

    /** {@return the channel's curve, if there is one} */
    public Optional<UniformCurve> find(Channel channel) {
        return Optional.ofNullable(drawn.curves.get(channel));
    }

    /** {@return the standard uncertainty of a reading off that channel's curve at that time; NaN when unknown} */
    public double uncertainty(Channel channel, double seconds) {
        if (channel == Channel.CUP_FLOW && flowU().isPresent()) {
            return flowU().get().at(seconds);
        }
        return noise().getOrDefault(channel, Double.NaN);
    }

    /** {@return the slope of the cup mass, g/s: Savitzky–Golay, order 2, over 1.5 s} */
    static UniformCurve cupFlow(UniformCurve mass) {
        return flowFilter(mass).derivative(mass);
    }

    private static SavitzkyGolay flowFilter(UniformCurve mass) {
        return SavitzkyGolay.spanning(FLOW_WINDOW_SECONDS, mass.step(), FLOW_ORDER);
    }

    private static ShotTimes times(RepairedLog repaired, Map<Channel, UniformCurve> curves, CurveSettings settings) {
        Optional<UniformCurve> pressure = Optional.ofNullable(curves.get(Channel.PRESSURE));
        Optional<UniformCurve> pumpFlow = Optional.ofNullable(curves.get(Channel.PUMP_FLOW));
        Optional<UniformCurve> mass = Optional.ofNullable(curves.get(Channel.CUP_MASS));
        Optional<TimedEvent> on = stated(settings.pumpOn()).or(() -> PumpTimes.on(pressure, pumpFlow));
        Optional<TimedEvent> off = stated(settings.pumpOff()).or(() -> PumpTimes.off(pressure, pumpFlow));
        Optional<TimedEvent> onset = pressure.flatMap(p -> PumpTimes.pressureOnset(p,
                on.map(TimedEvent::seconds).orElse(p.start()), off.map(TimedEvent::seconds).orElse(p.end())));
        Optional<TimedEvent> drip = mass.flatMap(FirstDrip::find);
        Optional<TimedEvent> last = drip.isPresent() && endKnown(repaired) ? mass.flatMap(CupMassEnd::lastDrip)
                : Optional.empty();
        return new ShotTimes(on, onset, drip, off, last);
    }

    private static boolean endKnown(RepairedLog repaired) {
        return repaired.repairs().stream().noneMatch(r -> r.kind() == RepairKind.SCALE_TIMED_OUT && r.applied());
    }

    /** A cup that was taken away shows nothing of what came later. */
    private static double lastSeen(RepairedLog repaired, UniformCurve mass) {
        return repaired.repairs()
                .stream()
                .filter(r -> r.kind() == RepairKind.CUP_TAKEN && r.applied())
                .mapToDouble(Repair::fromSeconds)
                .min()
                .orElseGet(() -> lastKnown(mass));
    }

    private static double lastKnown(UniformCurve curve) {
        int last = curve.size() - 1;
        while (last > 0 && !Double.isFinite(curve.value(last))) {
            last--;
        }
        return curve.time(last);
    }

    private static Optional<TimedEvent> stated(OptionalDouble seconds) {
        return seconds.isPresent() ? Optional.of(TimedEvent.stated(seconds.getAsDouble())) : Optional.empty();
    }

    /** From second differences, which leave out any smooth course: their spread is √6 times that of the samples. */
    private static double noise(Samples samples) {
        double[] known = Arrays.stream(samples.toArray()).filter(Double::isFinite).toArray();
        double[] second = new double[Math.max(0, known.length - 2)];
        for (int i = 0; i < second.length; i++) {
            second[i] = Math.abs(known[i] - 2 * known[i + 1] + known[i + 2]);
        }
        // The 68th percentile rather than the median: a display that moves in steps has a median of zero.
        return second.length == 0 ? 0
                : OrderStatistic.of(second, (int) (0.683 * (second.length - 1))) / Math.sqrt(6);
    }

    private static OptionalDouble mean(Optional<UniformCurve> pressure, ShotTimes times) {
        if (pressure.isEmpty() || times.pressureOnset().isEmpty()) {
            return OptionalDouble.empty();
        }
        double until = times.pumpOff().map(TimedEvent::seconds).orElse(pressure.get().end());
        return Arrays.stream(pressure.get().between(times.pressureOnset().get().seconds(), until)).average();
    }
}
