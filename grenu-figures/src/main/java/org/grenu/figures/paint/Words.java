package org.grenu.figures.paint;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.font.FontRenderContext;
import java.util.ArrayList;
import java.util.List;

/** Words in a figure, placed by their left, middle or right on a baseline. */
public final class Words {

    private static final FontRenderContext MEASURE = new FontRenderContext(null, true, true);

    private Words() {
    }

    /** Where on the given x the words stand. */
    public enum Align { LEFT, CENTRE, RIGHT }

    /** Draws the words on the baseline. */
    public static void draw(Graphics2D g, String text, double x, double baseline, Align align, Font font, Color color) {
        double width = width(text, font);
        double left = align == Align.LEFT ? x : align == Align.CENTRE ? x - width / 2 : x - width;
        g.setFont(font);
        g.setColor(color);
        g.drawString(text, (float) left, (float) baseline);
    }

    /** {@return the width of the words, in the figure's units} */
    public static double width(String text, Font font) {
        return font.getStringBounds(text, MEASURE).getWidth();
    }

    /** {@return the words as far as the room goes, with an ellipsis where they had to be cut} */
    public static String fitted(String text, Font font, double room) {
        String cut = text;
        while (cut.length() > 1 && width(cut.equals(text) ? cut : cut + "…", font) > room) {
            cut = cut.substring(0, cut.length() - 1);
        }
        return cut.equals(text) ? text : cut.strip() + "…";
    }

    /** {@return the words broken into lines that fit the room; a single word that does not is left as it is} */
    public static List<String> wrapped(String text, Font font, double room) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (line.isEmpty() || width(longer, font) <= room) {
                line = longer;
            } else {
                lines.add(line);
                line = word;
            }
        }
        lines.add(line);
        return lines;
    }

    /** Sets the hints under which all figures are painted. */
    public static void quality(Graphics2D g) {
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    }
}
