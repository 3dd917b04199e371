package org.grenu.figures.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.figures.paint.PathPen;
import org.grenu.figures.theme.Theme;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What holds for the figure of any shot, checked on all of the demo study: choked, gushing, flawed, sparse. */
class EveryShotFigureTest {

    private static final List<Shot> SHOTS = DemoStudy.shots().stream().map(d -> d.shot()).toList();
    private static final List<Channel> ALL = List.of(Channel.values());

    private static String name(Shot shot) {
        return shot.record().text(RecordField.NAME).orElse("a shot");
    }

    private static ReadFigure figure(Shot shot, AxisKind axis) {
        return ReadFigure.of(shot, ShotMeasures.of(shot), ReadOptions.USUAL.along(axis).of(ALL), Optional.empty());
    }

    @ParameterizedTest
    @EnumSource(AxisKind.class)
    void whatIsShownLiesOnTheStripAndWithinTheAxis(AxisKind kind) {
        for (Shot shot : SHOTS) {
            ReadFigure figure = figure(shot, kind);
            assertThat(figure.strips()).as(name(shot)).hasSizeGreaterThanOrEqualTo(2);
            for (Strip strip : figure.strips()) {
                for (double value : strip.curve().values().toArray()) {
                    assertThat(Double.isNaN(value)
                            || value >= strip.low() - 0.1 * (strip.high() - strip.low()) && value <= strip.high())
                            .as("%s %s: %s within %s to %s", name(shot), strip.channel(), value, strip.low(),
                                    strip.high())
                            .isTrue();
                }
                assertThat(strip.ticks().values())
                        .allMatch(tick -> tick >= strip.low() - 1e-9 && tick <= strip.high() + 1e-9);
            }
            AxisRange whole = figure.whole();
            assertThat(figure.moments()).allMatch(moment -> moment.at() >= whole.from() && moment.at() <= whole.to());
            assertThat(figure.marks()).allMatch(mark -> mark.from() <= mark.to() && Double.isFinite(mark.from()));
        }
    }

    /** Phases follow each other without a hole, whichever way the strips run. */
    @ParameterizedTest
    @EnumSource(AxisKind.class)
    void phasesTileTheRibbon(AxisKind kind) {
        for (Shot shot : SHOTS) {
            List<PhaseSpan> phases = figure(shot, kind).phases();
            for (int i = 1; i < phases.size(); i++) {
                assertThat(phases.get(i).from()).as("%s, %s", name(shot), phases.get(i).name())
                        .isCloseTo(phases.get(i - 1).to(), within(0.11));
            }
            assertThat(phases).allMatch(phase -> phase.to() > phase.from() && phase.length().matches("\\d+\\.\\d s"));
            assertThat(phases.stream().filter(PhaseSpan::main).count()).isLessThanOrEqualTo(1);
        }
    }

    /** A shot held against itself lies on its own ghost; against another, each begins at its own moment. */
    @ParameterizedTest
    @EnumSource(AxisKind.class)
    void ghostsLineUpByTheAxis(AxisKind kind) {
        Shot shot = SHOTS.get(2);
        ShotMeasures measures = ShotMeasures.of(shot);
        for (Strip strip : ReadFigure.of(shot, measures, ReadOptions.USUAL.along(kind).of(ALL), Optional.of(measures))
                .strips()) {
            assertThat(strip.ghost().orElseThrow()).isEqualTo(strip.curve());
        }
        Shot late = new Shot(shot.record(), later(shot.log(), 7.3));
        Strip mass = ReadFigure
                .of(late, ShotMeasures.of(late), ReadOptions.USUAL.along(kind).of(List.of(Channel.CUP_MASS)),
                        Optional.of(measures))
                .strips()
                .get(0);
        for (double at = 2; at < 25; at++) {
            assertThat(mass.curve().at(at)).as("at %s", at).isCloseTo(mass.ghost().orElseThrow().at(at), within(0.15));
        }
    }

    private static ShotLog later(ShotLog log, double seconds) {
        double[] time = log.time().toArray();
        for (int i = 0; i < time.length; i++) {
            time[i] += seconds;
        }
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        channels.putAll(log.channels());
        return new ShotLog(Samples.of(time), channels);
    }

