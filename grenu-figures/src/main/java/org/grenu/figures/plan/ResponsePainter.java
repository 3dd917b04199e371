package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.plan.LearntCurve.Band;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints a response against what is moved, of the grind coarser at the left and finer at the right. */
public final class ResponsePainter {

    private static final double LEFT = PlotFrame.LEFT;
    private static final double HEAD = PlotFrame.HEAD;
    private static final double FOOT = 52;
    /** What “← coarser” needs at the axis' end. */
    private static final double END_WORDS = 66;
    private static final double REACH = 10;
    private static final int MOST_NAMED = 30;
    /** How strong a shot that was set otherwise is drawn. */
    private static final double OTHER = 0.35;

    private final Graphics2D g;
    private final Theme theme;
    private final ResponseFigure figure;
    private final PlotFrame frame;
    private final List<Rectangle2D> taken = new ArrayList<>();

    private ResponsePainter(Graphics2D g, Theme theme, ResponseFigure figure, double width, double height) {
        this.g = g;
        this.theme = theme;
        this.figure = figure;
        this.frame = frame(figure, width, height);
    }

    /**
     * Paints the figure into that size; the ground is left to the caller.
     *
     * @param ink the colour of a shot
     */
    public static void paint(Graphics2D g, Theme theme, ResponseFigure figure,
            Function<ResponseFigure.Point, Color> ink, double width, double height) {
        Words.quality(g);
        new ResponsePainter(g, theme, figure, width, height).paint(ink);
    }

    /** {@return the shot whose dot lies within a few pixels of there} */
    public static Optional<ResponseFigure.Point> pointAt(ResponseFigure figure, double width, double height, double x,
            double y) {
        ResponsePainter places = new ResponsePainter(null, null, figure, width, height);
        ResponseFigure.Point best = null;
        double nearest = REACH;
        for (ResponseFigure.Point point : figure.points()) {
            double off = Math.hypot(places.x(point.at()) - x, places.y(point.value()) - y);
            if (off < nearest) {
                nearest = off;
                best = point;
            }
        }
        return Optional.ofNullable(best);
    }

    /** {@return the setting at that place, of the grind the notch counted finer} */
    public static double settingAt(ResponseFigure figure, double width, double x) {
        return frame(figure, width, 1).along(x);
    }

    private static PlotFrame frame(ResponseFigure figure, double width, double height) {
        return new PlotFrame(width, height, FOOT, figure.grid()[0], figure.grid()[figure.grid().length - 1],
                figure.low(), figure.high());
    }

    private double x(double finer) {
        return frame.x(finer);
    }

    private double y(double value) {
        return frame.y(value);
    }

    private void paint(Function<ResponseFigure.Point, Color> ink) {
        frame.upright(g, theme, figure.response().unit(), 8);
        target();
        Shape clip = g.getClip();
        g.clip(frame.inside());
        area(figure.shots(), 0.07);
        area(figure.fit(), 0.09);
        line();
        g.setClip(clip);
        endWords();
        next();
        targetWords();
        points(ink);
        notches();
    }

    private void target() {
        if (figure.target().isEmpty()) {
            return;
        }
        double top = Math.max(HEAD, y(figure.target().get().high()));
        double bottom = Math.min(frame.bottom(), y(figure.target().get().low()));
        if (bottom - top < 1) {
            return;
        }
        Grain.fill(g, new Rectangle2D.Double(LEFT, top, frame.right() - LEFT, bottom - top), theme);
    }

    /** What the grain is, in the first corner of it that nothing else takes. */
    private void targetWords() {
        if (figure.target().isEmpty()) {
            return;
        }
        double top = Math.max(HEAD, y(figure.target().get().high()));
        double bottom = Math.min(frame.bottom(), y(figure.target().get().low()));
        String words = "wanted " + DecimalText.exact(figure.target().get().low()) + "–"
                + DecimalText.exact(figure.target().get().high()) + " " + figure.response().unit();
        double wide = Words.width(words, Face.REGULAR.at(11)) + 8;
        for (double x : new double[] {LEFT + 3, frame.right() - wide - 3}) {
            for (double y : new double[] {top + 2, bottom - 17}) {
                Rectangle2D place = new Rectangle2D.Double(x, y, wide, 15);
                if (y > HEAD && y + 15 < frame.bottom() && taken.stream().noneMatch(place::intersects)) {
                    g.setColor(theme.color("stipple-ground", 0.85));
                    g.fill(place);
                    Words.draw(g, words, x + 4, y + 11, Align.LEFT, Face.REGULAR.at(11), theme.color("ink-2"));
                    taken.add(place);
                    return;
                }
            }
        }
    }

