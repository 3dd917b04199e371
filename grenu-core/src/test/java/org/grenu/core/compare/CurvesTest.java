package org.grenu.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.junit.jupiter.api.Test;

/** Overlaid curves and where they differ, on shots of the simulated rig. */
class CurvesTest {

    private static final List<Channel> CHANNELS = List.of(Channel.PRESSURE, Channel.CUP_FLOW, Channel.CUP_MASS);

    @Test
    void curvesAreLinedUpAtTheMomentAndGatheredByLevel() {
        List<MeasuredShot> shots = SimulatedStudy.grinds(3, 1, 2.2, 2.6);
        CurveOverlay overlay = CurveOverlay.of(shots, RecordFactor.GRIND, AxisKind.FIRST_DRIP, CHANNELS);
        assertThat(overlay.unit()).isEqualTo("s");
        List<CurveGroup> mass = overlay.groups().get(Channel.CUP_MASS);
        assertThat(mass).extracting(CurveGroup::level).containsExactly("2.2", "2.6");
        assertThat(mass).allSatisfy(group -> {
            assertThat(group.members()).hasSize(3);
            for (AlignedCurve member : group.members()) {
                assertThat(member.curve().start() / CurveOverlay.STEP).as("on whole steps")
                        .isCloseTo(Math.rint(member.curve().start() / CurveOverlay.STEP), within(1e-9));
                assertThat(member.curve().at(-0.5)).as("before the first drip").isLessThan(0.2);
                assertThat(member.curve().at(3)).as("after it").isGreaterThan(1);
            }
        });
        assertThat(mass.get(1).mean().orElseThrow().at(10)).as("coarser runs faster")
                .isGreaterThan(mass.get(0).mean().orElseThrow().at(10));
    }

    /** The mean is the members' mean wherever all of them are known, and its band that of a pooled two-sample t. */
    @Test
    void meansAndBandsAreThoseOfTheMembers() {
        List<CurveGroup> groups = CurveOverlay
                .of(SimulatedStudy.grinds(3, 7, 2.2, 2.6), RecordFactor.GRIND, AxisKind.PUMP_ON, CHANNELS)
                .groups()
                .get(Channel.CUP_FLOW);
        double at = 14;
        double squares = 0;
        for (CurveGroup group : groups) {
            double mean = group.members().stream().mapToDouble(member -> member.curve().at(at)).average().orElseThrow();
            assertThat(group.mean().orElseThrow().at(at)).isCloseTo(mean, within(1e-9));
            squares += group.members().stream().mapToDouble(member -> Math.pow(member.curve().at(at) - mean, 2)).sum();
        }
        // t(0.975, 4) = 2.776445 (published tables)
        assertThat(groups.get(0).half().orElseThrow().at(at)).isCloseTo(2.776445 * Math.sqrt(squares / 4 / 3),
                within(1e-5));
        UniformCurve mean = groups.get(0).mean().orElseThrow();
        double shortest = groups.get(0)
                .members()
                .stream()
                .mapToDouble(member -> member.curve().end())
                .min()
                .orElseThrow();
        assertThat(mean.at(shortest - 0.1)).isFinite();
        assertThat(mean.at(shortest + 0.5)).as("nothing where a member has ended").isNaN();
    }

    @Test
    void byCupMassTheAxisIsTheCup() {
        CurveOverlay overlay = CurveOverlay.of(SimulatedStudy.grinds(2, 3, 2.2, 2.6), RecordFactor.GRIND,
                AxisKind.CUP_MASS, CHANNELS);
        assertThat(overlay.unit()).isEqualTo("g");
        UniformCurve mass = overlay.groups().get(Channel.CUP_MASS).get(0).members().get(0).curve();
        assertThat(mass.at(20)).isCloseTo(20, within(0.3));
    }

    @Test
    void aShotWithoutTheMomentStaysOut() {
        List<MeasuredShot> shots = new ArrayList<>(SimulatedStudy.grinds(1, 3, 2.4));
        shots.add(Bench.shot("silent", Bench.record(18, 40, 9)));
        assertThat(
                CurveOverlay.of(shots, RecordFactor.GRIND, AxisKind.FIRST_DRIP, CHANNELS)
                        .groups()
                        .get(Channel.PRESSURE))
                .singleElement()
                .satisfies(group -> assertThat(group.members()).hasSize(1));
        assertThat(CurveOverlay.of(shots.subList(1, 2), RecordFactor.GRIND, AxisKind.FIRST_DRIP, CHANNELS).groups())
                .isEmpty();
    }

