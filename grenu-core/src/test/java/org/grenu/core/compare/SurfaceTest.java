package org.grenu.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class SurfaceTest {

    private static final Question QUESTION = Question.of(
            List.of(Variable.of(RecordFactor.GRIND), Variable.of(RecordFactor.TEMPERATURE)),
            List.of(StandardResponse.EY_AS_DOSED, StandardResponse.STRENGTH));

    private static double truth(double grind, double celsius) {
        double g = grind - 2.4;
        double t = celsius - 93;
        return 20 - 2 * g + 0.15 * t - 4 * g * g + 0.1 * g * t;
    }

    private static Comparison study(double[][] settings, int each, double spread) {
        Random random = new Random(4);
        List<MeasuredShot> shots = new ArrayList<>();
        for (double[] setting : settings) {
            for (int k = 0; k < each; k++) {
                double yield = truth(setting[0], setting[1]) + spread * random.nextGaussian();
                shots.add(Bench.shot("s" + shots.size(),
                        Bench.record(18, 40, yield * 18 / 40)
                                .with(RecordField.GRIND, setting[0])
                                .with(RecordField.TEMPERATURE, setting[1])));
            }
        }
        return Comparison.of(QUESTION, shots);
    }

    private static final double[][] NINE = {{2.2, 90}, {2.4, 90}, {2.6, 90}, {2.2, 93}, {2.4, 93}, {2.6, 93}, {2.2, 96},
            {2.4, 96}, {2.6, 96}};

    @Test
    void aBentSurfaceIsRecoveredWithItsUncertainty() {
        ResponseSurface surface = ResponseSurface.of(study(NINE, 3, 0.05), ResponseSurface.USUAL_WINDOWS).orElseThrow();
        ResponseSurface.Layer yield = surface.layers().get(0);
        for (int r = 0; r < surface.ys().length; r += 8) {
            for (int c = 0; c < surface.xs().length; c += 8) {
                assertThat(surface.within(r, c)).isTrue();
                assertThat(yield.mean()[r][c]).isCloseTo(truth(surface.xs()[c], surface.ys()[r]),
                        within(3 * yield.half()[r][c]));
            }
        }
        assertThat(yield.half()[0][0]).as("corners are less sure than the middle").isGreaterThan(yield.half()[20][20]);
        assertThat(yield.deviation()).isCloseTo(0.05, within(0.03));
    }

    /** With temperature tried at two values only, its bend cannot be told and is left out; the plane remains. */
    @Test
    void whatTheSettingsCannotTellIsLeftOut() {
        double[][] six = {{2.2, 90}, {2.4, 90}, {2.6, 90}, {2.2, 93}, {2.4, 93}, {2.6, 93}};
        ResponseSurface surface = ResponseSurface.of(study(six, 3, 0.05), Map.of()).orElseThrow();
        assertThat(surface.layers().get(0).mean()[20][20]).isFinite();
        double edge = surface.layers().get(0).mean()[0][20] + surface.layers().get(0).mean()[40][20];
        assertThat(surface.layers().get(0).mean()[20][20]).as("straight between the two")
                .isCloseTo(edge / 2, within(1e-9));
        assertThat(surface.wanted(20, 20)).as("no window was given").isFalse();
    }

    @Test
    void theWantedRegionMeetsAllWindowsAndNothingIsClaimedBeyondWhatWasTried() {
        double[][] triangle = {{2.2, 93}, {2.6, 93}, {2.4, 90}, {2.4, 93}};
        Map<String, ResponseSurface.Window> windows = Map.of("ey_as_dosed", new ResponseSurface.Window(19.9, 30),
                "strength", new ResponseSurface.Window(0, 30));
        ResponseSurface surface = ResponseSurface.of(study(triangle, 4, 0.02), windows).orElseThrow();
        assertThat(surface.within(0, 0)).as("fine and cool was never tried").isFalse();
        assertThat(surface.within(40, 0)).isTrue();
        assertThat(surface.wanted(40, 4)).as("fine and hot").isTrue();
        assertThat(surface.wanted(40, 40)).as("coarse").isFalse();
    }

    @Test
    void oneLineOfSettingsOrOneNumberGiveNoSurface() {
        assertThat(ResponseSurface.of(study(new double[][] {{2.2, 90}, {2.4, 92}, {2.6, 94}}, 3, 0.05), Map.of()))
                .isEmpty();
        Comparison one = Comparison.of(
                Question.of(List.of(Variable.of(RecordFactor.GRIND)), List.of(StandardResponse.STRENGTH)),
                study(NINE, 2, 0.1).shots());
        assertThat(ResponseSurface.of(one, Map.of())).isEqualTo(Optional.empty());
    }

    /** Every point lies within its own hull, and so does every mixture of two of them. */
    @ParameterizedTest
    @Seeds(200)
    void theHullHoldsItsPointsAndAllBetweenThem(Draws any) {
        List<Double> xs = any.list(3, 12, () -> any.number(-5, 5));
        double share = any.number(0, 1);
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i < xs.size(); i++) {
            points.add(new double[] {xs.get(i), Math.sin(3 * xs.get(i)) + i % 3});
        }
        Hull hull = Hull.of(points);
        if (hull.hasArea()) {
            double[] a = points.get(0);
            double[] b = points.get(points.size() - 1);
            assertThat(points).allSatisfy(point -> assertThat(hull.holds(point[0], point[1])).isTrue());
            assertThat(hull.holds(a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1]))).isTrue();
            assertThat(hull.holds(6, 0)).isFalse();
        }
    }
}
