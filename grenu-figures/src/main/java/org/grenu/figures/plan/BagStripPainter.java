package org.grenu.figures.plan;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.shelf.BagEvent;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.shelf.BagFigure;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/** Paints what is left of a bag in doses, and how old it is, in a narrow column. */
public final class BagStripPainter {

    /** What it needs, px. */
    public static final double HEIGHT = 132;
    private static final double CELL = 15;
    private static final double GAP = 4.4;
    private static final double RAIL = 106;
    private static final double LEAST_DAYS = 40;

    private final Graphics2D g;
    private final Theme theme;
    private final BagFigure bag;
    private final double width;

    private BagStripPainter(Graphics2D g, Theme theme, BagFigure bag, double width) {
        this.g = g;
        this.theme = theme;
        this.bag = bag;
        this.width = width;
    }

    /** Paints it into that width; the ground is left to the caller. */
    public static void paint(Graphics2D g, Theme theme, BagFigure bag, double width) {
        Words.quality(g);
        BagStripPainter painter = new BagStripPainter(g, theme, bag, width);
        painter.left();
        painter.age();
    }

    private void left() {
        if (bag.stock().left().isEmpty()) {
            words("What is left is not known: the bag's net mass is not on the shelf.", 0, 16, Align.LEFT, "muted");
            return;
        }
        double left = bag.stock().left().getAsDouble();
        String grams = String.format(Locale.ROOT, "%.0f", left);
        Words.draw(g, grams, 0, 24, Align.LEFT, Face.MEDIUM.at(28), theme.color("ink"));
        words("g", Words.width(grams, Face.MEDIUM.at(28)) + 5, 24, Align.LEFT, "muted");
        if (bag.stock().dosesLeft().isEmpty()) {
            words("no dose is known yet", width, 24, Align.RIGHT, "muted");
            return;
        }
        int doses = bag.stock().dosesLeft().getAsInt();
        double over = left - doses * bag.stock().usualDose().getAsDouble();
        words(doses + (doses == 1 ? " dose, " : " doses, ") + String.format(Locale.ROOT, "%.0f g over", over), width,
                24,
                Align.RIGHT, "ink");
        cells(doses);
    }

    /** Full for a dose that is left, empty for one that was taken; as many as there is room for. */
    private void cells(int doses) {
        int room = (int) ((width + GAP) / (CELL + GAP));
        int full = Math.min(room, doses);
        int all = Math.min(room, full + bag.stock().shots());
        for (int i = 0; i < all; i++) {
            RoundRectangle2D cell = new RoundRectangle2D.Double(i * (CELL + GAP) + 0.5, 36, CELL - 1, 19, 4, 4);
            g.setColor(theme.color(i < full ? "ink" : "rail"));
            if (i < full) {
                g.fill(cell);
            } else {
                g.setStroke(new BasicStroke(1f));
                g.draw(cell);
            }
        }
    }

    private void age() {
        Optional<LocalDate> roasted = bag.life().first(BagEvent.Kind.ROASTED);
        if (roasted.isEmpty()) {
            words("Roast date unknown: its age is not zero days.", 0, RAIL - 18, Align.LEFT, "amber-text");
            return;
        }
        double days = Math.max(LEAST_DAYS, lastShot().orElse(0) + 6);
        rest(days);
        line(0, RAIL, width, RAIL, "ink", 0.9);
        for (int day = 0; day <= days; day += 10) {
            line(x(day, days), RAIL, x(day, days), RAIL + 5, "ink", 0.75);
            words(day == 0 ? "roast" : Integer.toString(day), x(day, days), RAIL + 18,
                    day == 0 ? Align.LEFT : day + 10 > days ? Align.RIGHT : Align.CENTRE, "muted");
        }
        bag.life().first(BagEvent.Kind.OPENED).flatMap(day -> age(day).stream().boxed().findFirst()).ifPresent(day -> {
            Ellipse2D ring = new Ellipse2D.Double(x(day, days) - 3, RAIL - 3, 6, 6);
            g.setColor(theme.color("paper"));
            g.fill(ring);
            g.setColor(theme.color("ink"));
            g.draw(ring);
        });
        today(days);
    }

    private OptionalLong age(LocalDate day) {
        return bag.life().ageDays(day);
    }

    private OptionalLong lastShot() {
        return bag.shots().isEmpty() ? OptionalLong.empty() : age(bag.shots().get(bag.shots().size() - 1));
    }

    private double x(double day, double days) {
        return day / days * width;
    }

    private void rest(double days) {
        if (bag.rest().isEmpty()) {
            return;
        }
        RestWindow window = bag.rest().get();
        double from = x(window.from().orElse(0), days);
        double to = Math.min(width, x(window.to().orElse(days), days));
        if (to > from) {
            Grain.fill(g, new Rectangle2D.Double(from, RAIL - 20, to - from, 20), theme);
        }
    }

    /** Of a bag that lay for long the newest shot's day says more than today's. */
    private void today(double days) {
        OptionalLong now = age(bag.today());
        boolean inSight = now.isPresent() && now.getAsLong() <= days;
        OptionalLong shown = inSight ? now : lastShot();
        if (shown.isEmpty()) {
            return;
        }
        double x = x(shown.getAsLong(), days);
        line(x, RAIL - 26, x, RAIL, "accent", 1.2);
        String words = (inSight ? "today, day " : "last shot, day ") + shown.getAsLong();
        double half = Words.width(words, Face.SEMIBOLD.at(10.5)) / 2;
        Words.draw(g, words, Math.max(half, Math.min(width - half, x)), RAIL - 30, Align.CENTRE,
                Face.SEMIBOLD.at(10.5), theme.color("accent"));
    }

    private void words(String text, double x, double y, Align align, String role) {
        Words.draw(g, Words.fitted(text, Face.REGULAR.at(11), width), x, y, align, Face.REGULAR.at(11),
                theme.color(role));
    }

    private void line(double x1, double y1, double x2, double y2, String role, double wide) {
        g.setColor(theme.color(role));
        g.setStroke(new BasicStroke((float) wide));
        g.draw(new Line2D.Double(x1, y1, x2, y2));
    }
}