    private void area(List<Band> bands, double opacity) {
        Path2D area = new Path2D.Double();
        area.moveTo(x(figure.grid()[0]), y(bands.get(0).high()));
        for (int i = 1; i < bands.size(); i++) {
            area.lineTo(x(figure.grid()[i]), y(bands.get(i).high()));
        }
        for (int i = bands.size() - 1; i >= 0; i--) {
            area.lineTo(x(figure.grid()[i]), y(bands.get(i).low()));
        }
        area.closePath();
        g.setColor(theme.color("ink", opacity));
        g.fill(area);
    }

    /** Full where it was tried, pale beyond. */
    private void line() {
        pieces(true, 1);
        pieces(false, 0.45);
    }

    private void pieces(boolean within, double opacity) {
        Path2D path = new Path2D.Double();
        for (int i = 1; i < figure.grid().length; i++) {
            double middle = (figure.grid()[i - 1] + figure.grid()[i]) / 2;
            boolean tried = middle >= figure.tried()[0] && middle <= figure.tried()[1];
            if (tried == within) {
                path.moveTo(x(figure.grid()[i - 1]), y(figure.fit().get(i - 1).middle()));
                path.lineTo(x(figure.grid()[i]), y(figure.fit().get(i).middle()));
            }
        }
        g.setColor(theme.color("ink", opacity));
        g.setStroke(new BasicStroke(1.8f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(path);
    }

    /** What the bands are, where they end; words that would lie over each other step aside. */
    private void endWords() {
        int last = figure.grid().length - 1;
        Band fit = figure.fit().get(last);
        Band shot = figure.shots().get(last);
        double middle = within(fit.middle());
        double upper = Math.min(within(fit.high()), middle - 13);
        double lower = Math.max(within(shot.low()), middle + 13);
        double x = frame.right() + 6;
        Words.draw(g, "95 % fit", x, upper + 4, Align.LEFT, Face.REGULAR.at(10.5), theme.color("muted"));
        Words.draw(g, "fit", x, middle + 4, Align.LEFT, Face.SEMIBOLD.at(10.5), theme.color("ink"));
        Words.draw(g, "95 % next", x, lower + 4, Align.LEFT, Face.REGULAR.at(10.5), theme.color("muted"));
        Words.draw(g, "shot", x, lower + 17, Align.LEFT, Face.REGULAR.at(10.5), theme.color("muted"));
    }

    private double within(double value) {
        return Math.max(HEAD + 14, Math.min(frame.bottom() - 18, y(value)));
    }

    private void next() {
        ResponseFigure.Next next = figure.next();
        double x = x(next.at());
        Color accent = theme.color("accent");
        g.setColor(accent);
        g.setStroke(new BasicStroke(1.2f));
        g.draw(new Line2D.Double(x, HEAD, x, frame.bottom()));
        g.setColor(theme.color("accent", 0.32));
        double top = Math.max(HEAD, y(next.band().high()));
        g.fill(new Rectangle2D.Double(x - 3.5, top, 7, Math.min(frame.bottom(), y(next.band().low())) - top));
        double y = Math.max(HEAD + 6, Math.min(frame.bottom() - 6, y(next.band().middle())));
        Path2D diamond = new Path2D.Double();
        diamond.moveTo(x, y - 5.6);
        diamond.lineTo(x + 5.6, y);
        diamond.lineTo(x, y + 5.6);
        diamond.lineTo(x - 5.6, y);
        diamond.closePath();
        g.setColor(theme.color("panel"));
        g.fill(diamond);
        g.setColor(accent);
        g.setStroke(new BasicStroke(1.6f));
        g.draw(diamond);
        taken.add(new Rectangle2D.Double(x - 5, HEAD, 10, frame.bottom() - HEAD));
        said(x);
    }

    /** Beside the line, on the side with more room. */
    private void said(double x) {
        boolean before = x - LEFT > (frame.right() - LEFT) / 2;
        double at = before ? x - 12 : x + 12;
        Align align = before ? Align.RIGHT : Align.LEFT;
        double room = before ? at - LEFT - 8 : frame.right() - at - 8;
        double baseline = HEAD + 14;
        List<String> lines = figure.next().lines();
        for (int i = 0; i < lines.size(); i++) {
            Font font = i == 0 ? Face.SEMIBOLD.at(14) : Face.REGULAR.at(12);
            for (String line : Words.wrapped(lines.get(i), font, room)) {
                double wide = Words.width(line, font);
                Rectangle2D ground = new Rectangle2D.Double(before ? at - wide - 4 : at - 4, baseline - 12, wide + 8,
                        17);
                g.setColor(theme.color("panel", 0.82));
                g.fill(ground);
                taken.add(ground);
                Words.draw(g, line, at, baseline, align, font, theme.color(i == 0 ? "accent" : "ink"));
                baseline += 17;
            }
        }
    }

    private void points(Function<ResponseFigure.Point, Color> ink) {
        for (ResponseFigure.Point point : figure.points()) {
            taken.add(frame.dot(g, theme, point.at(), point.value(),
                    Theme.withOpacity(ink.apply(point), point.other() ? OTHER : 1)));
        }
        List<ResponseFigure.Point> named = figure.points()
                .subList(Math.max(0, figure.points().size() - MOST_NAMED), figure.points().size());
        for (int i = named.size() - 1; i >= 0; i--) {
            name(named.get(i));
        }
    }

    /** Above, below, right or left of its dot, or nowhere where all are taken. */
    private void name(ResponseFigure.Point point) {
        double wide = Words.width(point.name(), Face.REGULAR.at(10.5));
        double x = x(point.at());
        double y = y(point.value());
        double[][] corners = {{x - wide / 2, y - 18}, {x - wide / 2, y + 7}, {x + 7, y - 6}, {x - wide - 7, y - 6}};
        for (double[] corner : corners) {
            Rectangle2D place = new Rectangle2D.Double(corner[0], corner[1], wide, 11);
            if (taken.stream().noneMatch(place::intersects)) {
                Words.draw(g, point.name(), corner[0], corner[1] + 10, Align.LEFT, Face.REGULAR.at(10.5),
                        theme.color("muted"));
                taken.add(place);
                return;
            }
        }
    }

    private void notches() {
        double from = figure.grid()[0];
        double to = figure.grid()[figure.grid().length - 1];
        double base = figure.next().at();
        double step = figure.axis().step();
        int every = Math.max(1, (int) Math.ceil((to - from) / step * 44 / (frame.right() - LEFT)));
        ToDoubleFunction<Integer> at = k -> base + k * every * step;
        for (int k = (int) Math.ceil((from - base) / step / every); at.applyAsDouble(k) <= to; k++) {
            double x = x(at.applyAsDouble(k));
            PlotFrame.line(g, x, frame.bottom(), x, frame.bottom() + 4, theme.color("ink"), 0.9);
            Words.draw(g, figure.axis().number(at.applyAsDouble(k)), x, frame.bottom() + 18, Align.CENTRE,
                    (k == 0 ? Face.SEMIBOLD : Face.REGULAR).at(11), theme.color(k == 0 ? "accent" : "ink-2"));
        }
        double y = frame.bottom() + 38;
        Words.draw(g, figure.axis().less(), LEFT, y, Align.LEFT, Face.REGULAR.at(11), theme.color("muted"));
        String what = Words.fitted(figure.axis().title(), Face.REGULAR.at(11), frame.right() - LEFT - 2 * END_WORDS);
        Words.draw(g, what, (LEFT + frame.right()) / 2, y, Align.CENTRE, Face.REGULAR.at(11), theme.color("ink-2"));
        Words.draw(g, figure.axis().more(), frame.right(), y, Align.RIGHT, Face.REGULAR.at(11), theme.color("muted"));
    }

    /** {@return the value of a shot as it is read off the figure} */
    public static String told(ResponseFigure figure, ResponseFigure.Point point) {
        return ("Shot " + point.name() + ", " + figure.axis().title() + " " + figure.axis().number(point.at()) + ": "
                + Reported.fixed(point.value(), 1) + " " + figure.response().unit()).strip()
                + (point.other() ? "\nset otherwise than the line is for" : "");
    }
}
