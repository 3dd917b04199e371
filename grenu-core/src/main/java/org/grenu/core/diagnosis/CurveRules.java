package org.grenu.core.diagnosis;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.study.BeverageSource;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** What the curves say. The limits are common practice, no source. */
final class CurveRules {

    private static final double PRESSED_BAR = 5;
    private static final double LATE_SECONDS = 10;
    private static final double FAST_GRAMS_PER_SECOND = 3.2;
    private static final double STILL_FLOWING = 0.4;
    private static final double MASS_TOLERANCE_GRAMS = 0.5;

    private CurveRules() {
    }

    static Optional<Finding> noDrip(ShotSheet sheet, ShotMeasures measures) {
        CurveMeasures curve = measures.curve();
        if (curve.find(Channel.CUP_MASS).isEmpty() || curve.times().firstDrip().isPresent()
                || curve.peakPressure().orElse(0) < PRESSED_BAR) {
            return Optional.empty();
        }
        return Optional.of(new Finding("no_drip", Severity.FAULT, "Nothing reached the cup: the puck choked.",
                text("pressure reached %.1f bar, the cup gained less than 0.7 g", curve.peakPressure().getAsDouble()),
                OptionalDouble.empty(), "Grind coarser, or lower the dose.", Finding.SHARED_PRACTICE));
    }

    static Optional<Finding> lateDrip(ShotSheet sheet, ShotMeasures measures) {
        CurveMeasures curve = measures.curve();
        Optional<TimedEvent> on = curve.times().pumpOn();
        Optional<TimedEvent> drip = curve.times().firstDrip();
        Optional<UniformCurve> pressure = curve.find(Channel.PRESSURE);
        if (on.isEmpty() || drip.isEmpty() || pressure.isEmpty()) {
            return Optional.empty();
        }
        double wait = drip.get().seconds() - on.get().seconds();
        double before = pressure.get().at(drip.get().seconds() - 1);
        if (!(wait > LATE_SECONDS) || !(before > PRESSED_BAR)) {
            return Optional.empty();
        }
        return Optional.of(new Finding("late_drip", Severity.CHECK,
                text("The first drip came %.1f s after pump on, under full pressure.", wait),
                text("%.1f bar one second before it; 2–10 s is usual for a plain shot", before),
                OptionalDouble.of(drip.get().seconds()), "If no soft pre-infusion was meant, grind coarser.",
                Finding.SHARED_PRACTICE));
    }

    static Optional<Finding> gusher(ShotSheet sheet, ShotMeasures measures) {
        CurveMeasures curve = measures.curve();
        Optional<TimedEvent> drip = curve.times().firstDrip();
        Optional<TimedEvent> off = curve.times().pumpOff();
        Optional<UniformCurve> mass = curve.find(Channel.CUP_MASS);
        if (drip.isEmpty() || off.isEmpty() || mass.isEmpty()) {
            return Optional.empty();
        }
        double seconds = off.get().seconds() - drip.get().seconds();
        double flow = (mass.get().at(off.get().seconds()) - mass.get().at(drip.get().seconds())) / seconds;
        if (!(seconds > 1) || !(flow > FAST_GRAMS_PER_SECOND)) {
            return Optional.empty();
        }
        return Optional.of(new Finding("fast_flow", Severity.CHECK, "The shot ran fast: the puck held little back.",
                text("%.1f g/s on average from first drip to pump off", flow), OptionalDouble.of(drip.get().seconds()),
                "If no fast shot was meant, grind finer or check the dose and the puck.", Finding.SHARED_PRACTICE));
    }

    static Optional<Finding> cutOff(ShotSheet sheet, ShotMeasures measures) {
        Optional<UniformCurve> flow = measures.curve().find(Channel.CUP_FLOW);
        if (flow.isEmpty() || measures.curve().times().firstDrip().isEmpty()) {
            return Optional.empty();
        }
        double last = flow.get().value(flow.get().size() - 1);
        if (!(last > STILL_FLOWING)) {
            return Optional.empty();
        }
        return Optional.of(new Finding("log_cut_off", Severity.CHECK, "The log ends while coffee still flows.",
                text("%.1f g/s at the last sample", last), OptionalDouble.of(flow.get().end()),
                "Weigh the cup and enter the beverage mass; log on until the last drip.", Finding.SHARED_PRACTICE));
    }

    static Optional<Finding> massesDisagree(ShotSheet sheet, ShotMeasures measures) {
        if (measures.masses().beverageSource() != BeverageSource.WEIGHED || measures.curve().beverage().isEmpty()) {
            return Optional.empty();
        }
        double weighed = measures.masses().beverage().orElseThrow().value();
        double logged = measures.curve().beverage().get().value();
        if (Math.abs(weighed - logged) <= MASS_TOLERANCE_GRAMS) {
            return Optional.empty();
        }
        return Optional.of(new Finding("beverage_disagrees", Severity.CHECK,
                "The weighed beverage mass and the curve disagree.",
                text("weighed %.1f g, curve %.1f g", weighed, logged), OptionalDouble.empty(),
                "Check the tare and drips that missed the cup; the weighed value is used.", Finding.SHARED_PRACTICE));
    }

    private static String text(String format, Object... numbers) {
        return String.format(Locale.ROOT, format, numbers);
    }
}
