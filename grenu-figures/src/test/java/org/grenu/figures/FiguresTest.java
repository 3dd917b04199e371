package org.grenu.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.export.ReadSheet;
import org.grenu.figures.paint.ColumnPen;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.paint.PathPen;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.plane.PlaneFigure;
import org.grenu.figures.plane.PlanePainter;
import org.grenu.figures.read.AxisRange;
import org.grenu.figures.read.Band;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.ReadOptions;
import org.grenu.figures.read.Strip;
import org.grenu.figures.read.StripLayout;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.junit.jupiter.api.Test;

class FiguresTest {

    private static final Shot KNOCKED = DemoStudy.shots().get(4).shot();
    private static final ReadFigure FIGURE = ReadFigure.of(KNOCKED, ShotMeasures.of(KNOCKED));
    private static final ReadSheet SHEET = new ReadSheet("Shot 5", "EY 20.28 ±0.16 % as dosed", FIGURE, FIGURE.whole(),
            new StripPainter.Inks(Color.MAGENTA, Color.GRAY));

    @Test
    void figuresAreTheSameEveryTimeAndSpeakInWords() throws IOException {
        for (FigureFormat format : new FigureFormat[] {FigureFormat.SVG, FigureFormat.PNG}) {
            assertThat(FigureExport.write(SHEET, Theme.LIGHT, format))
                    .isEqualTo(FigureExport.write(SHEET, Theme.LIGHT, format));
        }
        try (PDDocument pdf = Loader.loadPDF(FigureExport.write(SHEET, Theme.LIGHT, FigureFormat.PDF))) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("Shot 5", "EY 20.28 ±0.16 % as dosed", "Pressure",
                    "first drip", "Cup mass",
                    "knock on the scale bridged", "Temperature", "Soak", "2 s after drip", "Resistance");
        }
        assertThat(new String(FigureExport.write(SHEET, Theme.DARK, FigureFormat.SVG), StandardCharsets.UTF_8))
                .contains("rgb(34,37,43)");
    }

    /** The column filler on screen and the stroked path in print put their ink in the same places. */
    @Test
    void bothPensDrawTheSameCurve() {
        double[] x = new double[400];
        double[] y = new double[400];
        for (int i = 0; i < x.length; i++) {
            x[i] = 10 + i * 0.5;
            y[i] = i > 180 && i < 200 ? Double.NaN : 60 + 40 * Math.sin(i / 25.0);
        }
        BufferedImage columns = drawn(x, y, true);
        BufferedImage path = drawn(x, y, false);
        double inkColumns = 0;
        double inkPath = 0;
        for (int px = 0; px < columns.getWidth(); px++) {
            double centreColumns = centre(columns, px);
            double centrePath = centre(path, px);
            inkColumns += ink(columns, px);
            inkPath += ink(path, px);
            if (Double.isFinite(centreColumns) && Double.isFinite(centrePath)) {
                assertThat(centreColumns).as("column %s", px).isCloseTo(centrePath, within(0.8));
            }
        }
        assertThat(inkColumns).isCloseTo(inkPath, within(0.12 * inkPath));
        assertThat(ink(columns, 105)).as("a gap stays open").isZero();
    }

    private static BufferedImage drawn(double[] x, double[] y, boolean columns) {
        BufferedImage image = new BufferedImage(220, 120, BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        CurvePen pen = columns ? new ColumnPen(image, 1) : new PathPen();
        pen.draw(g, new Rectangle2D.Double(0, 0, 220, 120), x, y, Color.BLACK, 1.6);
        g.dispose();
        return image;
    }

    private static double ink(BufferedImage image, int column) {
        double sum = 0;
        for (int row = 0; row < image.getHeight(); row++) {
            sum += (image.getRGB(column, row) >>> 24) / 255.0;
        }
        return sum;
    }

    private static double centre(BufferedImage image, int column) {
        double moment = 0;
        for (int row = 0; row < image.getHeight(); row++) {
            moment += (row + 0.5) * (image.getRGB(column, row) >>> 24) / 255.0;
        }
        return moment / ink(image, column);
    }

    @Test
    void geometryGoesThereAndBack() {
        StripLayout layout = new StripLayout(660, 700, FIGURE, new AxisRange(4, 12));
        for (double seconds = 4; seconds <= 12; seconds += 0.37) {
            assertThat(layout.at(layout.x(seconds))).isCloseTo(seconds, within(1e-9));
        }
        assertThat(layout.y(0, layout.strips().get(0).high())).isCloseTo(layout.top(0), within(1e-9));
        assertThat(layout.bottom(layout.strips().size() - 1)).isCloseTo(layout.plotsBottom(), within(1e-6));
        AxisRange whole = new AxisRange(0, 30);
        assertThat(new AxisRange(20, 30).moved(50, whole)).isEqualTo(new AxisRange(20, 30));
        assertThat(whole.zoomed(10, 5, whole)).isEqualTo(whole);
        assertThat(whole.zoomed(10, 1e-9, whole).length()).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void ticksAreRound() {
        assertThat(Ticks.of(0, 33.4, 8).values()).containsExactly(0.0, 5.0, 10.0, 15.0, 20.0, 25.0, 30.0);
        assertThat(Ticks.of(1.93, 2.61, 4).values()).hasSizeBetween(2, 5);
        assertThat(Ticks.of(0, 10, 4).label(2.5)).isEqualTo("2.5");
        assertThat(Ticks.of(5, 5, 4).values()).containsExactly(5.0);
    }

    @Test
    void levelsKeepTheirColoursAndUnknownOnesAreMuted() {
        List<ShotRecord> study = DemoStudy.shots().stream().map(d -> d.shot().record()).toList();
        TreatmentScale grind = TreatmentScale.of(RecordFactor.GRIND, study);
        assertThat(grind.color("1.2", Theme.LIGHT)).isEqualTo(Theme.LIGHT.color("seam-1"));
        assertThat(grind.levels()).containsExactly("1.2", "2", "2.2", "2.4", "2.6", "2.8", "3", "4.4");
        assertThat(grind.levels().stream().map(level -> grind.color(level, Theme.LIGHT)).distinct()).hasSize(8);
        assertThat(grind.color("4.4", Theme.DARK)).isEqualTo(Theme.DARK.color("seam-5"));
        assertThat(grind.color(ShotRecord.EMPTY, Theme.LIGHT)).isEqualTo(Theme.LIGHT.color("muted"));
        assertThat(Theme.LIGHT.colors().keySet()).isEqualTo(Theme.DARK.colors().keySet());
    }

    @Test
    void aLegendOfManyNumbersShowsSomeFromTheFirstToTheLast() {
        TreatmentScale masses = TreatmentScale.of(RecordFactor.GRIND,
                IntStream.range(0, 1000).mapToObj(i -> ShotRecord.EMPTY.with(RecordField.GRIND, i / 100.0)).toList());
        assertThat(masses.levels(9)).hasSize(9).startsWith("0").endsWith("9.99").contains("5");
        assertThat(masses.levels(1000)).isEqualTo(masses.levels());
    }

    /** WCAG 2.1: 4.5 for words, 3 for marks. */
    @Test
    void wordsAndMarksStandOutInBothThemes() {
        for (Theme theme : List.of(Theme.LIGHT, Theme.DARK)) {
            for (String words : List.of("ink", "ink-2", "muted", "accent", "moss", "amber-text", "brick")) {
                assertThat(contrast(theme.color(words), theme.color("paper"))).as("%s, dark %s", words, theme.dark())
                        .isGreaterThan(4.5);
            }
            for (int i = 1; i <= 5; i++) {
                assertThat(contrast(theme.color("seam-" + i), theme.color("panel"))).isGreaterThan(3);
            }
        }
    }

    private static double contrast(Color a, Color b) {
        double la = luminance(a);
        double lb = luminance(b);
        return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
    }

    private static double luminance(Color c) {
        double[] weights = {0.2126, 0.7152, 0.0722};
        int[] parts = {c.getRed(), c.getGreen(), c.getBlue()};
        double sum = 0;
        for (int i = 0; i < 3; i++) {
            double v = parts[i] / 255.0;
            sum += weights[i] * (v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4));
        }
        return sum;
    }

    @Test
    void theMapTakesAnyStudy() {
        PlaneFigure.Point usual = new PlaneFigure.Point(Measured.independent(2.2, 0.01), Measured.independent(20, 0.1),
                Color.RED);
        PlaneFigure.Point odd = new PlaneFigure.Point(Measured.exact(9), Measured.exact(2), Color.BLUE);
        BufferedImage image = new BufferedImage(260, 160, BufferedImage.TYPE_INT_ARGB_PRE);
        for (PlaneFigure figure : List.of(new PlaneFigure(List.of(), Optional.empty(), TargetWindow.USUAL),
                new PlaneFigure(List.of(odd), Optional.of(usual), TargetWindow.USUAL))) {
            PlanePainter.paint(image.createGraphics(), Theme.LIGHT, figure, 260, 160);
        }
        assertThat(ink(image, 130)).isPositive();
    }

    /**
     * Along the cup mass every strip begins at the first drip and ends with the beverage; time comes back from
     * mass.
     */
    @Test
    void theStripsRunAlongTimeOrMass() {
        ShotMeasures measures = ShotMeasures.of(KNOCKED);
        double on = measures.curve().times().pumpOn().orElseThrow().seconds();
        double drip = measures.curve().times().firstDrip().orElseThrow().seconds();
        for (AxisKind kind : AxisKind.values()) {
            CurveAxis axis = CurveAxis.of(kind, measures.curve());
            double zero = kind == AxisKind.PUMP_ON ? on : kind == AxisKind.PRESSURE_ONSET
                    ? measures.curve().times().pressureOnset().orElseThrow().seconds() : drip;
            assertThat(axis.at(zero)).as(kind.title()).isCloseTo(0, within(1e-9));
            assertThat(axis.seconds(axis.at(30))).isCloseTo(30, within(0.15));
        }
        ReadFigure byMass = ReadFigure.of(KNOCKED, measures,
                ReadOptions.USUAL.along(AxisKind.CUP_MASS).of(List.of(Channel.CUP_MASS, Channel.PRESSURE)),
                Optional.empty());
        assertThat(byMass.strips()).extracting(Strip::channel).containsExactly(Channel.CUP_MASS, Channel.PRESSURE);
        assertThat(byMass.whole().to()).isCloseTo(measures.curve().beverage().orElseThrow().value(), within(0.4));
        assertThat(byMass.strips().get(0).curve().at(20)).as("mass along mass").isCloseTo(20, within(0.3));
        assertThat(byMass.phases()).noneMatch(phase -> phase.name().equals("Wetting"));
    }

    @Test
    void theCorridorTheGhostAndTheFlowsDoubtAreDrawnWhereTheyBelong() {
        ShotMeasures measures = ShotMeasures.of(KNOCKED);
        Shot other = DemoStudy.shots().get(2).shot();
        ReadFigure figure = ReadFigure.of(KNOCKED, measures, ReadOptions.USUAL, Optional.of(ShotMeasures.of(other)));
        Strip pressure = figure.strips().get(0);
        assertThat(pressure.corridor()).as("soak, ramp, main, taper").hasSize(4);
        assertThat(pressure.corridor().get(2).high().values().max()).isCloseTo(9.3, within(1e-9));
        assertThat(figure.strips()).allMatch(strip -> strip.ghost().isPresent());
        Strip flow = figure.strips()
                .stream()
                .filter(strip -> strip.channel() == Channel.CUP_FLOW)
                .findFirst()
                .orElseThrow();
        Band doubt = flow.doubt().orElseThrow();
        assertThat(doubt.high().at(30) - doubt.low().at(30)).as("±2u of a 0.1 g display over 1.5 s")
                .isBetween(0.05, 0.4);
    }

    /** Twenty notes in two seconds: whatever is placed covers nothing else. */
    @Test
    void labelsNeverCoverEachOther() throws IOException {
        ShotRecord crowded = KNOCKED.record()
                .with(RecordField.MOMENT_NOTES, IntStream.range(0, 20)
                        .mapToObj(i -> (20 + 0.1 * i) + " note number " + i)
                        .collect(Collectors.joining("; ")));
        Shot shot = KNOCKED.with(crowded);
        ReadFigure figure = ReadFigure.of(shot, ShotMeasures.of(shot));
        ReadSheet sheet = new ReadSheet("Shot 5", "", figure, figure.whole(),
                new StripPainter.Inks(Color.BLUE, Color.GRAY));
        List<float[]> words = new ArrayList<>();
        try (PDDocument pdf = Loader.loadPDF(FigureExport.write(sheet, Theme.LIGHT, FigureFormat.PDF))) {
            PDFTextStripper stripper = new PDFTextStripper() {
                @Override
                protected void writeString(String text, List<TextPosition> positions) {
                    TextPosition first = positions.get(0);
                    TextPosition last = positions.get(positions.size() - 1);
                    if (text.contains("note number")) {
                        words.add(new float[] {first.getX(), last.getX() + last.getWidth(), first.getY()});
                    }
                }
            };
            stripper.getText(pdf);
        }
        assertThat(words).hasSizeGreaterThan(2);
        for (float[] a : words) {
            for (float[] b : words) {
                assertThat(a == b || a[1] <= b[0] || b[1] <= a[0] || Math.abs(a[2] - b[2]) >= 10).isTrue();
            }
        }
    }
}
