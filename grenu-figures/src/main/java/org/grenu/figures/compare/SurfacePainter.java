package org.grenu.figures.compare;

import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.compare.Wording;
import org.grenu.core.quantity.Reported;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Paints a surface as contours, a field a response: grain where all windows meet, a tint where the surface is less
 * sure than
 * what makes a difference, nothing beyond what was tried.
 */
public final class SurfacePainter {

    private static final double LEFT = 46;
    private static final double HEAD = 36;
    private static final double FOOT = 48;
    private static final double DOT = 3;
    /** Most fields that stand side by side. */
    public static final int MOST_FIELDS = 3;

    private Graphics2D g;
    private final Theme theme;
    private final ResponseSurface surface;
    private final double width;
    private final double height;

    private SurfacePainter(Graphics2D g, Theme theme, ResponseSurface surface, double width, double height) {
        this.g = g;
        this.theme = theme;
        this.surface = surface;
        this.width = width;
        this.height = height;
    }

    /** Paints the surface into that size; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, ResponseSurface surface, double width, double height) {
        Words.quality(g);
        SurfacePainter painter = new SurfacePainter(g, theme, surface, width, height);
        for (int i = 0; i < painter.fields(); i++) {
            painter.field(i);
        }
        Words.draw(g,
                Words.fitted(
                        "dots: tried · grain: " + windows(surface) + " · tint: less sure than what makes a difference",
                        Face.REGULAR.at(10.5), width - 12),
                6, height - 3, Align.LEFT, Face.REGULAR.at(10.5), theme.color("muted"));
    }

    /** {@return the values foreseen at that place, in words; empty outside what was tried} */
    public static Optional<String> at(ResponseSurface surface, double width, double height, double x, double y) {
        SurfacePainter painter = new SurfacePainter(null, null, surface, width, height);
        for (int i = 0; i < painter.fields(); i++) {
            int column = (int) Math
                    .round((x - painter.left(i)) / (painter.right(i) - painter.left(i)) * (surface.xs().length - 1));
            int row = (int) Math
                    .round((painter.height - FOOT - y) / (painter.height - FOOT - HEAD) * (surface.ys().length - 1));
            if (column >= 0 && row >= 0 && column < surface.xs().length && row < surface.ys().length
                    && surface.within(row, column)) {
                StringBuilder words = new StringBuilder(surface.across().title() + " "
                        + Reported.fixed(surface.xs()[column], 2) + ", " + surface.up().title().toLowerCase(Locale.ROOT)
                        + " " + Reported.fixed(surface.ys()[row], 1) + " " + surface.up().unit());
                for (ResponseSurface.Layer layer : surface.layers()) {
                    words.append('\n')
                            .append(layer.response().title())
                            .append(": ")
                            .append(Wording.reported(layer.mean()[row][column], layer.half()[row][column]))
                            .append(' ')
                            .append(layer.response().unit());
                }
                return Optional.of(words.toString());
            }
        }
        return Optional.empty();
    }

    private static String windows(ResponseSurface surface) {
        List<String> met = surface.layers()
                .stream()
                .filter(layer -> surface.windows().containsKey(layer.response().key()))
                .map(layer -> {
                    ResponseSurface.Window window = surface.windows().get(layer.response().key());
                    return layer.response().title() + " " + Reported.fixed(window.low(), 0) + "–"
                            + Reported.fixed(window.high(), 0) + " " + layer.response().unit();
                })
                .toList();
        return met.isEmpty() ? "no window given" : String.join(" and ", met);
    }

    private int fields() {
        return Math.min(MOST_FIELDS, surface.layers().size());
    }

    private double left(int field) {
        return field * width / fields() + LEFT;
    }

    private double right(int field) {
        return (field + 1) * width / fields() - 14;
    }

    private double x(int field, double column) {
        return left(field) + column / (surface.xs().length - 1) * (right(field) - left(field));
    }

    private double y(double row) {
        return height - FOOT - row / (surface.ys().length - 1) * (height - FOOT - HEAD);
    }

    private void field(int i) {
        ResponseSurface.Layer layer = surface.layers().get(i);
        ResponseTitle title = ResponseTitle.of(layer.response(), layer.response().unit());
        double room = right(i) - left(i) + LEFT - 10;
        Words.draw(g, Words.fitted(title.name(), Face.SEMIBOLD.at(11.5), room), left(i) - LEFT + 6, 13, Align.LEFT,
                Face.SEMIBOLD.at(11.5), theme.color("ink"));
        Words.draw(g, Words.fitted(title.below() + uncertainty(layer), Face.REGULAR.at(10.5), room), left(i) - LEFT + 6,
                27, Align.LEFT, Face.REGULAR.at(10.5), theme.color("muted"));
        Area tried = new Area(hull(i));
        Area wanted = area(i, surface::wanted);
        wanted.intersect(tried);
        Grain.fill(g, wanted, theme);
        Graphics2D whole = g;
        g = (Graphics2D) whole.create();
        g.clip(tried);
        g.setColor(theme.color("muted", 0.16));
        g.fill(area(i, (r, c) -> layer.margin() > 0 && layer.half()[r][c] > layer.margin()));
        contours(i, layer);
        g.dispose();
        g = whole;
        g.setColor(theme.color("phase-edge"));
        g.setStroke(new BasicStroke(0.75f));
        g.draw(tried);
        labels(i, layer);
        for (double[] setting : surface.tried()) {
            double x = x(i, place(surface.xs(), setting[0]));
            double y = y(place(surface.ys(), setting[1]));
            g.setColor(theme.color("ink"));
            g.fill(new Ellipse2D.Double(x - DOT, y - DOT, 2 * DOT, 2 * DOT));
        }
        axes(i);
    }

