package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.grenu.core.curve.Channel;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.predict.ProfilePrediction.Band;
import org.grenu.core.predict.ProfilePrediction.StepEnd;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints a profile on its strips: what is meant as grain, what is predicted as tint, what can be dragged as marks. */
public final class ProfilePainter {

    private static final double KNOB = 4.6;
    /** Less than that holds no word. */
    private static final double LEAST_ROOM = 34;

    private final Graphics2D g;
    private final Theme theme;
    private final ProfileFigure figure;
    private final ProfileLayout layout;
    private final ProfileHandle chosen;
    private final List<Rectangle2D> taken = new ArrayList<>();

    private ProfilePainter(Graphics2D g, Theme theme, ProfileFigure figure, ProfileHandle chosen, double width,
            double height) {
        this.g = g;
        this.theme = theme;
        this.figure = figure;
        this.layout = new ProfileLayout(figure, width, height);
        this.chosen = chosen;
    }

    /**
     * Paints the figure into that size; the ground is left to the caller.
     *
     * @param chosen the handle that has the keys; null for none
     */
    public static void paint(Graphics2D g, Theme theme, ProfileFigure figure, ProfileHandle chosen, double width,
            double height) {
        Words.quality(g);
        new ProfilePainter(g, theme, figure, chosen, width, height).paint();
    }

    private void paint() {
        bands();
        figure.before().ifPresent(this::ghost);
        for (int i = 0; i < figure.profile().steps().size(); i++) {
            corridor(i);
        }
        strips();
        curves();
        borders();
        layout.handles()
                .stream()
                .filter(handle -> handle.kind() == ProfileHandle.Kind.TIME
                        || handle.kind() == ProfileHandle.Kind.TOLERANCE)
                .forEach(handle -> taken.add(new Rectangle2D.Double(handle.x() - 5, handle.y() - 3, 10, 6)));
        for (int i = 0; i < figure.profile().steps().size(); i++) {
            head(i);
        }
        layout.handles().forEach(this::handle);
        axis();
    }

    /** Every other step is tinted, over all strips. */
    private void bands() {
        for (int i = 0; i < figure.ends().size(); i += 2) {
            double from = layout.x(figure.begin(i));
            g.setColor(theme.color("muted", 0.045));
            g.fill(new Rectangle2D.Double(from, ProfileLayout.HEAD, layout.x(figure.ends().get(i)) - from,
                    layout.foot() - ProfileLayout.HEAD));
        }
    }

