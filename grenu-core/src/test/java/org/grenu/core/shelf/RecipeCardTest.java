package org.grenu.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Row;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;

class RecipeCardTest {

    private static final Shot SHOT = DemoStudy.shots().get(0).shot();
    private static final ShotMeasures MEASURES = ShotMeasures.of(SHOT);
    private static final Entries CARD = RecipeCard.of(1, SHOT.record(), MEASURES, TimeConvention.PUMP_ON_TO_PUMP_OFF);

    @Test
    void theCardHoldsTheConditionsAndWhatCameOfThem() {
        assertThat(CARD.number(RecordField.GRIND)).hasValue(2.4);
        assertThat(CARD.text(RecordField.WATER)).hasValue("Brew water 3");
        assertThat(CARD.text(RecordField.BASKET)).hasValue("18 g ridgeless");
        assertThat(CARD.number(RecordField.DOSE_TARGET)).hasValue(18);
        assertThat(CARD.number(ShelfField.FROM_SHOT)).hasValue(1);
        assertThat(CARD.text(ShelfField.CLOCK)).hasValue(TimeConvention.PUMP_ON_TO_PUMP_OFF.title());
        assertThat(CARD.number(ShelfField.YIELD_MEANT).orElseThrow())
                .isCloseTo(MEASURES.masses().brew().orElseThrow().asDosed().percent().value(), within(0.05));
        assertThat(CARD.number(ShelfField.TIME_MEANT).orElseThrow())
                .isCloseTo(TimeConvention.PUMP_ON_TO_PUMP_OFF.of(MEASURES.curve().times()).orElseThrow(), within(0.05));
    }

    @Test
    void theCorridorFollowsTheShotFromPumpOnToPumpOff() {
        List<Row> corridor = CARD.rows(ShelfField.PRESSURE_CORRIDOR);
        assertThat(corridor.get(0).needed(0)).isZero();
        double length = corridor.get(corridor.size() - 1).needed(0);
        assertThat(length).isCloseTo(CARD.number(ShelfField.TIME_MEANT).orElseThrow(), within(0.6));
        assertThat(corridor.get(corridor.size() / 2).needed(1)).as("a straight nine").isCloseTo(9, within(0.3));
    }

    @Test
    void aDoseThatWasNotMeantIsTakenAsItWas() {
        ShotRecord plain = SHOT.record().with(RecordField.DOSE_TARGET, "").with(RecordField.BEVERAGE_TARGET, "");
        Entries card = RecipeCard.of(1, plain, MEASURES, TimeConvention.PUMP_ON_TO_PUMP_OFF);
        assertThat(card.number(RecordField.DOSE_TARGET)).hasValue(18);
        assertThat(card.number(RecordField.BEVERAGE_TARGET)).isEqualTo(SHOT.record().number(RecordField.BEVERAGE));
    }

    @Test
    void aShotStartsFromTheCardWithoutLosingWhatItSays() {
        ShelfItem recipe = new ShelfItem(1, ShelfKind.RECIPE, "Heron, nine",
                List.of(new ShelfVersion(1, 1, Optional.empty(), "", Entries.NONE),
                        new ShelfVersion(2, 2, Optional.empty(), "", CARD)));
        ShotRecord started = ShotRecord.EMPTY.with(RecordField.GRIND, 3.0).with(RecordField.DOSE, 17.0);
        for (RecordEdit edit : RecipeCard.start(recipe, recipe.newest(), started)) {
            started = edit.apply(started);
        }
        assertThat(started.text(RecordField.RECIPE)).hasValue("Heron, nine v2");
        assertThat(started.number(RecordField.GRIND)).as("entered before").hasValue(3);
        assertThat(started.profileSteps()).isEqualTo(SHOT.record().profileSteps());
        assertThat(started.has(RecordField.READINGS)).isFalse();
        assertThat(RecipeCard.start(recipe, recipe.newest(), started)).isEmpty();
    }

    /** The curves that a shot was pulled by stand on its own clock, from its pump on; of the version that it names. */
    @Test
    void theCardsCurvesAreTheShotsReference() {
        Shelf shelf = new Shelf(List.of(new ShelfItem(1, ShelfKind.RECIPE, "Heron, nine",
                List.of(new ShelfVersion(1, 1, Optional.empty(), "", Entries.NONE),
                        new ShelfVersion(2, 2, Optional.empty(), "", CARD)))));
        Shot other = DemoStudy.shots().get(3).shot();
        CurveMeasures curve = ShotMeasures.of(other).curve();
        RecipeReference reference = RecipeReference
                .of(shelf, other.record().with(RecordField.RECIPE, "Heron, nine v2"), curve)
                .orElseThrow();
        UniformCurve pressure = reference.curves().get(Channel.PRESSURE);
        double on = curve.times().pumpOn().orElseThrow().seconds();
        double origin = MEASURES.curve().times().pumpOn().orElseThrow().seconds();
        UniformCurve pulled = MEASURES.curve().find(Channel.PRESSURE).orElseThrow();
        assertThat(pressure.start()).isCloseTo(on, within(1e-9));
        for (double after = 0; after < 22; after += 1.5) {
            assertThat(pressure.at(on + after)).isCloseTo(pulled.at(origin + after), within(0.15));
        }
        assertThat(reference.curves()).containsKey(Channel.CUP_FLOW);
        for (String without : List.of("Heron, nine v1", "Heron, nine v7", "Siskin")) {
            assertThat(RecipeReference.of(shelf, other.record().with(RecordField.RECIPE, without), curve)).isEmpty();
        }
    }
}
