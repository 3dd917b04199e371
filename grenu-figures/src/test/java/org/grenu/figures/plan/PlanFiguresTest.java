package org.grenu.figures.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.AgeTrend;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.figures.paint.Words;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;
import org.jfree.svg.SVGGraphics2D;
import org.junit.jupiter.params.ParameterizedTest;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;

/** Whatever ladder there is, its curves show its numbers, and nothing lies over anything else or beyond the edge. */
class PlanFiguresTest {

    private static final String COFFEE = "Lot Wren 5";
    private static final StandardResponse TIME = StandardResponse.time(TimeConvention.PUMP_ON_TO_PUMP_OFF);
    private static final int[][] SIZES = {{420, 260}, {640, 380}, {860, 480}};

    /** Shots of one coffee by a line in the notch, read and tasted now and then, some days apart. */
    private static List<MeasuredShot> shots(Draws any, boolean oneGrind) {
        List<MeasuredShot> shots = new ArrayList<>();
        LocalDateTime moment = LocalDateTime.of(2026, 5, 4, 9, 0);
        double level = any.number(2.9, 3.7);
        int count = any.integer(oneGrind ? 5 : 1, 25);
        for (int i = 0; i < count; i++) {
            int finer = oneGrind ? 0 : any.integer(-5, 5);
            double seconds = Math.exp(level + 0.118 * finer + any.number(-0.05, 0.05));
            ShotRecord record = ShotRecord.EMPTY.with(RecordField.COFFEE, COFFEE)
                    .with(RecordField.GRIND, DecimalText.exact(Math.rint(10 * (2.4 - 0.1 * finer)) / 10))
                    .with(RecordField.DOSE, "18")
                    .with(RecordField.BEVERAGE, DecimalText.exact(any.integer(33, 40)))
                    .with(RecordField.TEMPERATURE, "93")
                    .with(RecordField.ROASTED_ON, "2026-04-24")
                    .with(RecordField.PULLED_AT, moment.toString())
                    .with(RecordField.PUMP_ON, "0")
                    .with(RecordField.PUMP_OFF, DecimalText.exact(Math.rint(10 * seconds) / 10));
            record = any.toss() ? record.with(RecordField.READINGS, DecimalText.exact(any.integer(80, 110) / 10.0))
                    : record;
            record = any.toss() ? record.with(RecordField.TASTING, "sour " + any.integer(0, 10)) : record;
            Shot shot = new Shot(record, ShotLog.NONE);
            shots.add(new MeasuredShot(Integer.toString(100 * i + 7), record, ShotMeasures.of(shot)));
            moment = moment.plusHours(any.integer(1, 40));
        }
        return shots;
    }

    private static Aim aim(Draws any) {
        double low = any.integer(15, 40);
        return new Aim(new AimRange(low, low + 4),
                any.toss() ? Optional.of(new AimRange(19, 21.5)) : Optional.empty(), Optional.empty(), Map.of());
    }

    private static Advice advice(Draws any, List<MeasuredShot> shots, Aim aim) {
        GrinderDial dial = new GrinderDial(0.1, true);
        Reach reach = new Reach(dial.range(0, 6),
                any.toss() ? Map.of(Slope.TEMPERATURE, new SettingRange(85, 95, 1)) : Map.of(), 2,
                OptionalDouble.empty());
        return Advice
                .of(shots, COFFEE, new Advice.Asked(dial, reach, aim, TIME, StandardResponse.tasted()))
                .orElseThrow();
    }

    private static LeverAxis axis(Advice advice, String grinder) {
        Slope lever = advice.next() instanceof NextShot.Change change ? change.lever() : Slope.GRIND;
        return new LeverAxis(lever, new GrinderDial(0.1, true), grinder, 1);
    }

    private static List<ResponseFigure> figures(Advice advice, Aim aim, String grinder) {
        return LearntCurve.all(advice, aim, TIME)
                .stream()
                .map(curve -> ResponseFigure.of(advice, axis(advice, grinder), curve,
                        List.of("Next: grind 2.3", "28.7 s, 95 % between 26.5 and 31.0",
                                "92 in 100 to meet 27–31 s, EY 19–21.5 % and strength 8–10 %")))
                .toList();
    }