    private void strips() {
        for (Channel channel : figure.strips()) {
            String unit = channel == Channel.PRESSURE ? "bar" : channel == Channel.PUMP_FLOW ? "mL/s"
                    : channel == Channel.CUP_MASS ? "g" : "°C";
            String name = channel == Channel.PRESSURE ? "Pressure" : channel == Channel.PUMP_FLOW ? "Pump flow"
                    : channel == Channel.CUP_MASS ? "Cup mass" : "Water";
            Words.draw(g, name, 0, layout.top(channel) + 11, Align.LEFT, Face.SEMIBOLD.at(11.5), theme.color("ink"));
            Words.draw(g, unit, 0, layout.top(channel) + 25, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
            Ticks ticks = Ticks.of(figure.least(channel), figure.most(channel), channel == Channel.PRESSURE ? 4 : 3);
            for (double value : ticks.values()) {
                line(ProfileLayout.LEFT, layout.y(channel, value), layout.right(), layout.y(channel, value),
                        value == 0 ? "muted" : "grid", 0.75);
                Words.draw(g, ticks.label(value), ProfileLayout.LEFT - 7, layout.y(channel, value) + 3.5, Align.RIGHT,
                        Face.REGULAR.at(10), theme.color("muted"));
            }
        }
    }

    private void corridor(int i) {
        ProfileStep step = figure.profile().steps().get(i);
        Channel channel = step.target().channel();
        double begin = figure.begin(i);
        double end = figure.ends().get(i);
        double from = step.from().orElse(figure.levelBefore(i));
        double reached = Math.min(end, begin + step.rampSeconds());
        double there = step.targetAt(reached - begin, figure.levelBefore(i));
        Path2D band = new Path2D.Double();
        double half = step.tolerance();
        boolean ramps = step.rampSeconds() > 0;
        double first = ramps ? from : there;
        band.moveTo(layout.x(begin), layout.y(channel, first + half));
        band.lineTo(layout.x(reached), layout.y(channel, there + half));
        band.lineTo(layout.x(end), layout.y(channel, there + half));
        band.lineTo(layout.x(end), layout.y(channel, Math.max(0, there - half)));
        band.lineTo(layout.x(reached), layout.y(channel, Math.max(0, there - half)));
        band.lineTo(layout.x(begin), layout.y(channel, Math.max(0, first - half)));
        band.closePath();
        Grain.fill(g, band, theme);
        step.limit().ifPresent(limit -> limiter(step, begin, end, limit));
        step.water()
                .ifPresent(water -> line(layout.x(begin), layout.y(Channel.TEMPERATURE, water), layout.x(end),
                        layout.y(Channel.TEMPERATURE, water), "ink", 1.2));
    }

    /** A line with grain on the side that is permitted. */
    private void limiter(ProfileStep step, double begin, double end, double limit) {
        Channel other = step.target().channel() == Channel.PRESSURE ? Channel.PUMP_FLOW : Channel.PRESSURE;
        double y = layout.y(other, limit);
        Grain.fill(g, new Rectangle2D.Double(layout.x(begin), y, layout.x(end) - layout.x(begin), 4), theme);
        line(layout.x(begin), y, layout.x(end), y, "ink", 1.2);
    }

    private void ghost(Profile was) {
        ProfileFigure before = new ProfileFigure(was, figure.before(), figure.prediction(), figure.ends());
        for (int i = 0; i < was.steps().size() && i < figure.ends().size(); i++) {
            ProfileStep step = was.steps().get(i);
            Channel channel = step.target().channel();
            double begin = figure.begin(i);
            double end = figure.ends().get(i);
            double reached = Math.min(end, begin + step.rampSeconds());
            Path2D path = new Path2D.Double();
            path.moveTo(layout.x(begin), layout.y(channel, step.targetAt(0, before.levelBefore(i))));
            path.lineTo(layout.x(reached),
                    layout.y(channel, step.targetAt(reached - begin, before.levelBefore(i))));
            path.lineTo(layout.x(end), layout.y(channel, step.targetAt(end - begin, before.levelBefore(i))));
            stroke(path, theme.color("muted"), 0.75);
        }
    }

    private void curves() {
        if (figure.prediction().isEmpty()) {
            return;
        }
        ProfilePrediction found = figure.prediction().get();
        for (Channel channel : figure.strips()) {
            Band band = found.curves().get(channel);
            if (band == null) {
                continue;
            }
            Path2D area = new Path2D.Double();
            Path2D line = new Path2D.Double();
            for (int i = 0; i < found.seconds().length; i++) {
                double x = layout.x(found.seconds()[i]);
                if (i == 0) {
                    area.moveTo(x, layout.y(channel, band.high()[i]));
                    line.moveTo(x, layout.y(channel, band.middle()[i]));
                } else {
                    area.lineTo(x, layout.y(channel, band.high()[i]));
                    line.lineTo(x, layout.y(channel, band.middle()[i]));
                }
            }
            for (int i = found.seconds().length - 1; i >= 0; i--) {
                area.lineTo(layout.x(found.seconds()[i]), layout.y(channel, band.low()[i]));
            }
            area.closePath();
            if (found.runs() > 1) {
                g.setColor(theme.color("seam-3", 0.16));
                g.fill(area);
            }
            stroke(line, theme.color("seam-3"), 1.6);
        }
        drip(found);
    }

    private void drip(ProfilePrediction found) {
        double x = layout.x(found.numbers().firstDrip().middle());
        double foot = layout.bottom(Channel.CUP_MASS);
        line(x, foot - 54, x, foot, "muted", 0.75);
        Words.draw(g, "first drip", x - 5, foot - 47, Align.RIGHT, Face.REGULAR.at(10.5), theme.color("muted"));
        Words.draw(g, spread(found.numbers().firstDrip()) + " s", x - 5, foot - 34, Align.RIGHT,
                Face.REGULAR.at(10.5), theme.color("muted"));
        double end = layout.y(Channel.CUP_MASS, found.numbers().beverage().middle());
        Words.draw(g, spread(found.numbers().beverage()) + " g", layout.right() + 8, end + 4, Align.LEFT,
                Face.SEMIBOLD.at(11), theme.color("ink"));
    }

    private static String spread(ProfilePrediction.Spread of) {
        return Reported.fixed(of.middle(), 1) + (of.half() > 0 ? " ±" + Reported.fixed(of.half(), 1) : "");
    }

    private void borders() {
        for (int i = 0; i < figure.ends().size(); i++) {
            double x = layout.x(figure.ends().get(i));
            line(x, 4, x, layout.foot(), "phase-edge", 0.75);
        }
    }

    /** Name, expected length, what ends it, and the time limit as a whisker with its slack. */
    private void head(int i) {
        ProfileStep step = figure.profile().steps().get(i);
        double from = layout.x(figure.begin(i));
        double to = layout.x(figure.ends().get(i));
        boolean current = chosen != null && chosen.step() == i;
        line(from, 4, to, 4, current ? "ink" : "rail", 2.5);
        double room = to - from - 8;
        whisker(step, from);
        if (room < LEAST_ROOM) {
            // As the table below numbers it.
            Words.draw(g, Integer.toString(i + 1), (from + to) / 2, 18, Align.CENTRE, Face.SEMIBOLD.at(11.5),
                    theme.color("ink"));
            return;
        }
        Words.draw(g, Words.fitted(step.name(), Face.SEMIBOLD.at(11.5), room), from + 5, 18, Align.LEFT,
                Face.SEMIBOLD.at(11.5), theme.color("ink"));
        String lasts = Reported.fixed(figure.ends().get(i) - figure.begin(i), 1) + " s";
        Words.draw(g, Words.fitted(lasts + ending(i), Face.REGULAR.at(10.5), room), from + 5, 31, Align.LEFT,
                Face.REGULAR.at(10.5), theme.color("ink-2"));
        String until = step.exits()
                .stream()
                .filter(exit -> exit.kind() != Exit.Kind.TIME || step.exits().size() == 1)
                .map(Exit::told)
                .findFirst()
                .orElse(step.exits().isEmpty() ? "to the stop" : "");
        boolean limit = limited(i);
        Words.draw(g, Words.fitted(until, Face.REGULAR.at(10.5), room), from + 5, 44, Align.LEFT,
                Face.REGULAR.at(10.5), theme.color(limit ? "amber-text" : "muted"));
    }

    private boolean limited(int i) {
        return figure.prediction().isPresent() && i < figure.prediction().get().steps().size()
                && 2 * figure.prediction().get().steps().get(i).limitRuns() > figure.prediction()
                        .get()
                        .steps()
                        .get(i)
                        .runs();
    }

    private String ending(int i) {
        if (figure.prediction().isEmpty() || i >= figure.prediction().get().steps().size()) {
            return figure.prediction().isEmpty() ? ", a guess" : ", not reached";
        }
        StepEnd end = figure.prediction().get().steps().get(i);
        return limited(i) ? ", by its time limit" : end.limitRuns() > 0 && end.runs() > 1
                ? ", " + end.limitRuns() + " of " + end.runs() + " by time" : "";
    }

    private void whisker(ProfileStep step, double from) {
        for (Exit exit : step.exits()) {
            if (exit.kind() == Exit.Kind.TIME && step.isTimeLimit(exit)) {
                double x = Math.min(layout.right(), from + exit.value() / figure.last()
                        * (layout.right() - ProfileLayout.LEFT));
                line(from, ProfileLayout.WHISKER, x, ProfileLayout.WHISKER, "rail", 1);
                limitWords(exit, x);
            }
        }
    }

    /** Beside its mark where nothing else stands. */
    private void limitWords(Exit exit, double x) {
        String words = DecimalText.exact(exit.value()) + " s at most";
        double wide = Words.width(words, Face.REGULAR.at(10));
        for (double left : new double[] {x + 9, x - 9 - wide}) {
            Rectangle2D place = new Rectangle2D.Double(left - 2, ProfileLayout.WHISKER - 6, wide + 4, 12);
            if (left + wide < layout.right() + 60 && taken.stream().noneMatch(place::intersects)) {
                taken.add(place);
                Words.draw(g, words, left, ProfileLayout.WHISKER + 4, Align.LEFT, Face.REGULAR.at(10),
                        theme.color("muted"));
                return;
            }
        }
    }

    private void handle(ProfileHandle handle) {
        boolean current = handle.same(chosen);
        Color ink = theme.color(current ? "accent" : "ink");
        double x = handle.x();
        double y = handle.y();
        switch (handle.kind()) {
            case LEVEL, RAMP, WATER -> mark(new Ellipse2D.Double(x - KNOB, y - KNOB, 2 * KNOB, 2 * KNOB), ink, "panel");
            case LIMIT -> mark(new Rectangle2D.Double(x - 4, y - 4, 8, 8), ink, "panel");
            case TOLERANCE -> {
                g.setColor(ink);
                g.setStroke(new BasicStroke(1.6f));
                g.draw(new Line2D.Double(x - 5, y, x + 5, y));
            }
            case TIME -> mark(new Ellipse2D.Double(x - 4, y - 4, 8, 8), ink, "panel");
            case EXIT -> mark(new Ellipse2D.Double(x - 3.6, y - 3.6, 7.2, 7.2), ink, current ? "accent" : "ink");
        }
        label(handle, current);
    }

    private void mark(Shape shape, Color ink, String ground) {
        g.setColor(theme.color(ground));
        g.fill(shape);
        g.setColor(ink);
        g.setStroke(new BasicStroke(1.4f));
        g.draw(shape);
    }

    /** What the handle says; a tab for an exit. Words that would lie over others step aside or stay away. */
    private void label(ProfileHandle handle, boolean current) {
        ProfileStep step = figure.profile().steps().get(handle.step());
        String number = DecimalText.exact(handle.value(figure.profile()));
        String words = switch (handle.kind()) {
            case LEVEL -> number + " ±" + DecimalText.exact(step.tolerance());
            case RAMP -> "over " + number + " s";
            case LIMIT -> "at most " + number;
            case WATER -> number + " °C";
            case EXIT -> "until " + step.exits().get(handle.exit()).told();
            case TIME, TOLERANCE -> "";
        };
        if (words.isEmpty()) {
            return;
        }
        double wide = Words.width(words, Face.REGULAR.at(10.5));
        for (double[] corner : corners(handle, wide)) {
            Rectangle2D place = new Rectangle2D.Double(corner[0] - 3, corner[1] - 1, wide + 9, 14);
            if (corner[0] > ProfileLayout.LEFT - 4 && taken.stream().noneMatch(place::intersects)) {
                taken.add(place);
                if (handle.kind() == ProfileHandle.Kind.EXIT) {
                    RoundRectangle2D tab = new RoundRectangle2D.Double(corner[0] - 4, corner[1] - 1, wide + 8, 14, 4,
                            4);
                    mark(tab, theme.color(current ? "accent" : "phase-edge"), "panel");
                }
                Words.draw(g, words, corner[0], corner[1] + 10, Align.LEFT, Face.REGULAR.at(10.5),
                        theme.color(current ? "accent" : "ink-2"));
                return;
            }
        }
    }

    /** Where words that wide may stand, the best place first. */
    private static double[][] corners(ProfileHandle handle, double wide) {
        double x = handle.x();
        double y = handle.y();
        return switch (handle.kind()) {
            case EXIT -> new double[][] {{x - wide - 16, y - 16}, {x + 9, y + 3}, {x - wide - 16, y + 4}};
            // Beside a ramp that rises to it, rather than over it.
            case RAMP -> new double[][] {{x - wide / 2, y - 20}, {x + 8, y - 18}, {x - wide - 12, y + 6}};
            default -> new double[][] {{x - wide / 2, y - 20}, {x + 8, y - 18}, {x - wide / 2, y + 8}};
        };
    }

    private void axis() {
        line(ProfileLayout.LEFT, layout.foot(), layout.right(), layout.foot(), "ink", 0.9);
        Words.draw(g, "Since pump on", 0, layout.foot() + 4, Align.LEFT, Face.SEMIBOLD.at(11), theme.color("ink"));
        Words.draw(g, "s", 0, layout.foot() + 17, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
        Ticks ticks = Ticks.of(0, figure.last(), 7);
        for (double value : ticks.values()) {
            line(layout.x(value), layout.foot(), layout.x(value), layout.foot() + 4, "ink", 0.75);
            Words.draw(g, ticks.label(value), layout.x(value), layout.foot() + 17, Align.CENTRE, Face.REGULAR.at(10),
                    theme.color("muted"));
        }
        figure.prediction().filter(found -> found.runs() > 1).ifPresent(found -> {
            for (StepEnd end : found.steps()) {
                g.setColor(theme.color("seam-3", 0.35));
                double from = layout.x(end.seconds().low());
                g.fill(new Rectangle2D.Double(from, layout.foot() - 2.5, layout.x(end.seconds().high()) - from, 5));
            }
        });
    }

    private void line(double x1, double y1, double x2, double y2, String role, double wide) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) wide));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }

    private void stroke(Path2D path, Color color, double wide) {
        g.setColor(color);
        g.setStroke(new BasicStroke((float) wide, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(path);
    }
}
