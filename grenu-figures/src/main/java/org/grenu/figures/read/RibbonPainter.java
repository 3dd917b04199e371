package org.grenu.figures.read;

import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * The ribbon above the strips: each phase's name, length and why it ended, with its borders down through the
 * strips.
 */
final class RibbonPainter {

    private static final double MARGIN = 5;
    private static final double TOP = 2;
    private static final Font NAME = Face.SEMIBOLD.at(11);
    private static final Font NARROW_NAME = Face.SEMIBOLD.at(9);
    private static final Font LENGTH = Face.REGULAR.at(11);
    private static final Font ENDING = Face.REGULAR.at(10);

    private RibbonPainter() {
    }

    /** Tints every other phase, beneath everything else. */
    static void tint(Graphics2D g, Theme theme, ReadFigure figure, StripLayout layout) {
        for (int i = 1; i < figure.phases().size(); i += 2) {
            double from = within(layout, figure.phases().get(i).from());
            double to = within(layout, figure.phases().get(i).to());
            if (to > from) {
                g.setColor(theme.dark() ? theme.color("ink", 0.04) : theme.color("muted", 0.05));
                g.fill(new Rectangle2D.Double(from, TOP, to - from, layout.plotsBottom() - TOP));
            }
        }
    }

    static void paint(Graphics2D g, Theme theme, ReadFigure figure, StripLayout layout) {
        if (figure.phases().isEmpty()) {
            return;
        }
        Words.draw(g, "Phase", 14, TOP + 15, Align.LEFT, Face.SEMIBOLD.at(11.5), theme.color("ink"));
        Words.draw(g, "length", 14, TOP + 29, Align.LEFT, ENDING, theme.color("muted"));
        Words.draw(g, "ended by", 14, TOP + 42, Align.LEFT, ENDING, theme.color("muted"));
        for (PhaseSpan phase : figure.phases()) {
            phase(g, theme, phase, layout);
        }
    }

    private static void phase(Graphics2D g, Theme theme, PhaseSpan phase, StripLayout layout) {
        double from = within(layout, phase.from());
        double to = within(layout, phase.to());
        if (!(to > from + 1)) {
            return;
        }
        g.setColor(theme.color(phase.main() ? "ink" : "faint"));
        g.fill(new Rectangle2D.Double(from, TOP, to - from - 1, 2.5));
        if (phase.from() > layout.view().from()) {
            g.setColor(theme.color("phase-edge"));
            g.setStroke(new BasicStroke(0.75f));
            g.draw(new Line2D.Double(from, TOP, from, layout.plotsBottom()));
        }
        double room = to - from - 2 * MARGIN;
        Font name = Words.width(phase.name(), NAME) <= room + 3 ? NAME : NARROW_NAME;
        if (Words.width(phase.name(), name) <= to - from - 3) {
            Words.draw(g, phase.name(), from + (name == NAME ? MARGIN : 2), TOP + 15, Align.LEFT, name,
                    theme.color("ink"));
        }
        if (Words.width(phase.length(), LENGTH) <= room + 3) {
            Words.draw(g, phase.length(), from + MARGIN, TOP + 29, Align.LEFT, LENGTH, theme.color("ink-2"));
        }
        List<String> lines = wrapped(phase.ending(), room);
        for (int i = 0; i < lines.size(); i++) {
            Words.draw(g, lines.get(i), from + MARGIN, TOP + 42 + 12 * i, Align.LEFT, ENDING,
                    theme.color(phase.alarmed() ? "brick" : "muted"));
        }
    }

    private static double within(StripLayout layout, double at) {
        return Math.max(layout.left(), Math.min(layout.right(), layout.x(at)));
    }

    /** At most two lines; nothing when even its longest word does not fit. */
    private static List<String> wrapped(String text, double room) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.split(" ")) {
            if (Words.width(word, ENDING) > room) {
                return List.of();
            }
            String longer = line.isEmpty() ? word : line + " " + word;
            if (Words.width(longer, ENDING) > room) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
        }
        lines.add(line);
        return lines.size() > 2 ? List.of(lines.get(0), lines.get(1) + "…") : lines;
    }
}
