package org.grenu.bench;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.rig.LogFlaw;
import org.grenu.figures.paint.ColumnPen;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.StripLayout;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.theme.Theme;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotReader;
import org.grenu.formats.rules.ShippedPacks;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One 60 s, 10 Hz shot: reading its file, measuring it, painting it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ShotBenchmark {

    private final Shot shot = LargeStudy.shot(1, List.of(LogFlaw.KNOCKED_SCALE));
    private final byte[] file = ShotCsvWriter.write(shot).getBytes(StandardCharsets.UTF_8);
    private final ReadFigure figure = ReadFigure.of(shot, ShotMeasures.of(shot));
    private final BufferedImage image = new BufferedImage(676, 690, BufferedImage.TYPE_INT_ARGB_PRE);

    /** {@return the shot read from its CSV} */
    @Benchmark
    public ParsedShot readCsv() throws ImportFailure {
        return ShotReader.read("shot.csv", file);
    }

    /** {@return repairs, curves, moments, yield, phases, profile, hydraulics, and the findings on them} */
    @Benchmark
    public List<Finding> analyse() {
        return ShippedPacks.findings(shot.record(), ShotMeasures.of(shot));
    }

    /** {@return the strips painted as on a 1280 × 800 screen} */
    @Benchmark
    public BufferedImage paintStrips() {
        Graphics2D g = image.createGraphics();
        StripPainter.paint(g, Theme.LIGHT, figure, new StripLayout(676, 690, figure, figure.whole()),
                new ColumnPen(image, 1),
                new StripPainter.Inks(Color.BLUE, Color.GRAY));
        g.dispose();
        return image;
    }
}
