package org.grenu.desktop.rack;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.Font;
import javafx.scene.text.FontSmoothingType;
import javafx.scene.text.Text;
import org.grenu.core.numbers.Samples;
import org.grenu.desktop.control.FxColor;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Draws what a slip says: the shot's pressure as a small shape, masses and time, yield and number, and below them its
 * factors.
 * Numbers are never cut, names may be.
 */
final class SlipPaint {

    static final double HEIGHT = 52;
    private static final double FULL_SCALE_BAR = 10;
    private static final double SHAPE_WIDTH = 52;
    private static final double SHAPE_HEIGHT = 30;
    private static final double WORDS = SHAPE_WIDTH + 8;
    private static final double FIRST_LINE = 12.5;
    private static final double SECOND_LINE = 29.5;
    private static final double CHIPS_LINE = 48.5;
    private static final double SPACE = 4;
    private static final double CHIP_GAP = 9;
    private static final Font PLAIN = new Font(Face.REGULAR.family(), 12);
    private static final Font STRONG = new Font(Face.SEMIBOLD.family(), 12);
    private static final Font SMALL = new Font(Face.REGULAR.family(), 11);
    private static final Font CHIP = new Font(Face.REGULAR.family(), 10.5);
    private static final Font STRONG_CHIP = new Font(Face.SEMIBOLD.family(), 10.5);
    private static final String FAULTY = "faulty";

    private final GraphicsContext g;
    private final Theme theme;
    private final double width;

    /** Draws on that canvas, as wide as given. */
    SlipPaint(GraphicsContext g, Theme theme, double width) {
        this.g = g;
        this.theme = theme;
        this.width = width;
    }

    /** {@return the width that the numbers of the slip need} */
    static double needed(SlipText text) {
        double first = WORDS + width(text.masses(), PLAIN)
                + (text.time().isEmpty() ? 0 : SPACE + width("· " + text.time(), PLAIN));
        double second = WORDS
                + (text.yield().isEmpty() ? 0
                        : width("EY", PLAIN) + width(text.yield(), STRONG) + width(text.expanded(), PLAIN) + 3 * SPACE)
                + width(text.number(), PLAIN);
        return Math.max(first, second);
    }

    /** Draws the slip; its right end of the factors' line is left free by that much. */
    void paint(SlipText text, Samples pressure, Color color, double free) {
        g.clearRect(0, 0, width, HEIGHT);
        g.setFontSmoothingType(FontSmoothingType.GRAY);
        g.setTextBaseline(VPos.BASELINE);
        shape(pressure, color);
        double x = word(text.masses(), WORDS, FIRST_LINE, PLAIN, "ink");
        if (!text.time().isEmpty()) {
            word("· " + text.time(), x + SPACE, FIRST_LINE, PLAIN, "ink");
        }
        secondLine(text);
        chips(text, color, width - free);
    }

    private void secondLine(SlipText text) {
        double number = width - width(text.number(), PLAIN);
        word(text.number(), number, SECOND_LINE, PLAIN, "muted");
        if (text.yield().isEmpty()) {
            word(fitted("EY " + text.missing(), SMALL, number - SPACE - WORDS), WORDS, SECOND_LINE, SMALL, "muted");
        } else {
            double x = word("EY", WORDS, SECOND_LINE, PLAIN, "muted");
            x = word(text.yield(), x + SPACE, SECOND_LINE, STRONG, "ink");
            word(text.expanded(), x + SPACE, SECOND_LINE, PLAIN, "muted");
        }
    }

    private void chips(SlipText text, Color color, double end) {
        double room = end - (text.fault().isEmpty() ? 0 : width(FAULTY, STRONG_CHIP) + CHIP_GAP);
        double x = 1;
        for (int i = 0; i < text.chips().size() && x < room; i++) {
            Font font = i == 0 ? STRONG_CHIP : CHIP;
            if (i == 0) {
                g.setFill(color);
                g.fillOval(x, CHIPS_LINE - 7, 6.4, 6.4);
                x += 11.4;
            }
            x = word(fitted(text.chips().get(i), font, room - x), x, CHIPS_LINE, font, i == 0 ? "ink" : "ink-2")
                    + CHIP_GAP;
        }
        if (!text.fault().isEmpty()) {
            word(FAULTY, Math.min(x, end - width(FAULTY, STRONG_CHIP)), CHIPS_LINE, STRONG_CHIP, "brick");
        }
    }

    /** Too small for axes: only its shape is to be seen. */
    private void shape(Samples pressure, Color color) {
        g.setLineWidth(1);
        g.setStroke(FxColor.of(theme.color("line")));
        g.strokeLine(0, SHAPE_HEIGHT - 0.5, SHAPE_WIDTH, SHAPE_HEIGHT - 0.5);
        int count = pressure.size();
        if (count < 2) {
            return;
        }
        double[] x = new double[count + 2];
        double[] y = new double[count + 2];
        for (int i = 0; i < count; i++) {
            x[i] = SHAPE_WIDTH * i / (count - 1.0);
            y[i] = (SHAPE_HEIGHT - 1) * (1 - Math.min(1.1, pressure.get(i) / FULL_SCALE_BAR));
        }
        x[count] = SHAPE_WIDTH;
        y[count] = SHAPE_HEIGHT - 0.5;
        y[count + 1] = SHAPE_HEIGHT - 0.5;
        g.setFill(color.deriveColor(0, 1, 1, 0.10));
        g.fillPolygon(x, y, count + 2);
        g.setStroke(color);
        g.setLineWidth(1.25);
        g.setLineJoin(StrokeLineJoin.ROUND);
        g.strokePolyline(x, y, count);
    }

    /** Writes and says where the next word may begin. */
    private double word(String text, double x, double y, Font font, String role) {
        g.setFont(font);
        g.setFill(FxColor.of(theme.color(role)));
        g.fillText(text, x, y);
        return x + width(text, font);
    }

    private static String fitted(String text, Font font, double room) {
        if (width(text, font) <= room) {
            return text;
        }
        int length = text.length();
        while (length > 0 && width(text.substring(0, length).stripTrailing() + "…", font) > room) {
            length--;
        }
        return length == 0 ? "" : text.substring(0, length).stripTrailing() + "…";
    }

    private static double width(String text, Font font) {
        Text measured = new Text(text);
        measured.setFont(font);
        return measured.getLayoutBounds().getWidth();
    }
}
