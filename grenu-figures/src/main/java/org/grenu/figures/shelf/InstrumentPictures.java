package org.grenu.figures.shelf;

import java.awt.geom.Path2D;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.strength.DriedSamples;
import org.grenu.core.strength.ReadingLine;
import org.grenu.figures.paint.Words.Align;

/** Scales and refractometers: what they showed of things whose value is known. */
final class InstrumentPictures {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    /** A zero beyond this is worth a warning, % (handbook). */
    private static final double ZERO_LIMIT = 0.05;
    private static final int STEPS = 60;

    private InstrumentPictures() {
    }

    static void scale(Sketch s, ScaleFigure scale, double width) {
        facts(s, List.of("step", number(scale.step(), " g"), "repeatability", number(scale.repeats(), " g"), "bias ±",
                number(scale.bias(), " g"), "lag", number(scale.lag(), " s")));
        if (scale.checks().isEmpty()) {
            s.note("No check weight weighed yet.", 0, 38, Align.LEFT);
            return;
        }
        double limit = Math.max(scale.step().orElse(0.1) / 2 + scale.bias().orElse(0), 1e-3);
        double most = Math.max(2 * limit,
                scale.checks().stream().mapToDouble(check -> Math.abs(check.error())).max().orElse(0) * 1.2);
        Sketch.Axis up = new Sketch.Axis(-most, most, 124, 40);
        double right = width - 130;
        s.grain(44, up.at(limit), right - 44, up.at(-limit) - up.at(limit));
        s.beside(up, 44, right, 3);
        LocalDateTime first = scale.checks().get(0).day().atStartOfDay();
        LocalDateTime last = scale.checks().get(scale.checks().size() - 1).day().atStartOfDay();
        Sketch.Axis days = days(first, last, 52, right - 10);
        scale.checks()
                .forEach(check -> s.dot(days.at(ChronoUnit.HOURS.between(first, check.day().atStartOfDay())),
                        up.at(check.error()), 3.2,
                        Math.abs(check.error()) > limit + 1e-9 ? "brick" : "ink", 0.85));
        s.line(44, up.at(0), right, up.at(0), "ink", 0.75);
        ends(s, first, last, days, 140);
        s.note("shown less weighed, g", right + 12, 52, Align.LEFT);
        s.note("grain: half a step", right + 12, 68, Align.LEFT);
        s.note("and the bias limit", right + 12, 81, Align.LEFT);
    }

    static void refractometer(Sketch s, RefractometerFigure figure, double width) {
        refractometerFacts(s, figure);
        if (figure.zeros().isEmpty() && figure.dried().isEmpty()) {
            s.note("Neither a zero check nor a dried sample yet.", 0, 38, Align.LEFT);
            return;
        }
        double middle = figure.dried().isEmpty() ? width : figure.zeros().isEmpty() ? 0 : Math.round(width * 0.46);
        if (!figure.zeros().isEmpty()) {
            zeros(s, figure, middle - 24);
        }
        figure.dried().ifPresent(dried -> dried(s, figure, dried, middle, width));
    }

    private static void refractometerFacts(Sketch s, RefractometerFigure figure) {
        String range = figure.low().isPresent() && figure.high().isPresent()
                ? figure.low().get() + " to " + figure.high().get() : "unknown";
        facts(s, List.of("reads", figure.brix() ? "°Brix" : "strength", "repeatability", number(figure.repeats(), ""),
                "compensated", range));
    }

    private static void zeros(Sketch s, RefractometerFigure figure, double right) {
        s.value("Zero on rinse water", 0, 40, Align.LEFT);
        double most = Math.max(2 * ZERO_LIMIT,
                figure.zeros().stream().mapToDouble(zero -> Math.abs(zero.shown())).max().orElse(0) * 1.2);
        Sketch.Axis up = new Sketch.Axis(-most, most, 172, 54);
        s.grain(44, up.at(ZERO_LIMIT), right - 44, up.at(-ZERO_LIMIT) - up.at(ZERO_LIMIT));
        s.beside(up, 44, right, 4);
        LocalDateTime first = figure.zeros().get(0).at();
        LocalDateTime last = figure.zeros().get(figure.zeros().size() - 1).at();
        Sketch.Axis days = days(first, last, 52, right - 10);
        Path2D line = new Path2D.Double();
        for (int i = 0; i < figure.zeros().size(); i++) {
            RefractometerFigure.Zero zero = figure.zeros().get(i);
            double x = days.at(ChronoUnit.HOURS.between(first, zero.at()));
            if (i == 0) {
                line.moveTo(x, up.at(zero.shown()));
            } else {
                line.lineTo(x, up.at(zero.shown()));
            }
            s.dot(x, up.at(zero.shown()), 2.8, Math.abs(zero.shown()) > ZERO_LIMIT ? "brick" : "ink", 0.9);
        }
        s.curve(line, "muted", 0.9);
        ends(s, first, last, days, 190);
        s.note("grain: within ±0.05", 44, 206, Align.LEFT);
    }

