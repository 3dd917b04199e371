package org.grenu.figures.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.CurveDifference;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.compare.Question;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.compare.RowResidual;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.export.Sheet;
import org.grenu.figures.paint.ColumnPen;
import org.grenu.figures.paint.Words;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Figures of the demo study's grinds and profiles. */
class CompareFiguresTest {

    private static final List<Channel> CHANNELS = List.of(Channel.PRESSURE, Channel.CUP_FLOW, Channel.CUP_MASS);
    private static final Variable GRIND = Variable.of(RecordFactor.GRIND);
    private static final List<MeasuredShot> SHOTS = DemoStudy.shots()
            .subList(0, 18)
            .stream()
            .map(shot -> new MeasuredShot(shot.name(), shot.shot().record(), ShotMeasures.of(shot.shot())))
            .filter(shot -> !shot.faulty())
            .toList();
    private static final Comparison COMPARISON = Comparison
            .of(Question.of(List.of(GRIND, Variable.of(RecordFactor.TEMPERATURE), Variable.of(RecordFactor.PROFILE)),
                    StandardResponse.usual(TimeConvention.PUMP_ON_TO_PUMP_OFF)), SHOTS);

    private interface Paint {
        void with(Graphics2D g, ColumnPen pen);
    }

    private static BufferedImage painted(int width, int height, Paint paint) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        paint.with(g, new ColumnPen(image, 1));
        g.dispose();
        return image;
    }

    private static Set<Integer> colours(BufferedImage image, Rectangle2D in) {
        Set<Integer> colours = new HashSet<>();
        for (int x = (int) in.getMinX(); x < in.getMaxX(); x++) {
            for (int y = (int) in.getMinY(); y < in.getMaxY(); y++) {
                colours.add(image.getRGB(x, y));
            }
        }
        return colours;
    }

    @Test
    void fieldsStandSideBySideOnOneScaleInTheLevelsColours() {
        OverlayFigure figure = OverlayFigure
                .of(SHOTS, RecordFactor.GRIND, Optional.of(RecordFactor.PROFILE), AxisKind.FIRST_DRIP, CHANNELS,
                        DisplayUnits.CANONICAL)
                .orElseThrow();
        assertThat(figure.facets()).extracting(Facet::title).containsExactly("Gentle ramp", "Straight nine");
        assertThat(figure.facets()).extracting(Facet::remark).containsExactly("8 shots", "8 shots");
        assertThat(figure.strips()).extracting(strip -> strip.channel()).containsExactlyElementsOf(CHANNELS);
        assertThat(figure.strips().get(0).ticks().values()).containsExactly(0.0, 3.0, 6.0, 9.0);
        assertThat(figure.whole().from()).as("pre-infusion lies before the first drip").isLessThan(-15);
        OverlayLayout layout = new OverlayLayout(700, 340, figure, figure.whole());
        for (int facet = 0; facet < 2; facet++) {
            assertThat(layout.at(layout.x(facet, 5.5))).isCloseTo(5.5, within(1e-9));
            assertThat(layout.facetAt(layout.x(facet, 5.5))).isEqualTo(facet);
        }
        assertThat(layout.right(0)).isLessThan(layout.left(1));
        assertThat(layout.y(0, figure.strips().get(0).high())).isCloseTo(layout.top(0), within(1e-9));
        TreatmentScale scale = TreatmentScale.of(RecordFactor.GRIND, SHOTS.stream().map(MeasuredShot::record).toList());
        BufferedImage image = painted(700, 340, (g, pen) -> OverlayPainter.paint(g, Theme.LIGHT, layout, pen,
                level -> scale.color(level, Theme.LIGHT)));
        Rectangle2D first = new Rectangle2D.Double(layout.left(0), layout.top(2), layout.right(0) - layout.left(0),
                layout.bottom(2) - layout.top(2));
        Set<Integer> seen = colours(image, first);
        scale.levels()
                .forEach(level -> assertThat(seen).as("mean of %s", level)
                        .contains(scale.color(level, Theme.LIGHT).getRGB()));
    }

    @Test
    void aShotAloneIsItsOwnCurveAndNoCurveIsNoFigure() {
        OverlayFigure one = OverlayFigure
                .of(SHOTS.subList(0, 1), RecordFactor.GRIND, Optional.empty(), AxisKind.PUMP_ON, CHANNELS,
                        DisplayUnits.CANONICAL)
                .orElseThrow();
        assertThat(one.facets()).singleElement().satisfies(facet -> assertThat(facet.remark()).isEqualTo("1 shot"));
        List<MeasuredShot> five = new ArrayList<>();
        SHOTS.subList(0, 5)
                .forEach(shot -> five.add(new MeasuredShot(shot.name(),
                        shot.record().with(RecordField.ARM, "arm " + five.size()), shot.measures())));
        assertThat(OverlayFigure.of(five, RecordFactor.GRIND, Optional.of(RecordFactor.ARM), AxisKind.PUMP_ON, CHANNELS,
                DisplayUnits.CANONICAL)
                .orElseThrow()
                .facets()).extracting(Facet::remark)
                .containsExactly("1 shot", "1 shot", "1 shot", "1 shot; 1 more not shown");
        assertThat(OverlayFigure.of(List.of(), RecordFactor.GRIND, Optional.empty(), AxisKind.PUMP_ON, CHANNELS,
                DisplayUnits.CANONICAL))
                .isEmpty();
    }

    @Test
    void theDifferenceIsDrawnAboutNoughtWithItsStretchesShaded() {
        CurveOverlay overlay = CurveOverlay.of(SHOTS, RecordFactor.PROFILE, AxisKind.FIRST_DRIP, CHANNELS);
        CurveDifference difference = CurveDifference.of(overlay, "Gentle ramp", "Straight nine", List.of(), 400)
                .orElseThrow();
        OverlayFigure figure = OverlayFigure.of(difference, AxisKind.FIRST_DRIP, DisplayUnits.CANONICAL).orElseThrow();
        assertThat(figure.facets().get(0).title()).isEqualTo("Gentle ramp less Straight nine");
        assertThat(figure.strips()).allSatisfy(strip -> assertThat(strip.low()).isEqualTo(-strip.high()));
        assertThat(figure.facets().get(0).shaded().get(Channel.CUP_FLOW)).isNotEmpty();
    }

    @Test
    void thePanelHasARowAChangeAndCutsWildIntervals() {
        EffectPanel panel = EffectPanel.of(COMPARISON);
        assertThat(panel.rows()).extracting(EffectPanel.Row::title)
                .startsWith("Grind")
                .endsWith("Profile")
                .contains("Temperature");
        assertThat(panel.rows()).extracting(EffectPanel.Row::change)
                .contains("+0.4", "+3 °C", "Gentle ramp, not Straight nine", "+0.4 at profile Gentle ramp");
        assertThat(panel.rows()).allSatisfy(row -> assertThat(row.cells()).hasSize(5).anyMatch(Optional::isPresent));
        for (int c = 0; c < 5; c++) {
            int column = c;
            assertThat(panel.columns().get(c).range()).as("the zone fits")
                    .isGreaterThan(panel.columns().get(c).margin());
            double most = panel.rows()
                    .stream()
                    .flatMap(row -> row.cells().get(column).stream())
                    .mapToDouble(effect -> Math.abs(effect.estimate().orElseThrow().value()))
                    .max()
                    .orElseThrow();
            assertThat(panel.columns().get(c).range()).as("so does every estimate").isGreaterThan(most);
        }
        double width = 660;
        Rectangle2D cell = EffectPanelPainter.cell(panel, width, 3, 1);
        assertThat(EffectPanelPainter.cellAt(panel, width, cell.getCenterX(), cell.getCenterY()).orElseThrow())
                .containsExactly(3, 1);
        assertThat(EffectPanelPainter.cellAt(panel, width, 5, cell.getCenterY())).isEmpty();
        BufferedImage image = painted(660, (int) panel.height() + 1,
                (g, pen) -> EffectPanelPainter.paint(g, Theme.LIGHT, panel, width));
        assertThat(colours(image, EffectPanelPainter.cell(panel, width, 0, 0)))
                .contains(Theme.LIGHT.color("stipple-ground").getRGB())
                .contains(Theme.LIGHT.color("ink").getRGB());
    }

    @Test
    void everyShotIsAPointThatCanBeFoundAgain() {
        PointsFigure figure = PointsFigure.of(GRIND, Optional.of(RecordFactor.PROFILE), COMPARISON.answers());
        assertThat(figure.fields()).hasSize(5);
        assertThat(figure.marks()).containsExactly("Gentle ramp", "Straight nine");
        PointsFigure.Field yield = figure.fields().get(0);
        assertThat(yield.points()).hasSize(COMPARISON.answers().get(0).rows().size());
        assertThat(yield.levels()).extracting(PointsFigure.Level::at).containsExactly(2.2, 2.4, 2.6);
        BufferedImage image = painted(660, 240,
                (g, pen) -> PointsPainter.paint(g, Theme.DARK, figure, point -> Color.RED, 660, 240));
        List<PointsFigure.Point> found = new ArrayList<>();
        for (int x = 0; x < 132; x += 3) {
            for (int y = 0; y < 240; y += 3) {
                PointsPainter.pointAt(figure, 660, 240, x, y)
                        .filter(point -> !found.contains(point))
                        .ifPresent(found::add);
            }
        }
        assertThat(found).as("all points of the first field").containsAll(yield.points());
        assertThat(colours(image, new Rectangle2D.Double(0, 0, 132, 240))).contains(Color.RED.getRGB());
        PointsFigure profiles = PointsFigure.of(Variable.of(RecordFactor.PROFILE), Optional.empty(),
                COMPARISON.answers());
        assertThat(profiles.fields().get(0).levels()).extracting(PointsFigure.Level::at).containsExactly(0.0, 1.0);
    }

    @Test
    void residualsStandInTheOrderTheShotsWerePulled() {
        ResponseAnswer answer = COMPARISON.answers().get(0);
        assertThat(ResidualPainter.inOrder(answer)).extracting(row -> row.shot().record().pulledAt().orElseThrow())
                .isSorted();
        assertThat(ResidualPainter.inOrder(answer).stream().mapToDouble(RowResidual::residual).sum()).isCloseTo(0,
                within(0.2));
        BufferedImage image = painted(260, 84,
                (g, pen) -> ResidualPainter.paint(g, Theme.LIGHT, answer, row -> Color.RED, 260, 84));
        assertThat(colours(image, new Rectangle2D.Double(0, 0, 260, 84))).contains(Color.RED.getRGB());
    }

    /** x² + y² = r² on a grid: every piece of the contour lies on the circle, and together they go round it. */
    @Test
    void contoursFollowTheLevel() {
        double[][] values = new double[41][41];
        for (int r = 0; r < 41; r++) {
            for (int c = 0; c < 41; c++) {
                values[r][c] = Math.hypot(r - 20, c - 20);
            }
        }
        List<double[]> pieces = Contours.of(values, 12);
        assertThat(pieces)
                .allSatisfy(piece -> assertThat(Math.hypot(piece[0] - 20, piece[1] - 20)).isCloseTo(12, within(0.02)));
        assertThat(pieces.stream().mapToDouble(piece -> Math.hypot(piece[2] - piece[0], piece[3] - piece[1])).sum())
                .isCloseTo(2 * Math.PI * 12, within(0.2));
        values[8][20] = Double.NaN;
        assertThat(Contours.of(values, 12)).as("broken at the gap").hasSizeLessThan(pieces.size());
    }

    @Test
    void theSurfaceIsReadUnderTheMouseAndOnlyWhereItWasTried() {
        ResponseSurface surface = ResponseSurface.of(COMPARISON, ResponseSurface.USUAL_WINDOWS).orElseThrow();
        BufferedImage image = painted(660, 260, (g, pen) -> SurfacePainter.paint(g, Theme.LIGHT, surface, 660, 260));
        assertThat(colours(image, new Rectangle2D.Double(46, 36, 150, 170)))
                .contains(Theme.LIGHT.color("stipple-ground").getRGB());
        assertThat(SurfacePainter.at(surface, 660, 260, 126, 60).orElseThrow()).startsWith("Grind 2.")
                .contains("EY as dosed: 2")
                .contains("±");
        assertThat(SurfacePainter.at(surface, 660, 260, 50, 205)).as("fine and cool was never tried").isEmpty();
    }

    @Test
    void sheetAndReportAreWrittenInEveryFormat() throws IOException {
        TreatmentScale scale = TreatmentScale.of(RecordFactor.GRIND, SHOTS.stream().map(MeasuredShot::record).toList());
        CompareSheet sheet = new CompareSheet(COMPARISON, Optional.of(RecordFactor.PROFILE),
                OverlayFigure.of(SHOTS, RecordFactor.GRIND, Optional.of(RecordFactor.PROFILE), AxisKind.FIRST_DRIP,
                        CHANNELS, DisplayUnits.CANONICAL),
                Optional.empty(),
                ResponseSurface.of(COMPARISON, ResponseSurface.USUAL_WINDOWS), scale);
        String svg = new String(FigureExport.write(sheet, Theme.LIGHT, FigureFormat.SVG), StandardCharsets.UTF_8);
        assertThat(svg).startsWith("<?xml").contains("<path").doesNotContain("<image");
        List<Sheet> pages = ReportPages.of(sheet, new ReportHead("Lab of basalt", LocalDate.of(2026, 5, 30), "9.9.9"));
        assertThat(pages).hasSizeGreaterThan(1);
        try (PDDocument document = Loader.loadPDF(FigureExport.pdf(pages, sheet.title(), Theme.LIGHT))) {
            assertThat(document.getNumberOfPages()).isEqualTo(pages.size());
            String text = new PDFTextStripper().getText(document);
            assertThat(text)
                    .contains("Question", "What each change did", "Method", "What else differed", "Shots",
                            "Limits and versions", "Grenu 9.9.9", "heron-18", "Lab of basalt · 2026-05-30")
                    .contains("Grind +0.4 lowers EY as dosed");
        }
    }

    /**
     * A table fits its page whatever stands in it, and loses nothing: long names, many columns, words without a
     * blank.
     */
    @ParameterizedTest
    @CsvSource({"3, 12", "9, 30", "12, 90"})
    void tablesFitThePage(int columns, int length) {
        Random random = new Random(columns);
        ReportTable table = new ReportTable(IntStream.range(0, columns).mapToObj(i -> words(random, 14)).toList());
        List<String> all = new ArrayList<>();
        for (int row = 0; row < 20; row++) {
            List<String> cells = IntStream.range(0, columns).mapToObj(i -> words(random, length)).toList();
            table.row(cells);
            all.add(String.join("", cells));
        }
        List<ReportLine.Row> lines = table.lines().stream().map(ReportLine.Row.class::cast).toList();
        for (ReportLine.Row line : lines) {
            for (int i = 0; i < columns; i++) {
                double end = i + 1 < columns ? line.starts().get(i + 1) : ReportPage.ROOM + 0.5;
                Font font = line.heading() ? ReportPage.CELL_HEADING : ReportPage.CELL;
                assertThat(line.starts().get(i) + Words.width(line.cells().get(i), font)).isLessThanOrEqualTo(end);
            }
        }
        assertThat(lines.stream().filter(line -> !line.heading() && line.last())).hasSize(20);
        assertThat(letters(lines.stream()
                .filter(line -> !line.heading())
                .flatMap(line -> line.cells().stream())
                .collect(Collectors.joining()))).isEqualTo(letters(String.join("", all)));
    }

    private static String words(Random random, int length) {
        return random.ints(length, 0, 9)
                .mapToObj(i -> i == 0 ? " " : "abcdefgh".substring(i - 1, i))
                .collect(
                        Collectors.joining())
                .strip();
    }

    /** Whatever the order of the lines: each letter as often. */
    private static String letters(String text) {
        return text.chars().filter(c -> c != ' ').sorted().mapToObj(Character::toString).collect(Collectors.joining());
    }

    /** Whatever the number of lines: none is lost, none runs over the page, and no heading stands alone at a foot. */
    @Test
    void pagesHoldEveryLineOnce() {
        for (int count : new int[] {1, 60, 61, 62, 63, 64, 65, 66, 67, 68, 69, 70, 71, 72, 73, 74, 500}) {
            List<ReportLine> lines = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                lines.add(i % 9 == 0 ? new ReportLine.Heading("h" + i)
                        : i % 9 == 5 ? new ReportLine.Gap() : new ReportLine.Prose("line " + i, i % 2 == 0));
            }
            List<ReportPage> pages = ReportPage.broken(lines);
            assertThat(pages.stream().flatMap(page -> page.lines().stream()).toList()).isEqualTo(lines);
            for (ReportPage page : pages) {
                assertThat(page.lines().stream().mapToDouble(ReportLine::height).sum())
                        .isLessThanOrEqualTo(page.height() - 106);
                boolean last = page == pages.get(pages.size() - 1);
                assertThat(last || !(page.lines().get(page.lines().size() - 1) instanceof ReportLine.Heading)).isTrue();
            }
            assertThat(pages).extracting(ReportPage::number).startsWith(1).isSorted();
        }
    }

    @Test
    void wordsAreBrokenAndCutToTheirRoom() {
        Font font = Face.REGULAR.at(11);
        String whole = "first drip from pump on and everything that came after it in one long sentence";
        List<String> lines = Words.wrapped(whole, font, 120);
        assertThat(String.join(" ", lines)).isEqualTo(whole);
        assertThat(lines).hasSizeGreaterThan(2)
                .allSatisfy(line -> assertThat(Words.width(line, font)).isLessThanOrEqualTo(120));
        assertThat(Words.fitted(whole, font, 120)).endsWith("…");
        assertThat(Words.width(Words.fitted(whole, font, 120), font)).isLessThanOrEqualTo(120);
        assertThat(Words.fitted("short", font, 120)).isEqualTo("short");
        assertThat(ResponseTitle.of(StandardResponse.TIME_FIRST_DRIP_TO_PUMP_OFF, "s"))
                .as("the unit keeps to its word")
                .isEqualTo(new ResponseTitle("Time", "first drip to pump off,\u00A0s"));
        assertThat(ResponseTitle.of(StandardResponse.EY_DRY, "points"))
                .isEqualTo(new ResponseTitle("EY", "dry, points"));
        assertThat(ResponseTitle.of(StandardResponse.RATIO, "")).isEqualTo(new ResponseTitle("Brew ratio", "1 to"));
    }

    /** Nothing to say is painted too: no shot, and a question that leaves nothing to judge by. */
    @Test
    void emptyAnswersArePaintedWithoutAnEffect() {
        Comparison none = Comparison.of(COMPARISON.question(), List.of());
        EffectPanel panel = EffectPanel.of(none);
        assertThat(panel.rows()).isEmpty();
        painted(600, 200, (g, pen) -> EffectPanelPainter.paint(g, Theme.LIGHT, panel, 600));
        assertThat(PointsFigure.of(GRIND, Optional.empty(), none.answers()).fields()).isEmpty();
        Comparison two = Comparison.of(COMPARISON.question(), SHOTS.subList(0, 2));
        BufferedImage image = painted(600, (int) EffectPanel.of(two).height() + 1,
                (g, pen) -> EffectPanelPainter.paint(g, Theme.LIGHT, EffectPanel.of(two), 600));
        assertThat(image.getHeight()).isGreaterThan(100);
    }
}
