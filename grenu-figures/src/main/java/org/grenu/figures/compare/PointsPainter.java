package org.grenu.figures.compare;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.grenu.core.compare.RowResidual;
import org.grenu.core.model.Estimate;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints every shot as a point, the levels' means with their 95 % intervals behind. */
public final class PointsPainter {

    private static final double DOT = 3.8;
    private static final double COVERAGE = 0.95;
    private static final double LEFT = 44;
    private static final double HEAD = 36;
    private static final double FOOT = 44;

    private final Graphics2D g;
    private final Theme theme;
    private final PointsFigure figure;
    private final Function<PointsFigure.Point, Color> colors;
    private final double width;
    private final double height;

    private PointsPainter(Graphics2D g, Theme theme, PointsFigure figure, Function<PointsFigure.Point, Color> colors,
            double width, double height) {
        this.g = g;
        this.theme = theme;
        this.figure = figure;
        this.colors = colors;
        this.width = width;
        this.height = height;
    }

    /** Paints the figure into that size; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, PointsFigure figure, Function<PointsFigure.Point, Color> colors,
            double width, double height) {
        Words.quality(g);
        PointsPainter painter = new PointsPainter(g, theme, figure, colors, width, height);
        for (int i = 0; i < figure.fields().size(); i++) {
            painter.field(i);
        }
        painter.legend();
    }

    /** {@return the shot whose point lies within a few pixels of there} */
    public static Optional<PointsFigure.Point> pointAt(PointsFigure figure, double width, double height, double x,
            double y) {
        PointsPainter painter = new PointsPainter(null, null, figure, null, width, height);
        PointsFigure.Point best = null;
        double nearest = 9;
        for (int i = 0; i < figure.fields().size(); i++) {
            List<double[]> places = painter.places(i);
            for (int k = 0; k < places.size(); k++) {
                double off = Math.hypot(places.get(k)[0] - x, places.get(k)[1] - y);
                if (off < nearest) {
                    nearest = off;
                    best = figure.fields().get(i).points().get(k);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private double left(int field) {
        return field * width / figure.fields().size() + LEFT;
    }

    private double right(int field) {
        return (field + 1) * width / figure.fields().size() - 12;
    }

    private double x(int field, double at) {
        double[] along = figure.fields().get(field).along();
        return left(field) + (at - along[0]) / (along[1] - along[0]) * (right(field) - left(field));
    }

    private double y(int field, double value) {
        PointsFigure.Field of = figure.fields().get(field);
        return height - FOOT - (value - of.low()) / (of.high() - of.low()) * (height - FOOT - HEAD);
    }

    private void field(int i) {
        PointsFigure.Field of = figure.fields().get(i);
        title(i, of);
        for (double value : of.ticks().values()) {
            line(left(i), y(i, value), right(i), y(i, value), "grid", 0.75);
            Words.draw(g, of.ticks().label(value), left(i) - 6, y(i, value) + 3.5, Align.RIGHT, Face.REGULAR.at(10),
                    theme.color("muted"));
        }
        line(left(i), height - FOOT, right(i), height - FOOT, "ink", 0.9);
        means(i, of);
        points(i, of);
        levels(i, of);
    }

    private void title(int i, PointsFigure.Field of) {
        double start = left(i) - LEFT + 6;
        double room = right(i) - start;
        ResponseTitle title = ResponseTitle.of(of.answer().response(), of.answer().response().unit());
        Words.draw(g, Words.fitted(title.name(), Face.SEMIBOLD.at(11.5), room), start, 13, Align.LEFT,
                Face.SEMIBOLD.at(11.5), theme.color("ink"));
        Words.draw(g, Words.fitted(title.below(), Face.REGULAR.at(10.5), room), start, 27, Align.LEFT,
                Face.REGULAR.at(10.5), theme.color("muted"));
    }

    private void means(int i, PointsFigure.Field of) {
        if (figure.variable().numeric()) {
            band(i, of);
            return;
        }
        for (PointsFigure.Level level : of.levels()) {
            Optional<Estimate> mean = level.mean().mean();
            if (mean.isPresent()) {
                bar(i, of, level.at(), mean.get());
            }
        }
    }

    private void bar(int i, PointsFigure.Field of, double at, Estimate mean) {
        double half = mean.halfWidth(COVERAGE);
        double middle = x(i, at);
        double wide = Math.min(26, (x(i, 1) - x(i, 0)) * 0.38);
        double top = y(i, Math.min(of.high(), mean.value() + half));
        double bottom = y(i, Math.max(of.low(), mean.value() - half));
        g.setColor(theme.color("muted", 0.16));
        g.fill(new Rectangle2D.Double(middle - wide, top, 2 * wide, bottom - top));
        line(middle - wide, y(i, mean.value()), middle + wide, y(i, mean.value()), "ink", 1.8);
    }

    /** The fitted line with its interval, drawn through the levels that occur. */
    private void band(int i, PointsFigure.Field of) {
        List<PointsFigure.Level> known = of.levels().stream().filter(level -> level.mean().mean().isPresent()).toList();
        if (known.size() < 2) {
            return;
        }
        Path2D area = new Path2D.Double();
        Path2D line = new Path2D.Double();
        for (int k = 0; k < known.size(); k++) {
            Estimate mean = known.get(k).mean().mean().orElseThrow();
            double x = x(i, known.get(k).at());
            double upper = y(i, Math.min(of.high(), mean.value() + mean.halfWidth(COVERAGE)));
            if (k == 0) {
                area.moveTo(x, upper);
                line.moveTo(x, y(i, mean.value()));
            } else {
                area.lineTo(x, upper);
                line.lineTo(x, y(i, mean.value()));
            }
        }
        for (int k = known.size() - 1; k >= 0; k--) {
            Estimate mean = known.get(k).mean().mean().orElseThrow();
            area.lineTo(x(i, known.get(k).at()), y(i, Math.max(of.low(), mean.value() - mean.halfWidth(COVERAGE))));
        }
        area.closePath();
        g.setColor(theme.color("muted", 0.14));
        g.fill(area);
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke(1.8f));
        g.draw(line);
    }

    private void points(int i, PointsFigure.Field of) {
        List<double[]> places = places(i);
        for (int k = 0; k < places.size(); k++) {
            Shape dot = mark(figure.marks().indexOf(of.points().get(k).mark()), places.get(k)[0], places.get(k)[1]);
            g.setColor(colors.apply(of.points().get(k)));
            g.fill(dot);
            g.setColor(theme.color("panel"));
            g.setStroke(new BasicStroke(1f));
            g.draw(dot);
        }
    }

    /** Circle, diamond, square, triangle: one a level of the second factor. */
    private static Shape mark(int kind, double x, double y) {
        if (kind % 4 <= 0) {
            return new Ellipse2D.Double(x - DOT, y - DOT, 2 * DOT, 2 * DOT);
        }
        double r = kind % 4 == 2 ? DOT * 0.9 : DOT * 1.25;
        double[][] corners = switch (kind % 4) {
            case 1 -> new double[][] {{0, -1}, {1, 0}, {0, 1}, {-1, 0}};
            case 2 -> new double[][] {{-1, -1}, {1, -1}, {1, 1}, {-1, 1}};
            default -> new double[][] {{0, -1}, {1, 0.8}, {-1, 0.8}};
        };
        return polygon(corners, r, x, y);
    }

    private static Shape polygon(double[][] corners, double r, double x, double y) {
        Path2D path = new Path2D.Double();
        path.moveTo(x + r * corners[0][0], y + r * corners[0][1]);
        for (int i = 1; i < corners.length; i++) {
            path.lineTo(x + r * corners[i][0], y + r * corners[i][1]);
        }
        path.closePath();
        return path;
    }

    /** What the marks mean, at the foot. */
    private void legend() {
        double x = 6;
        for (int i = 0; i < figure.marks().size() && figure.marks().size() > 1; i++) {
            g.setColor(theme.color("muted"));
            g.fill(mark(i, x + 4, height - 6));
            Words.draw(g, figure.marks().get(i), x + 13, height - 2, Align.LEFT, Face.REGULAR.at(10.5),
                    theme.color("muted"));
            x += 28 + Words.width(figure.marks().get(i), Face.REGULAR.at(10.5));
        }
        explain();
    }

    private void explain() {
        Words.draw(g,
                figure.variable().numeric()
                        ? "line and tint: the model's mean and its 95 % interval, other factors at their average"
                        : "bar and tint: the model's mean and its 95 % interval, other factors at their average",
                width - 12, height - 2, Align.RIGHT, Face.REGULAR.at(10.5), theme.color("muted"));
    }

    /** Points that would cover each other step aside, alternately right and left. */
    private List<double[]> places(int i) {
        List<double[]> places = new ArrayList<>();
        for (PointsFigure.Point point : figure.fields().get(i).points()) {
            RowResidual row = point.row();
            double y = y(i, row.value());
            double x = x(i, point.at());
            double at = beside(places, x, y);
            places.add(new double[] {at, y});
        }
        return places;
    }

    /** {@return the place nearest to x, in turn right and left of it, that no point covers} */
    private static double beside(List<double[]> places, double x, double y) {
        int aside = 0;
        double at = x;
        while (aside < 9 && covered(places, at, y)) {
            aside++;
            at = x + (aside % 2 == 1 ? 1 : -1) * Math.ceil(aside / 2.0) * 2 * DOT;
        }
        return at;
    }

    private static boolean covered(List<double[]> places, double x, double y) {
        return places.stream()
                .anyMatch(other -> Math.abs(other[0] - x) < 1.6 * DOT && Math.abs(other[1] - y) < 1.6 * DOT);
    }

    private void levels(int i, PointsFigure.Field of) {
        double room = of.levels().size() < 2 ? right(i) - left(i) : (right(i) - left(i)) / of.levels().size() - 4;
        double taken = Double.NEGATIVE_INFINITY;
        for (PointsFigure.Level level : of.levels()) {
            String words = Words.fitted(level.mean().level(), Face.REGULAR.at(10.5),
                    figure.variable().numeric() ? 60 : room);
            double x = x(i, level.at());
            double half = Words.width(words, Face.REGULAR.at(10.5)) / 2;
            line(x, height - FOOT, x, height - FOOT + 4, "ink", 0.9);
            if (x - half > taken) {
                Words.draw(g, words, x, height - FOOT + 17, Align.CENTRE, Face.REGULAR.at(10.5), theme.color("ink-2"));
                taken = x + half + 4;
            }
        }
    }

    private void line(double x1, double y1, double x2, double y2, String role, double width) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) width));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