    /** From a thumbnail to a poster, in both themes: nothing fails, and every strip has its ink. */
    @Test
    void everySizeCanBePainted() {
        for (Shot shot : List.of(SHOTS.get(0), SHOTS.get(4), SHOTS.get(SHOTS.size() - 1))) {
            ReadFigure figure = figure(shot, AxisKind.PUMP_ON);
            for (int[] size : new int[][] {{120, 90}, {420, 300}, {980, 620}, {2400, 1600}}) {
                BufferedImage image = new BufferedImage(size[0], size[1], BufferedImage.TYPE_INT_ARGB);
                Graphics2D g = image.createGraphics();
                StripLayout layout = new StripLayout(size[0], size[1], figure, figure.whole());
                StripPainter.paint(g, size[0] > 500 ? Theme.LIGHT : Theme.DARK, figure, layout, new PathPen(),
                        new StripPainter.Inks(Color.MAGENTA, Color.GRAY));
                g.dispose();
                if (size[0] > 900) {
                    for (int strip = 0; strip < figure.strips().size(); strip++) {
                        assertThat(inked(image, layout, strip))
                                .as("%s strip %s", name(shot), figure.strips().get(strip).channel())
                                .isGreaterThan(20);
                    }
                }
            }
        }
    }

    private static long inked(BufferedImage image, StripLayout layout, int strip) {
        long pixels = 0;
        for (int x = (int) layout.left(); x < layout.right(); x++) {
            for (int y = (int) layout.top(strip); y < layout.bottom(strip); y++) {
                int argb = image.getRGB(x, y);
                // Magenta, however thin: much red and blue, little green.
                pixels += (argb >>> 24) > 60 && (argb >> 16 & 255) > 150 && (argb & 255) > 150
                        && (argb >> 8 & 255) < 120 ? 1 : 0;
            }
        }
        return pixels;
    }

    /** Each repair that is on shows the values as the sensor gave them beneath; switched off, the mark says so. */
    @Test
    void repairsShowWhatTheyMoved() {
        Shot knocked = SHOTS.get(4);
        ReadFigure figure = figure(knocked, AxisKind.PUMP_ON);
        Mark mark = figure.marks().stream().filter(m -> m.name().contains("knock")).findFirst().orElseThrow();
        Strip mass = figure.strips()
                .stream()
                .filter(strip -> strip.channel() == mark.channel())
                .findFirst()
                .orElseThrow();
        UniformDifference moved = UniformDifference.of(mass, mark);
        assertThat(moved.inside()).as("moved by the knock").isGreaterThan(1);
        assertThat(moved.outside()).as("left alone elsewhere").isLessThan(0.05);
        Shot off = knocked.with(knocked.record().with(RecordField.REPAIRS_OFF, RepairKind.SCALE_KNOCK.key()));
        assertThat(figure(off, AxisKind.PUMP_ON).marks()).extracting(Mark::name)
                .anyMatch(name -> name.endsWith(": off"));
        assertThat(EnumSet.allOf(RepairKind.class)).allMatch(kind -> !kind.title().isBlank());
    }

    /** The largest move between the curve and its unrepaired self, inside a mark and well outside of it. */
    private record UniformDifference(double inside, double outside) {

        static UniformDifference of(Strip strip, Mark mark) {
            double inside = 0;
            double outside = 0;
            double level = strip.curve().at(mark.to() + 3) - strip.asLogged().orElseThrow().at(mark.to() + 3);
            for (int i = 0; i < strip.curve().size(); i++) {
                double at = strip.curve().time(i);
                double moved = Math.abs(strip.curve().value(i) - strip.asLogged().get().at(at) - level);
                if (at > mark.from() - 0.2 && at < mark.to() + 0.2) {
                    inside = Math.max(inside, moved);
                } else if (Math.abs(at - mark.from()) < 6 && (at < mark.from() - 1 || at > mark.to() + 1)) {
                    outside = Math.max(outside, moved);
                }
            }
            return new UniformDifference(inside, outside);
        }
    }
}
