package org.grenu.core.curve;

import java.util.Optional;
import org.grenu.core.numbers.Samples;

/** What curves are lined up along: time since a moment of the shot, or the mass in the cup. */
public sealed interface CurveAxis {

    /** What the axis of a shot is called that does not have the moment asked for. */
    String LOG_CLOCK = "Log's clock";

    /** {@return the axis of that kind; the log's own clock when the shot does not have its moment} */
    static CurveAxis of(AxisKind kind, CurveMeasures measures) {
        ShotTimes times = measures.times();
        return switch (kind) {
            case PUMP_ON -> since(times.pumpOn(), kind);
            case PRESSURE_ONSET -> since(times.pressureOnset(), kind);
            case FIRST_DRIP -> since(times.firstDrip(), kind);
            case CUP_MASS -> CupMass.of(measures).<CurveAxis>map(axis -> axis).orElse(new Clock(0, LOG_CLOCK));
        };
    }

    private static CurveAxis since(Optional<TimedEvent> zero, AxisKind kind) {
        return zero.map(event -> new Clock(event.seconds(), "Since " + kind.title())).orElse(new Clock(0, LOG_CLOCK));
    }

    /** {@return where a time of the log lies on the axis; NaN when it does not} */
    double at(double seconds);

    /** {@return the time of the log at a place on the axis; NaN outside} */
    double seconds(double at);

    /** {@return the curve along this axis} */
    UniformCurve along(UniformCurve curve);

    /** {@return what the axis is called} */
    String title();

    /** {@return its unit} */
    String unit();

    /**
     * Time since a moment.
     *
     * @param zero  on the log's clock, s
     */
    record Clock(double zero, String title) implements CurveAxis {

        @Override
        public double at(double seconds) {
            return seconds - zero;
        }

        @Override
        public double seconds(double at) {
            return at + zero;
        }

        @Override
        public UniformCurve along(UniformCurve curve) {
            return new UniformCurve(curve.start() - zero, curve.step(), curve.values());
        }

        @Override
        public String unit() {
            return "s";
        }
    }

    /**
     * Mass in the cup, from the first drip to the last.
     *
     * @param seconds when the cup first held each mass, every {@value #STEP} g from 0
     */
    record CupMass(UniformCurve seconds) implements CurveAxis {

        private static final double STEP = 0.1;
        private static final double LEAST = 2;

        static Optional<CupMass> of(CurveMeasures measures) {
            Optional<UniformCurve> mass = measures.find(Channel.CUP_MASS);
            Optional<TimedEvent> drip = measures.times().firstDrip();
            if (mass.isEmpty() || drip.isEmpty() || !(mass.get().values().max() > LEAST)) {
                return Optional.empty();
            }
            UniformCurve curve = mass.get();
            double[] times = times(curve, drip.get().seconds());
            return Optional.of(new CupMass(new UniformCurve(0, STEP, Samples.of(times))));
        }

        private static double[] times(UniformCurve curve, double from) {
            double most = curve.values().max();
            double[] times = new double[(int) (most / STEP) + 1];
            int i = Math.max(0, (int) ((from - curve.start()) / curve.step()));
            times[0] = from;
            for (int k = 1; k < times.length; k++) {
                while (i < curve.size() - 1 && !(curve.value(i) >= k * STEP)) {
                    i++;
                }
                times[k] = Math.max(times[k - 1], curve.time(i));
            }
            return times;
        }

        @Override
        public double at(double time) {
            if (!(time >= seconds.value(0)) || time > seconds.value(seconds.size() - 1)) {
                return Double.NaN;
            }
            int k = 0;
            while (k < seconds.size() - 1 && seconds.value(k + 1) <= time) {
                k++;
            }
            double onward = k == seconds.size() - 1 ? 0
                    : (time - seconds.value(k)) / (seconds.value(k + 1) - seconds.value(k));
            return seconds.time(k) + onward * STEP;
        }

        @Override
        public double seconds(double at) {
            return seconds.at(at);
        }

        @Override
        public UniformCurve along(UniformCurve curve) {
            double[] values = new double[seconds.size()];
            for (int k = 0; k < values.length; k++) {
                values[k] = curve.at(seconds.value(k));
            }
            return seconds.withValues(values);
        }

        @Override
        public String title() {
            return "In the cup";
        }

        @Override
        public String unit() {
            return "g";
        }
    }
}
