package org.grenu.core.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.ShotTimes;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.phase.Phase;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.StepEnding;
import org.grenu.core.profile.StepRun;
import org.grenu.core.profile.Target;
import org.grenu.core.record.BeverageSource;

/** Facts of pressure, flow, time and profile. */
final class CurveFacts {

    static final List<Fact> ALL = List.of(
            new Fact("peak_pressure_bar", 1, "largest pressure", c -> FactValue.of(curve(c).peakPressure())),
            new Fact("mean_pressure_bar", 1, "mean pressure while the pump ran",
                    c -> FactValue.of(curve(c).meanPressure())),
            new Fact("pressure_short_bar", 1, "what the pressure stayed below the largest that was meant",
                    CurveFacts::pressureShort),
            new Fact("shot_time_s", 1, "pump on to pump off",
                    c -> FactValue.of(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(times(c)))),
            new Fact("pressure_time_s", 1, "first pressure to pump off",
                    c -> FactValue.of(TimeConvention.PRESSURE_TO_PUMP_OFF.of(times(c)))),
            new Fact("drip_wait_s", 1, "pump on to first drip", CurveFacts::dripWait),
            new Fact("first_drip_s", 1, "first drip, on the log's clock", c -> at(times(c).firstDrip())),
            new Fact("pump_off_s", 1, "pump off, on the log's clock", c -> at(times(c).pumpOff())),
            new Fact("pressure_before_drip_bar", 1, "pressure one second before the first drip",
                    CurveFacts::pressureBeforeDrip),
            new Fact("cup_gain_g", 1, "what the cup gained", CurveFacts::cupGain),
            new Fact("flow_mean_g_s", 1, "mean cup flow from first drip to pump off", CurveFacts::meanFlow),
            new Fact("flow_at_end_g_s", 1, "cup flow at the log's last sample", CurveFacts::flowAtEnd),
            new Fact("beverage_withheld", 0,
                    "1 when the cup filled and the log does not show how far, else 0",
                    c -> FactValue.of(curve(c).beverageWithheld() ? 1 : 0)),
            new Fact("soak_s", 1, "length of the soak, 0 without one",
                    c -> FactValue.of(phase(c, PhaseKind.SOAK).map(Phase::seconds).orElse(0.0))),
            new Fact("main_from_s", 1, "begin of the main phase, on the log's clock",
                    c -> phase(c, PhaseKind.MAIN).flatMap(p -> FactValue.of(p.from()))),
            new Fact("pressure_sag_bar", 1, "what the pressure lost in the main phase while the stream ran",
                    c -> change(c, Channel.PRESSURE).flatMap(d -> FactValue.of(-d))),
            new Fact("flow_rise_g_s", 1, "what the cup flow gained in that time",
                    c -> change(c, Channel.CUP_FLOW).flatMap(FactValue::of)),
            new Fact("time_limit_steps", 0, "steps of the profile that ended by their time limit",
                    CurveFacts::timeLimitSteps),
            new Fact("time_limit_at_s", 1, "end of the first such step, on the log's clock", CurveFacts::timeLimitAt),
            new Fact("inside_share_pct", 0, "share of the time within the profile's corridor", CurveFacts::insideShare),
            new Fact("overshoot_g", 1, "mass that came after pump off", CurveFacts::overshoot),
            new Fact("stop_lag_s", 1, "that mass over the flow at pump off", CurveFacts::stopLag),
            new Fact("stop_at_g", 1, "scale reading to stop at for the beverage that is meant", CurveFacts::stopAt),
            new Fact("beverage_disagreement_g", 1, "weighed beverage less the curve's, without sign",
                    CurveFacts::disagreement),
            new Fact("weighed_g", 1, "beverage mass as weighed",
                    c -> c.measures().masses().beverageSource() == BeverageSource.WEIGHED
                            ? FactValue.of(c.measures().masses().beverage()) : Optional.empty()),
            new Fact("curve_beverage_g", 1, "beverage mass by the curve", c -> FactValue.of(curve(c).beverage())));

    /** Common practice, no source. */
    private static final double STREAM_RUNS_SECONDS = 1.5;
    private static final double LEAST_MAIN_SECONDS = 5;

    private CurveFacts() {
    }

    private static CurveMeasures curve(ShotContext context) {
        return context.measures().curve();
    }

    private static ShotTimes times(ShotContext context) {
        return curve(context).times();
    }

    private static Optional<FactValue> at(Optional<TimedEvent> event) {
        return event.flatMap(e -> FactValue.of(e.seconds()));
    }

    static Optional<Phase> phase(ShotContext context, PhaseKind kind) {
        return context.measures().phases().find(kind);
    }

    private static Optional<FactValue> pressureShort(ShotContext context) {
        OptionalDouble peak = curve(context).peakPressure();
        OptionalDouble meant = context.measures()
                .planned()
                .stream()
                .flatMap(run -> run.steps().stream())
                .filter(run -> run.step().target() == Target.PRESSURE)
                .mapToDouble(run -> run.step().to())
                .max();
        return peak.isPresent() && meant.isPresent() ? FactValue.of(meant.getAsDouble() - peak.getAsDouble())
                : Optional.empty();
    }

    private static Optional<FactValue> dripWait(ShotContext context) {
        Optional<TimedEvent> on = times(context).pumpOn();
        Optional<TimedEvent> drip = times(context).firstDrip();
        return on.isPresent() && drip.isPresent()
                ? FactValue.of(drip.get().seconds() - on.get().seconds(), Math.hypot(drip.get().u(), on.get().u()))
                : Optional.empty();
    }

