package org.grenu.figures.compare;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.record.Factor;
import org.grenu.core.record.ShotRecord;
import org.grenu.figures.export.Sheet;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.Words;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;

/**
 * A comparison on one sheet: the sentence, the curves, what each change did, every shot, where curves differ, the
 * surface.
 *
 * @param comparison the comparison
 * @param sideBySide factor whose levels stand side by side, and are told by marks
 * @param overlay    the curves
 * @param difference where two levels' curves differ
 * @param surface    over two numbers
 * @param scale      colours of the levels
 */
public record CompareSheet(Comparison comparison, Optional<Factor> sideBySide, Optional<OverlayFigure> overlay,
        Optional<OverlayFigure> difference,
        Optional<ResponseSurface> surface, TreatmentScale scale) implements Sheet {

    private static final double WIDTH = 900;
    private static final double SIDE = 24;
    private static final double CURVES = 380;
    private static final double POINTS = 230;
    private static final double DIFFERENCE = 270;
    private static final double SURFACE = 290;
    private static final double LINE = 21;
    private static final Font HEADLINE = Face.SEMIBOLD.at(16);
    private static final Font PROSE = Face.REGULAR.at(11.5);

    @Override
    public String title() {
        return comparison.sentence().headline();
    }

    @Override
    public double width() {
        return WIDTH;
    }

    @Override
    public double height() {
        return head() + (overlay.isPresent() ? CURVES : 0) + EffectPanel.of(comparison).height() + 16 + POINTS
                + (difference.isPresent() ? DIFFERENCE : 0) + (surface.isPresent() ? SURFACE : 0) + 46;
    }

    private double head() {
        return 26 + LINE * Words.wrapped(title(), HEADLINE, WIDTH - 2 * SIDE).size() + 16 * further().size() + 8;
    }

    private List<String> further() {
        return comparison.sentence()
                .rest()
                .stream()
                .flatMap(words -> Words.wrapped(words, PROSE, WIDTH - 2 * SIDE).stream())
                .toList();
    }

    @Override
    public void paint(Graphics2D g, Theme theme, CurvePen pen) {
        Words.quality(g);
        g.setColor(theme.color("panel"));
        g.fill(new Rectangle2D.Double(0, 0, WIDTH, height()));
        double y = 34;
        for (String line : Words.wrapped(title(), HEADLINE, WIDTH - 2 * SIDE)) {
            Words.draw(g, line, SIDE, y, Align.LEFT, HEADLINE, theme.color("ink"));
            y += LINE;
        }
        for (String line : further()) {
            Words.draw(g, line, SIDE, y, Align.LEFT, PROSE, theme.color("ink-2"));
            y += 16;
        }
        double top = head();
        if (overlay.isPresent()) {
            OverlayLayout layout = new OverlayLayout(WIDTH - SIDE, CURVES - 14, overlay.get(), overlay.get().whole());
            at(g, SIDE / 2, top, () -> OverlayPainter.paint(g, theme, layout, pen, level -> scale.color(level, theme)));
            top += CURVES;
        }
        EffectPanel panel = EffectPanel.of(comparison);
        at(g, SIDE, top, () -> EffectPanelPainter.paint(g, theme, panel, WIDTH - 2 * SIDE));
        top += panel.height() + 16;
        points(g, theme, top);
        top += POINTS + 12;
        if (difference.isPresent()) {
            OverlayLayout layout = new OverlayLayout(WIDTH - SIDE, DIFFERENCE - 14, difference.get(),
                    difference.get().whole());
            at(g, SIDE / 2, top, () -> OverlayPainter.paint(g, theme, layout, pen, level -> theme.color("ink")));
            top += DIFFERENCE;
        }
        if (surface.isPresent()) {
            at(g, SIDE, top, () -> SurfacePainter.paint(g, theme, surface.get(), WIDTH - 2 * SIDE, SURFACE - 16));
        }
        Words.draw(g,
                "± and bars: 95 % interval · grain: same in practice · thin: a shot, bold: mean, tint: 95 % of the "
                        + "mean · "
                        + comparison.question().basis().words(),
                SIDE,
                height() - 16, Align.LEFT, Face.REGULAR.at(10), theme.color("muted"));
    }

    private void points(Graphics2D g, Theme theme, double top) {
        comparison.question().variables().stream().findFirst().ifPresent(first -> {
            PointsFigure figure = PointsFigure.of(first, sideBySide, comparison.answers());
            Function<PointsFigure.Point, Color> ink = point -> color(point.row().shot().record(), theme);
            at(g, SIDE, top, () -> PointsPainter.paint(g, theme, figure, ink, WIDTH - 2 * SIDE, POINTS));
        });
    }

    private Color color(ShotRecord sheet, Theme theme) {
        return scale.color(sheet, theme);
    }

    private static void at(Graphics2D g, double x, double y, Runnable paint) {
        g.translate(x, y);
        paint.run();
        g.translate(-x, -y);
    }
}
