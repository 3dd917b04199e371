package org.grenu.bench;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.grenu.core.puck.Puck;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.CurveDifference;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.compare.Question;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.grenu.figures.compare.OverlayFigure;
import org.grenu.figures.compare.OverlayLayout;
import org.grenu.figures.compare.OverlayPainter;
import org.grenu.figures.paint.ColumnPen;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Comparing shots that are measured already: the whole answer of 200, the curve test of 2 × 20, painting 40 and
 * 200.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ComparisonBenchmark {

    private final List<MeasuredShot> shots = MeasuredStudy.shots();
    private final TreatmentScale scale = TreatmentScale.of(RecordFactor.GRIND,
            shots.stream().map(MeasuredShot::record).toList());
    private final OverlayFigure forty = figure(40);
    private final OverlayFigure twoHundred = figure(200);
    private final BufferedImage image = new BufferedImage(676, 340, BufferedImage.TYPE_INT_ARGB_PRE);

    private OverlayFigure figure(int count) {
        return OverlayFigure
                .of(shots.subList(0, count), RecordFactor.GRIND, Optional.of(RecordFactor.PROFILE), AxisKind.FIRST_DRIP,
                        MeasuredStudy.CHANNELS, DisplayUnits.CANONICAL)
                .orElseThrow();
    }

    /** {@return five responses on grind, temperature and profile, ten days at random, with guard and sentence} */
    @Benchmark
    public Comparison compare200() {
        return MeasuredStudy.compared(shots);
    }

    /** {@return where the curves of 2 × 20 shots differ on three channels, by 10 000 shuffles} */
    @Benchmark
    public Optional<CurveDifference> curveTest() {
        return MeasuredStudy.curvesApart(MeasuredStudy.overlay(shots));
    }

    /** {@return 40 shots in two fields, three strips, as on a 1280 × 800 screen} */
    @Benchmark
    public BufferedImage paint40() {
        return painted(forty);
    }

    /** {@return 200 shots} */
    @Benchmark
    public BufferedImage paint200() {
        return painted(twoHundred);
    }

    private BufferedImage painted(OverlayFigure figure) {
        Graphics2D g = image.createGraphics();
        OverlayPainter.paint(g, Theme.LIGHT, new OverlayLayout(676, 340, figure, figure.whole()),
                new ColumnPen(image, 1), level -> scale.color(level, Theme.LIGHT));
        g.dispose();
        return image;
    }
}
