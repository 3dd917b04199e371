package org.grenu.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.curve.Channel;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is held equal, and how it is read off the shots' own curves. */
class MatchedBasisTest {

    private static final List<MeasuredShot> SHOTS = SimulatedStudy.grinds(2, 5, 2.2, 2.4, 2.6);

    @Test
    void asSetNothingIsHeldAndNothingIsReadOff() {
        MatchedBasis ground = MatchedBasis.of(ComparisonBasis.EQUAL_SETTING, SHOTS);
        assertThat(ground.at()).isNaN();
        for (StandardResponse response : StandardResponse.values()) {
            assertThat(ground.offTheCurve(response)).isFalse();
            assertThat(ground.covariate(response)).isEmpty();
            assertThat(ground.value(response, SHOTS.get(0))).isEqualTo(response.of(SHOTS.get(0)));
        }
    }

    /**
     * The common mass is the least of all, so that every curve reaches it; what is read there lies before each
     * shot's end.
     */
    @Test
    void atEqualBeverageMassEveryCurveReachesTheCommonMass() {
        MatchedBasis ground = MatchedBasis.of(ComparisonBasis.EQUAL_BEVERAGE_MASS, SHOTS);
        assertThat(ground.at()).isEqualTo(SHOTS.stream()
                .flatMap(shot -> StandardResponse.BEVERAGE.of(shot).stream())
                .mapToDouble(Measured::value)
                .min()
                .orElseThrow());
        for (MeasuredShot shot : SHOTS) {
            double seconds = ground.value(StandardResponse.TIME_FIRST_DRIP_TO_LAST_DRIP, shot).orElseThrow().value();
            double drip = shot.measures().curve().times().firstDrip().orElseThrow().seconds();
            double there = shot.measures().curve().find(Channel.CUP_MASS).orElseThrow().at(drip + seconds);
            assertThat(there).as("shot %s", shot.name()).isCloseTo(ground.at(), within(0.4));
            double fromPump = ground.value(StandardResponse.TIME_PUMP_ON_TO_LAST_DRIP, shot).orElseThrow().value();
            double on = shot.measures().curve().times().pumpOn().orElseThrow().seconds();
            assertThat(fromPump - seconds).isCloseTo(drip - on, within(1e-9));
        }
        assertThat(ground.covariate(StandardResponse.STRENGTH)).map(Variable::key).contains("beverage");
        assertThat(ground.covariate(StandardResponse.BEVERAGE)).as("not on itself").isEmpty();
        assertThat(ground.covariate(StandardResponse.PEAK_RESISTANCE)).as("it came before").isEmpty();
        assertThat(
                ground.value(StandardResponse.TIME_PUMP_ON_TO_PUMP_OFF, Bench.shot("silent", Bench.record(18, 40, 9))))
                .as("no curve, no time")
                .isEmpty();
    }

    @Test
    void atEqualTimeTheCupIsReadAndTheTimeIsTheCovariate() {
        MatchedBasis ground = MatchedBasis.of(ComparisonBasis.EQUAL_TIME, SHOTS);
        for (MeasuredShot shot : SHOTS) {
            double grams = ground.value(StandardResponse.BEVERAGE, shot).orElseThrow().value();
            assertThat(grams).isLessThanOrEqualTo(StandardResponse.BEVERAGE.of(shot).orElseThrow().value() + 0.3);
            double on = shot.measures().curve().times().pumpOn().orElseThrow().seconds();
            assertThat(grams).isCloseTo(
                    shot.measures().curve().find(Channel.CUP_MASS).orElseThrow().at(on + ground.at()), within(0.4));
        }
        assertThat(ground.covariate(StandardResponse.EY_AS_DOSED)).map(Variable::key)
                .contains("time_pump_on_to_pump_off");
        assertThat(ground.covariate(StandardResponse.TIME_FIRST_DRIP_TO_PUMP_OFF)).as("a time does not explain a time")
                .isEmpty();
    }

    @Test
    void atEqualResistanceThePeakIsTheCovariate() {
        MatchedBasis ground = MatchedBasis.of(ComparisonBasis.EQUAL_RESISTANCE, SHOTS);
        assertThat(ground.covariate(StandardResponse.FIRST_DRIP)).map(Variable::key).contains("peak_resistance");
        Comparison comparison = Comparison
                .of(Question.of(List.of(Variable.of(RecordFactor.PROFILE)), List.of(StandardResponse.STRENGTH))
                        .on(ComparisonBasis.EQUAL_RESISTANCE), profiles());
        assertThat(comparison.sentence().headline()).contains("at equal resistance");
        assertThat(comparison.answers().get(0).effects()).extracting(effect -> effect.variable().key())
                .containsExactly("profile", "peak_resistance");
    }

    private static List<MeasuredShot> profiles() {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            shots.add(SimulatedStudy.shot("p" + i, 2.2 + 0.1 * (i % 5), 93,
                    i % 2 == 0 ? DemoProfile.STRAIGHT_NINE : DemoProfile.LOW_SIX, 38, 70 + i));
        }
        return shots;
    }

    @ParameterizedTest
    @EnumSource(ComparisonBasis.class)
    void everyBasisIsFoundAndNamed(ComparisonBasis basis) {
        assertThat(ComparisonBasis.find(basis.key())).contains(basis);
        assertThat(basis.words()).startsWith("at equal ");
        assertThat(ComparisonBasis.find("equal-luck")).isEmpty();
        assertThat(MatchedBasis.of(basis, List.of()).at()).isNaN();
    }

    /** Doubling every difference doubles every effect and its interval; moving everything moves nothing. */
    @ParameterizedTest
    @Seeds(25)
    void effectsFollowTheDataInProportion(Draws any) {
        int seed = any.integer(1, 5000);
        double factor = any.number(0.5, 3);
        Random random = new Random(seed);
        List<MeasuredShot> plain = new ArrayList<>();
        List<MeasuredShot> stretched = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            double strength = 9 + 0.2 * (i % 2) + 0.1 * random.nextGaussian();
            var record = Bench.record(18, 40, 9).with(RecordField.ARM, i % 2 == 0 ? "a" : "b");
            // As an own number, which carries no uncertainty of its own that would weigh.
            plain.add(Bench.shot("s" + i, record.withExtra("score", Double.toString(strength))));
            stretched.add(Bench.shot("s" + i, record.withExtra("score", Double.toString(factor * strength + 5))));
        }
        Effect one = score(plain);
        Effect other = score(stretched);
        assertThat(other.estimate().orElseThrow().value()).isCloseTo(factor * one.estimate().orElseThrow().value(),
                within(1e-7));
        assertThat(other.halfWidth()).isCloseTo(factor * one.halfWidth(), within(1e-7));
        assertThat(other.p()).isCloseTo(one.p(), within(1e-7));
        assertThat(other.rankP().orElseThrow()).isEqualTo(one.rankP().orElseThrow());
    }

    private static Effect score(List<MeasuredShot> shots) {
        Response response = new OwnResponse(
                OwnFactor.of("score", shots.stream().map(MeasuredShot::record).toList()).orElseThrow(), 0);
        return Comparison
                .of(Question.of(List.of(Variable.of(RecordFactor.ARM)), List.of(response)).inBlocks(Optional.empty()),
                        shots)
                .answers()
                .get(0)
                .effects()
                .get(0);
    }
}