    /** Paints it with a margin around it, in which nothing may be left. */
    private static void assertWithin(int wide, int high, Consumer<Graphics2D> painter) {
        int margin = 60;
        BufferedImage image = new BufferedImage(wide + 2 * margin, high + 2 * margin, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.translate(margin, margin);
        painter.accept(g);
        g.dispose();
        int inside = 0;
        int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                boolean ink = pixels[y * image.getWidth() + x] >>> 24 > 40;
                boolean within = x >= margin - 1 && x <= margin + wide && y >= margin - 1 && y <= margin + high;
                if (ink && !within) {
                    throw new AssertionError("ink at " + (x - margin) + ", " + (y - margin) + " of " + wide + " × "
                            + high);
                }
                inside += ink ? 1 : 0;
            }
        }
        assertThat(inside).isPositive();
    }

    /** Words that were drawn, with the room that their capitals take. */
    private record Drawn(String words, Rectangle2D room) {

        static Drawn of(Element text) {
            Matcher size = Pattern.compile("font-size: (\\d+)px").matcher(text.getAttribute("style"));
            assertThat(size.find()).isTrue();
            int high = Integer.parseInt(size.group(1));
            return new Drawn(text.getTextContent(),
                    new Rectangle2D.Double(Double.parseDouble(text.getAttribute("x")),
                            Double.parseDouble(text.getAttribute("y")) - 0.72 * high,
                            Words.width(text.getTextContent(), Face.REGULAR.at(high)), 0.72 * high));
        }

        boolean over(Drawn other) {
            Rectangle2D shared = room.createIntersection(other.room);
            return shared.getWidth() > 1 && shared.getHeight() > 2;
        }
    }

    private static void assertApart(int wide, int high, Consumer<Graphics2D> painter) {
        SVGGraphics2D g = new SVGGraphics2D(wide, high);
        painter.accept(g);
        List<Drawn> drawn = new ArrayList<>();
        try {
            NodeList texts = DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(g.getSVGElement())))
                    .getElementsByTagName("text");
            for (int i = 0; i < texts.getLength(); i++) {
                drawn.add(Drawn.of((Element) texts.item(i)));
            }
        } catch (IOException | ParserConfigurationException | SAXException unreadable) {
            throw new AssertionError(unreadable);
        }
        assertThat(drawn).isNotEmpty();
        for (int i = 0; i < drawn.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(drawn.get(i).over(drawn.get(j))).as("%s over %s at %d × %d", drawn.get(i), drawn.get(j),
                        wide, high).isFalse();
            }
        }
    }

    @ParameterizedTest
    @Seeds(12)
    void aLadderIsPaintedWithinItsRoom(Draws any) {
        Aim aim = aim(any);
        Advice advice = advice(any, shots(any, any.oneIn(4)), aim);
        String grinder = any.of("", "G-burr A", "The grinder in the back room, with the old burrs of 2024");
        for (ResponseFigure figure : figures(advice, aim, grinder)) {
            int[] size = any.of(SIZES);
            Consumer<Graphics2D> painter = g -> ResponsePainter.paint(g, any.toss() ? Theme.LIGHT : Theme.DARK, figure,
                    point -> Color.RED, size[0], size[1]);
            assertWithin(size[0], size[1], painter);
            assertApart(size[0], size[1], painter);
        }
    }

    /** Shots, next shot and what is wanted are in sight; a dot is found where it stands, and a notch likewise. */
    @ParameterizedTest
    @Seeds(40)
    void whatIsShownIsWhatWasLearnt(Draws any) {
        Aim aim = aim(any);
        List<MeasuredShot> shots = shots(any, false);
        Advice advice = advice(any, shots, aim);
        int[] size = any.of(SIZES);
        for (ResponseFigure figure : figures(advice, aim, "G-burr A")) {
            assertThat(figure.points()).hasSize((int) shots.stream()
                    .filter(shot -> figure.response().of(shot).isPresent())
                    .count());
            for (ResponseFigure.Point point : figure.points()) {
                assertThat(point.value()).isBetween(figure.low(), figure.high());
                assertThat(point.at()).isBetween(figure.grid()[0], figure.grid()[figure.grid().length - 1]);
            }
            figure.target().ifPresent(wanted -> {
                assertThat(wanted.low()).isBetween(figure.low(), figure.high());
                assertThat(wanted.high()).isBetween(figure.low(), figure.high());
            });
            assertThat(figure.next().band().middle()).isBetween(figure.low(), figure.high());
            for (int i = 0; i < figure.grid().length; i++) {
                LearntCurve.Band shot = figure.shots().get(i);
                LearntCurve.Band fit = figure.fit().get(i);
                assertThat(List.of(shot.low(), fit.low(), fit.middle(), fit.high())).isSorted();
                assertThat(shot.high()).as("some stray, none of them upwards").isGreaterThan(shot.middle());
            }
            double notch = any.number(-2, 2);
            double from = figure.grid()[0];
            double per = ResponsePainter.settingAt(figure, size[0], 101)
                    - ResponsePainter.settingAt(figure, size[0], 100);
            double x = 100 + (notch - ResponsePainter.settingAt(figure, size[0], 100)) / per;
            assertThat(ResponsePainter.settingAt(figure, size[0], x)).isCloseTo(notch, within(1e-9));
            assertThat(ResponsePainter.settingAt(figure, size[0], 56)).as("the axis begins there")
                    .isCloseTo(from, within(1e-9));
        }
        Prediction time = advice.beliefs().time().shot(advice.next().inputs());
        LearntCurve.Band shown = figures(advice, aim, "").get(0).next().band();
        assertThat(shown.middle()).isCloseTo(time.median(), within(1e-9));
        assertThat(shown.high()).isCloseTo(time.quantile(0.975), within(1e-9));
    }

    /** Strength is what was dissolved over what is in the cup: the two curves never contradict each other. */
    @ParameterizedTest
    @Seeds(20)
    void strengthFollowsFromTheYield(Draws any) {
        Aim aim = aim(any);
        List<LearntCurve> curves = LearntCurve.all(advice(any, shots(any, false), aim), aim, TIME);
        Optional<LearntCurve> yield = of(curves, StandardResponse.EY_AS_DOSED);
        Optional<LearntCurve> strength = of(curves, StandardResponse.STRENGTH);
        assertThat(strength.isPresent()).isEqualTo(yield.isPresent());
        if (yield.isPresent()) {
            ShotInputs there = new ShotInputs(any.number(-5, 5),
                    any.number(14, 20), any.number(25, 60), 93, 14);
            assertThat(strength.get().shot(there).middle() * there.beverage() / there.dose())
                    .isCloseTo(yield.get().shot(there).middle(), within(1e-9));
        }
    }

    private static Optional<LearntCurve> of(List<LearntCurve> curves, StandardResponse response) {
        return curves.stream().filter(curve -> curve.response() == response).findFirst();
    }

    /** A drift is named where there is room for the words, be it on the first day or the last. */
    @ParameterizedTest
    @Seeds(8)
    void ageingIsPaintedWithinItsRoom(Draws any) {
        List<MeasuredShot> shots = shots(any, true);
        Advice advice = advice(any, shots, aim(any));
        AgeTrend found = AgeTrend.of(advice.ladder(), shots.get(0).record(), TIME, any.of(0.3, 5.0)).orElseThrow();
        int[] size = any.of(SIZES);
        for (int day : new int[] {0, 20, 40}) {
            AgeTrend trend = new AgeTrend(found.points(), found.days(), found.smooth(), found.half(), found.low(),
                    found.high(), OptionalDouble.of(found.days()[day]));
            Consumer<Graphics2D> painter = g -> AgePainter.paint(g, Theme.LIGHT, trend, TIME, point -> Color.RED,
                    size[0], size[1]);
            assertWithin(size[0], size[1], painter);
            assertApart(size[0], size[1], painter);
        }
    }
}