    private Path2D hull(int i) {
        Path2D path = new Path2D.Double();
        for (double[] corner : surface.hull()) {
            double x = x(i, place(surface.xs(), corner[0]));
            double y = y(place(surface.ys(), corner[1]));
            if (path.getCurrentPoint() == null) {
                path.moveTo(x, y);
            } else {
                path.lineTo(x, y);
            }
        }
        path.closePath();
        return path;
    }

    private double[] extremes(double[][] values) {
        double[] extremes = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int r = 0; r < values.length; r++) {
            for (int c = 0; c < values[r].length; c++) {
                if (surface.within(r, c)) {
                    extremes[0] = Math.min(extremes[0], values[r][c]);
                    extremes[1] = Math.max(extremes[1], values[r][c]);
                }
            }
        }
        return extremes;
    }

    private String uncertainty(ResponseSurface.Layer layer) {
        double least = extremes(layer.half())[0];
        double most = extremes(layer.half())[1];
        return !(most > 0) ? ""
                : "  ±" + Reported.fixed(least, least < 1 ? 2 : 1) + " to ±" + Reported.fixed(most, most < 1 ? 2 : 1);
    }

    private interface Cell {
        boolean holds(int row, int column);
    }

    private Area area(int i, Cell cell) {
        Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        int rows = surface.ys().length;
        int columns = surface.xs().length;
        for (int r = 0; r < rows; r++) {
            int from = -1;
            for (int c = 0; c <= columns; c++) {
                boolean holds = c < columns && cell.holds(r, c);
                if (holds && from < 0) {
                    from = c;
                } else if (!holds && from >= 0) {
                    double x1 = x(i, Math.max(0, from - 0.5));
                    double x2 = x(i, Math.min(columns - 1, c - 0.5));
                    double y1 = y(Math.min(rows - 1, r + 0.5));
                    double y2 = y(Math.max(0, r - 0.5));
                    path.append(new Rectangle2D.Double(x1, y1, Math.max(0.5, x2 - x1), y2 - y1), false);
                    from = -1;
                }
            }
        }
        return new Area(path);
    }

    private Ticks levels(ResponseSurface.Layer layer) {
        double[] range = extremes(layer.mean());
        return range[1] > range[0] ? Ticks.of(range[0], range[1], 4) : Ticks.NONE;
    }

    private void contours(int i, ResponseSurface.Layer layer) {
        for (double level : levels(layer).values()) {
            g.setColor(theme.color("ink-2"));
            g.setStroke(new BasicStroke(1.2f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            Contours.of(layer.mean(), level)
                    .forEach(piece -> g
                            .draw(new Line2D.Double(x(i, piece[0]), y(piece[1]), x(i, piece[2]), y(piece[3]))));
        }
    }

    /** Each line names its value at the middle of what is seen of it. */
    private void labels(int i, ResponseSurface.Layer layer) {
        Font font = Face.MEDIUM.at(10);
        Ticks levels = levels(layer);
        for (double level : levels.values()) {
            List<double[]> seen = Contours.of(layer.mean(), level)
                    .stream()
                    .filter(piece -> surface.within((int) Math.round(piece[1]), (int) Math.round(piece[0])))
                    .toList();
            if (seen.size() > 2) {
                label(i, levels.label(level), seen.get(seen.size() / 2), font);
            }
        }
    }

    private void label(int i, String label, double[] middle, Font font) {
        double wide = Words.width(label, font);
        double x = Math.max(left(i) + wide / 2 + 3, Math.min(right(i) - wide / 2 - 3, x(i, middle[0])));
        double y = y(middle[1]);
        g.setColor(theme.color("panel", 0.85));
        g.fill(new Rectangle2D.Double(x - wide / 2 - 2, y - 6, wide + 4, 12));
        Words.draw(g, label, x, y + 3.5, Align.CENTRE, font, theme.color("ink"));
    }

    private void axes(int i) {
        double foot = height - FOOT;
        line(left(i), foot, right(i), foot, 0.9);
        line(left(i), HEAD, left(i), foot, 0.9);
        across(i, foot);
        upward(i);
        Words.draw(g,
                name(surface.across().title(), surface.across().unit()) + " →,  "
                        + name(surface.up().title(), surface.up().unit()) + " ↑",
                left(i), foot + 29, Align.LEFT,
                Face.REGULAR.at(10), theme.color("muted"));
    }

    private void across(int i, double foot) {
        Ticks along = Ticks.of(surface.xs()[0], surface.xs()[surface.xs().length - 1], 3);
        for (double value : along.values()) {
            double x = x(i, place(surface.xs(), value));
            line(x, foot, x, foot + 4, 0.9);
            Words.draw(g, along.label(value), x, foot + 16, Align.CENTRE, Face.REGULAR.at(10), theme.color("ink-2"));
        }
    }

    private void upward(int i) {
        Ticks upward = Ticks.of(surface.ys()[0], surface.ys()[surface.ys().length - 1], 4);
        for (double value : upward.values()) {
            double y = y(place(surface.ys(), value));
            line(left(i) - 4, y, left(i), y, 0.9);
            Words.draw(g, upward.label(value), left(i) - 7, y + 3.5, Align.RIGHT, Face.REGULAR.at(10),
                    theme.color("ink-2"));
        }
    }

    private static String name(String title, String unit) {
        return unit.isEmpty() ? title : title + ", " + unit;
    }

    private static double place(double[] grid, double value) {
        return (value - grid[0]) / (grid[grid.length - 1] - grid[0]) * (grid.length - 1);
    }

    private void line(double x1, double y1, double x2, double y2, double width) {
        g.setColor(theme.color("ink"));
        g.setStroke(new BasicStroke((float) width));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