    @Test
    void twoGrindsDifferInFlowAndTheWordsSayWhere() {
        CurveOverlay overlay = CurveOverlay.of(SimulatedStudy.grinds(6, 11, 2.0, 2.8), RecordFactor.GRIND,
                AxisKind.FIRST_DRIP, CHANNELS);
        CurveDifference difference = CurveDifference.of(overlay, "2", "2.8", List.of(), 400).orElseThrow();
        assertThat(difference.possible()).isTrue();
        CurveDifference.OfChannel flow = difference.channels()
                .stream()
                .filter(one -> one.channel() == Channel.CUP_FLOW)
                .findFirst()
                .orElseThrow();
        assertThat(flow.stretches()).isNotEmpty();
        double[] stretch = flow.stretches().get(0);
        assertThat(flow.difference().at((stretch[0] + stretch[1]) / 2)).as("finer flows less").isLessThan(0);
        assertThat(difference.words()).startsWith("The curves of 2 and 2.8 differ: ")
                .containsPattern("cup flow .?[0-9.]+ to [0-9.]+ s")
                .doesNotContain(" -")
                .endsWith("(family-wise 5 %).");
    }

    /** Among shots alike but for chance nothing is found; what a second factor does is taken out first. */
    @Test
    void aSecondFactorDoesNotPassForTheFirst() {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            DemoProfile profile = i % 2 == 0 ? DemoProfile.STRAIGHT_NINE : DemoProfile.LOW_SIX;
            MeasuredShot shot = SimulatedStudy.shot("s" + i, 2.4, 93, profile, 38, 500 + i);
            // An arm that means nothing, balanced over the profiles.
            shots.add(new MeasuredShot(shot.name(), shot.record().with(RecordField.ARM, i / 2 % 2 == 0 ? "a" : "b"),
                    shot.measures()));
        }
        CurveOverlay overlay = CurveOverlay.of(shots, RecordFactor.ARM, AxisKind.FIRST_DRIP, CHANNELS);
        CurveDifference difference = CurveDifference.of(overlay, "a", "b", List.of(RecordFactor.PROFILE), 400)
                .orElseThrow();
        assertThat(difference.words())
                .isEqualTo("The curves of a and b cannot be told apart anywhere (family-wise 5 %).");
        CurveOverlay profiles = CurveOverlay.of(shots, RecordFactor.PROFILE, AxisKind.FIRST_DRIP, CHANNELS);
        assertThat(CurveDifference
                .of(profiles, DemoProfile.LOW_SIX.title(), DemoProfile.STRAIGHT_NINE.title(), List.of(), 400)
                .orElseThrow()
                .channels()
                .get(0)
                .stretches())
                .as("six bar is not nine")
                .isNotEmpty();
    }

    /** Its own curves lie at no distance; an even shift is the distance; the order is by the first strip. */
    @Test
    void theDistanceToAReferenceIsTheRootMeanSquare() {
        List<MeasuredShot> shots = SimulatedStudy.grinds(2, 31, 2.2, 2.4, 2.8);
        CurveOverlay overlay = CurveOverlay.of(shots, RecordFactor.GRIND, AxisKind.FIRST_DRIP,
                List.of(Channel.CUP_FLOW, Channel.CUP_MASS));
        ReferenceDistance distance = ReferenceDistance.of(overlay, shots.get(0)).orElseThrow();
        assertThat(distance.shots()).hasSize(5).noneMatch(one -> one.shot() == shots.get(0));
        assertThat(distance.shots().stream().map(one -> one.distances().get(Channel.CUP_FLOW)).toList()).isSorted();
        assertThat(distance.shots().get(0).shot().record().number(RecordField.GRIND)).as("its own repeat is nearest")
                .hasValue(2.2);
        assertThat(distance.shots().get(4).shot().record().number(RecordField.GRIND)).hasValue(2.8);
        UniformCurve own = overlay.groups().get(Channel.CUP_MASS).get(0).members().get(0).curve();
        UniformCurve other = overlay.groups().get(Channel.CUP_MASS).get(2).members().get(0).curve();
        MeasuredShot coarse = overlay.groups().get(Channel.CUP_MASS).get(2).members().get(0).shot();
        double squares = 0;
        int count = 0;
        for (double at = Math.max(own.start(), other.start()); at <= Math.min(own.end(), other.end()) + 1e-9;
                at += 0.1) {
            squares += Math.pow(own.at(at) - other.at(at), 2);
            count++;
        }
        double found = distance.shots()
                .stream()
                .filter(one -> one.shot() == coarse)
                .findFirst()
                .orElseThrow()
                .distances()
                .get(Channel.CUP_MASS);
        assertThat(found).isCloseTo(Math.sqrt(squares / count), within(0.02));
        assertThat(ReferenceDistance.of(overlay, Bench.shot("elsewhere", Bench.record(18, 40, 9)))).isEmpty();
    }

    @Test
    void tooFewShotsSaySo() {
        CurveOverlay three = CurveOverlay.of(SimulatedStudy.grinds(3, 2, 2.0, 2.8), RecordFactor.GRIND,
                AxisKind.FIRST_DRIP, CHANNELS);
        CurveDifference difference = CurveDifference.of(three, "2", "2.8", List.of(), 200).orElseThrow();
        assertThat(difference.possible()).isFalse();
        assertThat(difference.words()).startsWith("Too few shots of 2 and 2.8");
        assertThat(CurveDifference.of(CurveOverlay.of(SimulatedStudy.grinds(1, 2, 2.0, 2.8), RecordFactor.GRIND,
                AxisKind.FIRST_DRIP, CHANNELS), "2", "2.8", List.of(), 200)).isEmpty();
    }

    /**
     * Grind is read off each shot's own curve: a shot stopped late takes longer to fill the cup, not to reach the
     * common mass.
     */
    @Test
    void onEqualBeverageMassTimesAreReadOffTheCurves() {
        List<MeasuredShot> shots = new ArrayList<>(SimulatedStudy.grinds(4, 21, 2.4));
        for (int i = 0; i < 4; i++) {
            MeasuredShot late = SimulatedStudy.shot("late" + i, 2.4, 93, DemoProfile.STRAIGHT_NINE, 44, 90 + i);
            shots.add(new MeasuredShot(late.name(), late.record().with(RecordField.ARM, "late"), late.measures()));
        }
        List<MeasuredShot> arms = shots.stream()
                .map(shot -> shot.record().has(RecordField.ARM) ? shot
                        : new MeasuredShot(shot.name(), shot.record().with(RecordField.ARM, "usual"), shot.measures()))
                .toList();
        Response time = StandardResponse.TIME_PUMP_ON_TO_PUMP_OFF;
        Question question = Question.of(List.of(Variable.of(RecordFactor.ARM)),
                List.of(time, StandardResponse.FIRST_DRIP));
        Effect asCame = Comparison.of(question, arms).answers().get(0).effects().get(0);
        Comparison equal = Comparison.of(question.on(ComparisonBasis.EQUAL_BEVERAGE_MASS), arms);
        assertThat(asCame.paths()).as("later stop, longer shot").singleElement().satisfies(path -> {
            assertThat(path.set()).as("nobody knows a target").isTrue();
            assertThat(path.total().value()).isGreaterThan(2);
            assertThat(path.through().value()).isGreaterThan(2);
        });
        assertThat(asCame.estimate().orElseThrow().value()).as("and nothing is left").isCloseTo(0, within(0.8));
        assertThat(equal.answers().get(0).effects().get(0).estimate().orElseThrow().value()).isCloseTo(0, within(0.8));
        assertThat(equal.answers().get(0).effects()).as("no covariate: the curve itself tells").hasSize(1);
        assertThat(equal.answers().get(1).effects()).as("the first drip came before the mass").hasSize(1);
        assertThat(equal.answers().get(0).model()).contains("Read off each shot's own curve at");
        Comparison cup = Comparison
                .of(Question.of(List.of(Variable.of(RecordFactor.ARM)), List.of((Response) StandardResponse.BEVERAGE))
                        .on(ComparisonBasis.EQUAL_TIME), arms);
        assertThat(cup.answers().get(0).effects().get(0).verdict()).as("after the same time the cups are alike")
                .isNotInstanceOf(Verdict.Differs.class);
    }
}
