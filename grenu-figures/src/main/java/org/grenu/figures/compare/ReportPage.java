package org.grenu.figures.compare;

import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.grenu.figures.export.Sheet;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * A page of a report.
 *
 * @param lines  top to bottom; they fit
 * @param number of the page
 */
record ReportPage(List<ReportLine> lines, int number) implements Sheet {

    static final Font PROSE = Face.REGULAR.at(11.5);
    static final Font CELL = Face.REGULAR.at(10.5);
    static final Font CELL_HEADING = Face.SEMIBOLD.at(10.5);
    static final Font TITLE = Face.SEMIBOLD.at(19);
    private static final double WIDTH = 900;
    private static final double HEIGHT = 1272;
    private static final double SIDE = 54;
    private static final double TOP = 50;
    private static final double BOTTOM = 56;
    /** Width of the text, px. */
    static final double ROOM = WIDTH - 2 * SIDE;

    ReportPage {
        lines = List.copyOf(lines);
    }

    /**
     * {@return the lines on as many pages as they need; a heading goes with what follows it} The figures are page 2.
     */
    static List<ReportPage> broken(List<ReportLine> lines) {
        List<ReportPage> pages = new ArrayList<>();
        List<ReportLine> page = new ArrayList<>();
        double height = 0;
        for (int i = 0; i < lines.size(); i++) {
            ReportLine line = lines.get(i);
            double needed = line.height()
                    + (line instanceof ReportLine.Heading && i + 1 < lines.size() ? 3 * lines.get(i + 1).height() : 0);
            if (height + needed > HEIGHT - TOP - BOTTOM && !page.isEmpty()) {
                pages.add(page(page, pages.size()));
                page = new ArrayList<>();
                height = 0;
            }
            page.add(line);
            height += line.height();
        }
        pages.add(page(page, pages.size()));
        return pages;
    }

    private static ReportPage page(List<ReportLine> lines, int before) {
        return new ReportPage(lines, before == 0 ? 1 : before + 2);
    }

    @Override
    public String title() {
        return "Page " + number;
    }

    @Override
    public double width() {
        return WIDTH;
    }

    @Override
    public double height() {
        return HEIGHT;
    }

    @Override
    public void paint(Graphics2D g, Theme theme, CurvePen pen) {
        Words.quality(g);
        g.setColor(theme.color("panel"));
        g.fill(new Rectangle2D.Double(0, 0, WIDTH, HEIGHT));
        double y = TOP;
        for (ReportLine line : lines) {
            line(g, theme, line, y);
            y += line.height();
        }
        Words.draw(g, Integer.toString(number), WIDTH - SIDE, HEIGHT - 26, Align.RIGHT, Face.REGULAR.at(10.5),
                theme.color("muted"));
    }

    private static void line(Graphics2D g, Theme theme, ReportLine line, double y) {
        if (line instanceof ReportLine.Title title) {
            Words.draw(g, title.words(), SIDE, y + 20, Align.LEFT, TITLE, theme.color("ink"));
        } else if (line instanceof ReportLine.Heading heading) {
            Words.draw(g, heading.words(), SIDE, y + 24, Align.LEFT, Face.SEMIBOLD.at(14), theme.color("ink"));
        } else if (line instanceof ReportLine.Prose prose) {
            Words.draw(g, prose.words(), SIDE, y + 12, Align.LEFT, PROSE,
                    theme.color(prose.quiet() ? "muted" : "ink-2"));
        } else if (line instanceof ReportLine.Row row) {
            row(g, theme, row, y);
        }
    }

    private static void row(Graphics2D g, Theme theme, ReportLine.Row row, double y) {
        for (int i = 0; i < row.cells().size(); i++) {
            Words.draw(g, row.cells().get(i), SIDE + row.starts().get(i), y + 12, Align.LEFT,
                    row.heading() ? CELL_HEADING : CELL, theme.color("ink"));
        }
        if (!row.last()) {
            return;
        }
        g.setColor(theme.color(row.heading() ? "ink" : "line-soft"));
        g.setStroke(new BasicStroke(0.75f));
        g.draw(new Line2D.Double(SIDE, y + 15.5, WIDTH - SIDE, y + 15.5));
    }
}