    private static void dried(Sketch s, RefractometerFigure figure, DriedSamples dried, double left, double width) {
        s.value("Against oven-dried samples", left, 40, Align.LEFT);
        double low = dried.samples().stream().mapToDouble(DriedSamples.Sample::reading).min().orElseThrow();
        double high = dried.samples().stream().mapToDouble(DriedSamples.Sample::reading).max().orElseThrow();
        double air = 0.06 * (high - low);
        Sketch.Axis across = new Sketch.Axis(low - air, high + air, left + 32, width - 6);
        ReadingLine line = dried.line();
        double bottom = Math.min(line.at(low - air), line.at(high + air));
        double top = Math.max(line.at(low - air), line.at(high + air));
        Sketch.Axis up = new Sketch.Axis(bottom - 0.05 * (top - bottom), top + 0.05 * (top - bottom), 160, 60);
        s.beside(up, across.from(), across.to(), 4);
        Path2D curve = new Path2D.Double();
        Path2D band = new Path2D.Double();
        for (int i = 0; i <= STEPS; i++) {
            double reading = low - air + (high - low + 2 * air) * i / STEPS;
            double y = up.at(line.at(reading) + dried.bandHalf(reading));
            if (i == 0) {
                curve.moveTo(across.at(reading), up.at(line.at(reading)));
                band.moveTo(across.at(reading), y);
            } else {
                curve.lineTo(across.at(reading), up.at(line.at(reading)));
                band.lineTo(across.at(reading), y);
            }
        }
        for (int i = STEPS; i >= 0; i--) {
            double reading = low - air + (high - low + 2 * air) * i / STEPS;
            band.lineTo(across.at(reading), up.at(line.at(reading) - dried.bandHalf(reading)));
        }
        band.closePath();
        s.fill(band, "ink", 0.16);
        s.curve(curve, "ink", 1.6);
        dried.samples()
                .forEach(sample -> s.dot(across.at(sample.reading()), up.at(sample.solidsPercent()), 3.2, "ink", 0.85));
        s.below(across, 160, 5, "");
        s.note(figure.brix() ? "reading, °Brix" : "reading, %", across.to(), 190, Align.RIGHT);
        s.note("dried, %", left, 54, Align.LEFT);
        s.note(String.format(Locale.ROOT, "%.3f ±%.3f points per unit · intercept %s%.2f ±%.2f", line.slope(),
                dried.slopeHalf(),
                dried.intercept() < 0 ? "\u2212" : "", Math.abs(dried.intercept()), dried.interceptHalf()), left + 32,
                206, Align.LEFT);
    }

    private static Sketch.Axis days(LocalDateTime first, LocalDateTime last, double from, double to) {
        return new Sketch.Axis(0, Math.max(24, ChronoUnit.HOURS.between(first, last)), from, to);
    }

    private static void ends(Sketch s, LocalDateTime first, LocalDateTime last, Sketch.Axis days, double y) {
        s.note(first.format(DAY), days.from(), y, Align.LEFT);
        if (!last.toLocalDate().equals(first.toLocalDate())) {
            s.note(last.format(DAY), days.to(), y, Align.RIGHT);
        }
    }

    private static void facts(Sketch s, List<String> words) {
        double x = 0;
        for (int i = 0; i < words.size(); i += 2) {
            s.note(words.get(i), x, 14, Align.LEFT);
            x += s.noteWidth(words.get(i)) + 5;
            s.value(words.get(i + 1), x, 14, Align.LEFT);
            x += s.valueWidth(words.get(i + 1)) + 22;
        }
    }

    private static String number(OptionalDouble number, String unit) {
        return number.isPresent() ? DecimalText.exact(number.getAsDouble()).replace('-', '\u2212') + unit : "unknown";
    }
}
