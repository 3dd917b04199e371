package org.grenu.figures.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.Samples;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.DisplayUnits;
import org.junit.jupiter.params.ParameterizedTest;

/** Scales hold their values, labels keep clear of each other, zooming stays within the log, mass finds its time. */
class PlacingTest {

    @ParameterizedTest
    @Seeds(300)
    void placedLabelsAreInBoundsAndApart(Draws any) {
        List<Double> places = any.list(1, 60, () -> any.number(0, 400));
        Rectangle2D bounds = new Rectangle2D.Double(0, 0, 420, 48);
        LabelPlacer placer = new LabelPlacer(bounds);
        List<Rectangle2D> placed = new ArrayList<>();
        for (double x : places) {
            List<Rectangle2D> candidates = List.of(new Rectangle2D.Double(x, 2, 60, 12),
                    new Rectangle2D.Double(x - 64, 2, 60, 12),
                    new Rectangle2D.Double(x, 18, 60, 12), new Rectangle2D.Double(x, 34, 60, 12));
            placer.place(candidates).ifPresent(label -> {
                assertThat(candidates).contains(label);
                placed.add(label);
            });
        }
        assertThat(placed).isNotEmpty().allMatch(bounds::contains);
        for (int i = 0; i < placed.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(placed.get(i).intersects(placed.get(j))).isFalse();
            }
        }
    }

    @ParameterizedTest
    @Seeds(500)
    void scalesHoldEveryValue(Draws any) {
        Channel channel = any.of(Channel.values());
        double one = any.number(-5, 120);
        double other = any.number(-5, 120);
        double least = Math.min(one, other);
        double largest = Math.max(one, other);
        StripScale scale = StripScale.of(channel, DisplayUnits.CANONICAL, least, largest);
        assertThat(scale.high()).isGreaterThanOrEqualTo(largest).isGreaterThan(scale.low());
        // A sensor's idle value of a little below nothing does not take the strip's foot away from zero.
        assertThat(scale.low()).isLessThanOrEqualTo(Math.max(0, least) + 1e-9);
        assertThat(scale.ticks().values()).isNotEmpty()
                .allMatch(tick -> tick >= scale.low() - 1e-9 && tick <= scale.high() + 1e-9);
        assertThat(scale.ticks().values().stream().map(scale.ticks()::label)).as("ticks read differently")
                .doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @Seeds(500)
    void zoomingAndMovingStayWithinTheLog(Draws any) {
        double about = any.number(0, 60);
        double factor = any.number(0.01, 20);
        double by = any.number(-100, 100);
        AxisRange whole = new AxisRange(-3, 58);
        AxisRange view = whole.zoomed(about, 0.3, whole).zoomed(about, factor, whole).moved(by, whole);
        assertThat(view.from()).isGreaterThanOrEqualTo(whole.from() - 1e-9);
        assertThat(view.to()).isLessThanOrEqualTo(whole.to() + 1e-9);
        assertThat(view.length()).isGreaterThanOrEqualTo(0.5 - 1e-9);
    }

    /** The moment under the pointer stays under it while the wheel turns, as long as the log's ends allow. */
    @ParameterizedTest
    @Seeds(300)
    void theMomentUnderThePointerStaysThere(Draws any) {
        double about = any.number(20, 40);
        double factor = any.number(0.2, 1);
        AxisRange whole = new AxisRange(0, 60);
        AxisRange view = new AxisRange(15, 45);
        AxisRange zoomed = view.zoomed(about, factor, whole);
        assertThat((about - zoomed.from()) / zoomed.length()).isCloseTo((about - view.from()) / view.length(),
                within(1e-9));
    }

    /** A cup that fills unevenly, even stands still: mass along the axis comes back as its own time. */
    @ParameterizedTest
    @Seeds(200)
    void massFindsItsTime(Draws any) {
        List<Integer> steps = any.list(30, 200, () -> any.integer(0, 12));
        double[] mass = new double[steps.size() + 1];
        for (int i = 0; i < steps.size(); i++) {
            mass[i + 1] = mass[i] + steps.get(i) / 10.0;
        }
        UniformCurve curve = new UniformCurve(4, 0.1, Samples.of(mass));
        double[] times = new double[(int) (mass[mass.length - 1] / 0.1) + 1];
        for (int k = 0, i = 0; k < times.length; k++) {
            while (i < mass.length - 1 && mass[i] < k * 0.1 - 1e-9) {
                i++;
            }
            times[k] = curve.time(i);
        }
        CurveAxis axis = new CurveAxis.CupMass(new UniformCurve(0, 0.1, Samples.of(times)));
        for (int k = 1; k < times.length; k++) {
            double at = axis.at(axis.seconds(k * 0.1));
            assertThat(axis.seconds(at)).as("time of %s g", k * 0.1).isCloseTo(axis.seconds(k * 0.1), within(0.11));
        }
        assertThat(axis.at(3.9)).as("before the first drip").isNaN();
    }
}