    private static Optional<FactValue> pressureBeforeDrip(ShotContext context) {
        Optional<TimedEvent> drip = times(context).firstDrip();
        return drip.isEmpty() ? Optional.empty()
                : curve(context).find(Channel.PRESSURE).flatMap(p -> FactValue.of(p.at(drip.get().seconds() - 1)));
    }

    private static Optional<FactValue> cupGain(ShotContext context) {
        if (curve(context).find(Channel.CUP_MASS).isEmpty()) {
            return Optional.empty();
        }
        return times(context).firstDrip().isEmpty() ? FactValue.of(0) : FactValue.of(curve(context).beverage());
    }

    private static Optional<FactValue> meanFlow(ShotContext context) {
        Optional<TimedEvent> drip = times(context).firstDrip();
        Optional<TimedEvent> off = times(context).pumpOff();
        Optional<UniformCurve> mass = curve(context).find(Channel.CUP_MASS);
        if (drip.isEmpty() || off.isEmpty() || mass.isEmpty() || !(off.get().seconds() - drip.get().seconds() > 1)) {
            return Optional.empty();
        }
        return FactValue.of((mass.get().at(off.get().seconds()) - mass.get().at(drip.get().seconds()))
                / (off.get().seconds() - drip.get().seconds()));
    }

    private static Optional<FactValue> flowAtEnd(ShotContext context) {
        return times(context).firstDrip().isEmpty() || curve(context).sparse() ? Optional.empty()
                : curve(context).find(Channel.CUP_FLOW).flatMap(q -> FactValue.of(q.value(q.size() - 1)));
    }

    /**
     * Mean of the main phase's last two seconds less that of two seconds at its begin. A main phase that begins
     * before
     * the first drip counts from when the stream runs: what flows then has not risen, it has begun.
     */
    private static Optional<Double> change(ShotContext context, Channel channel) {
        Optional<Phase> main = phase(context, PhaseKind.MAIN);
        Optional<UniformCurve> curve = curve(context).find(channel);
        if (main.isEmpty() || curve.isEmpty()) {
            return Optional.empty();
        }
        double running = times(context).firstDrip()
                .map(drip -> drip.seconds() + STREAM_RUNS_SECONDS)
                .orElse(main.get().from());
        double from = Math.max(main.get().from(), running) + 0.5;
        double to = main.get().to() - 0.5;
        if (to - from < LEAST_MAIN_SECONDS) {
            return Optional.empty();
        }
        double first = Arrays.stream(curve.get().between(from, from + 2)).average().orElse(Double.NaN);
        double last = Arrays.stream(curve.get().between(to - 2, to)).average().orElse(Double.NaN);
        return Double.isFinite(last - first) ? Optional.of(last - first) : Optional.empty();
    }

    private static Optional<FactValue> timeLimitSteps(ShotContext context) {
        return context.measures()
                .planned()
                .flatMap(run -> FactValue.of(
                        run.steps().stream().filter(step -> step.ending() == StepEnding.TIME_LIMIT).count()));
    }

    private static Optional<FactValue> timeLimitAt(ShotContext context) {
        return context.measures()
                .planned()
                .flatMap(run -> run.steps()
                        .stream()
                        .filter(step -> step.ending() == StepEnding.TIME_LIMIT)
                        .findFirst())
                .map(StepRun::toSeconds)
                .flatMap(FactValue::of);
    }

    private static Optional<FactValue> insideShare(ShotContext context) {
        return context.measures()
                .planned()
                .map(PlannedRun::inside)
                .flatMap(share -> share.isPresent()
                        ? FactValue.of(100 * share.getAsDouble()) : Optional.empty());
    }

    private static Optional<FactValue> overshoot(ShotContext context) {
        Optional<TimedEvent> off = times(context).pumpOff();
        Optional<UniformCurve> mass = curve(context).find(Channel.CUP_MASS);
        if (off.isEmpty() || mass.isEmpty() || curve(context).beverage().isEmpty()
                || times(context).firstDrip().isEmpty()) {
            return Optional.empty();
        }
        return FactValue.of(curve(context).beverage().get().value() - mass.get().at(off.get().seconds()));
    }

    private static Optional<FactValue> stopLag(ShotContext context) {
        Optional<FactValue> gained = overshoot(context);
        Optional<UniformCurve> flow = curve(context).find(Channel.CUP_FLOW);
        if (gained.isEmpty() || flow.isEmpty()) {
            return Optional.empty();
        }
        double at = flow.get().at(times(context).pumpOff().orElseThrow().seconds() - 1);
        return at > 0.3 ? FactValue.of(gained.get().value() / at) : Optional.empty();
    }

    private static Optional<FactValue> stopAt(ShotContext context) {
        Optional<FactValue> gained = overshoot(context);
        Optional<FactValue> meant = RecordFacts.beverageTarget(context);
        return gained.isPresent() && meant.isPresent() ? FactValue.of(meant.get().value() - gained.get().value())
                : Optional.empty();
    }

    private static Optional<FactValue> disagreement(ShotContext context) {
        if (context.measures().masses().beverageSource() != BeverageSource.WEIGHED
                || curve(context).beverage().isEmpty()) {
            return Optional.empty();
        }
        return FactValue.of(Math.abs(context.measures().masses().beverage().orElseThrow().value()
                - curve(context).beverage().get().value()));
    }
}
