package org.grenu.formats.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.recipe.KeptWindows;
import org.grenu.core.recipe.Proposed;
import org.grenu.core.recipe.Proposed.Source;
import org.grenu.core.recipe.StartRecipe;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.shelf.ShelfField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** What a coffee is begun with, by the shipped schools. */
class StartRecipeTest {

    private static final ShotRecord DARK = ShotRecord.EMPTY.with(RecordField.COFFEE, "Lot Marten 22")
            .with(RecordField.GRINDER, "G-burr A")
            .with(RecordField.ROAST_LEVEL, "dark")
            .with(RecordField.PROCESS, "blend")
            .with(RecordField.BASKET_FROM, 17)
            .with(RecordField.BASKET_TO, 19);

    private static RulePack pack(String id) {
        return ShippedPacks.all().stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }

    private static StartRecipe start(ShotRecord setUp, List<MeasuredShot> shots, String... schools) {
        List<RulePack> speaking = new ArrayList<>();
        for (String school : schools) {
            speaking.add(pack(school));
        }
        return StartRecipe.of(new StartRecipe.Asked(setUp, shots, speaking, ShippedPacks.all(), List.of()));
    }

    private static MeasuredShot shot(ShotRecord record) {
        return new MeasuredShot("1", record, ShotMeasures.of(new Shot(record, ShotLog.NONE)));
    }

    private static double number(StartRecipe recipe, Field field) {
        return DecimalText.parse(recipe.of(field).orElseThrow().value()).orElseThrow();
    }

    @Test
    void theSchoolThatSpeaksDecidesAndTheOtherIsShown() {
        StartRecipe recipe = start(DARK, List.of(), "dose_dark_less", "time_by_roast", "temperature_extraction");
        assertThat(number(recipe, RecordField.DOSE_TARGET)).isEqualTo(17.5);
        assertThat(recipe.of(RecordField.DOSE_TARGET).orElseThrow().others()).extracting(Proposed.Other::school)
                .contains("dose and roast: dark wants more, light less")
                .doesNotContain("dose and roast: dark wants less, light more");
        assertThat(number(recipe, RecordField.BEVERAGE_TARGET)).isEqualTo(26);
        assertThat(number(recipe, ShelfField.AIM_TIME_TO)).isEqualTo(25);
        assertThat(number(recipe, RecordField.TEMPERATURE)).isEqualTo(90);
        assertThat(recipe.of(RecordField.TEMPERATURE).orElseThrow().source()).isEqualTo(Source.SCHOOL);
        assertThat(recipe.of(RecordField.GRIND)).isEmpty();
        assertThat(recipe.warnings()).anySatisfy(words -> assertThat(words).startsWith("No shot on this grinder yet"));
    }

    /** Its own shots go before the schools, those of like coffees after its own. */
    @Test
    void theLibrarysOwnHistoryComesFirst() {
        ShotRecord like = DARK.with(RecordField.COFFEE, "another").with(RecordField.GRIND, 2.4);
        List<MeasuredShot> shots = new ArrayList<>(List.of(shot(like), shot(like.with(RecordField.GRIND, 2.6)),
                shot(like.with(RecordField.GRIND, 2.4)), shot(like.with(RecordField.GRIND, 9)
                        .with(
                                RecordField.FAULT, "wrong notch"))));
        Proposed grind = start(DARK, shots).of(RecordField.GRIND).orElseThrow();
        assertThat(grind.value()).isEqualTo("2.4");
        assertThat(grind.because()).isEqualTo("3 shots of blend dark coffees on this grinder had grind 2.5 ± 0.1");
        shots.add(shot(DARK.with(RecordField.GRIND, 2.0).with(RecordField.DOSE, 18.4)));
        StartRecipe own = start(DARK, shots, "dose_dark_less");
        assertThat(own.of(RecordField.GRIND).orElseThrow().because())
                .isEqualTo("1 shot of this coffee on this grinder had grind 2.0");
        assertThat(own.of(RecordField.DOSE_TARGET).orElseThrow().value()).isEqualTo("18.5");
        assertThat(own.of(RecordField.DOSE_TARGET).orElseThrow().source()).isEqualTo(Source.HISTORY);
    }

    @Test
    void nothingIsSetHotterThanWaterBoils() {
        StartRecipe high = start(DARK.with(RecordField.ALTITUDE, 2800).with(RecordField.ROAST_LEVEL, "light"),
                List.of(), "temperature_extraction");
        assertThat(number(high, RecordField.TEMPERATURE)).isEqualTo(90.5);
        assertThat(high.warnings()).anySatisfy(words -> assertThat(words).startsWith("Water boils at 90."));
    }

    /** 7–12 % and 18–22 % meet only from about 1:1.5 to 1:3.1 (handbook §3). */
    @ParameterizedTest
    @Seeds(40)
    void theWindowsHoldTogetherAtTheRatioOrItIsSaid(Draws any) {
        double dose = any.number(14, 21);
        double ratio = any.number(1, 4);
        ShotRecord known = DARK.with(RecordField.DOSE, dose).with(RecordField.BEVERAGE_TARGET, ratio * dose);
        StartRecipe recipe = start(DARK, List.of(shot(known)));
        double planned = number(recipe, RecordField.BEVERAGE_TARGET) / number(recipe, RecordField.DOSE_TARGET);
        assertThat(number(recipe, ShelfField.AIM_STRENGTH_FROM))
                .isCloseTo(number(recipe, ShelfField.AIM_YIELD_FROM) / planned, within(0.12));
        assertThat(number(recipe, ShelfField.AIM_STRENGTH_TO))
                .isCloseTo(number(recipe, ShelfField.AIM_YIELD_TO) / planned, within(0.12));
        boolean meet = planned > 1.5 && planned < 22 / 7.0;
        assertThat(recipe.warnings().stream().noneMatch(words -> words.startsWith("At 1:"))).isEqualTo(meet);
        if (meet) {
            assertThat(number(recipe, ShelfField.AIM_STRENGTH_FROM)).isGreaterThanOrEqualTo(6.9);
            assertThat(number(recipe, ShelfField.AIM_STRENGTH_TO)).isLessThanOrEqualTo(12.1);
        }
    }

    private static StartRecipe kept(ShotRecord setUp, KeptWindows... windows) {
        return StartRecipe.of(new StartRecipe.Asked(setUp, List.of(), ShippedPacks.chosen(), ShippedPacks.all(),
                List.of(windows)));
    }

    private static KeptWindows windows(String recipe, String coffee, String roast, String served, int from) {
        return new KeptWindows(recipe, Optional.of(roast), Entries.NONE.with(RecordField.COFFEE, coffee)
                .with(RecordField.SERVED, served)
                .with(ShelfField.AIM_TIME_FROM, Integer.toString(from))
                .with(ShelfField.AIM_TIME_TO, Integer.toString(from + 4))
                .with(ShelfField.AIM_YIELD_FROM, "19")
                .with(ShelfField.AIM_YIELD_TO, "20.5"));
    }

    /** Windows are kept by style: of the coffee itself, or else of another roasted as dark and served alike. */
    @Test
    void windowsOfTheSameStyleAreTheUsersOwn() {
        ShotRecord straight = DARK.with(RecordField.SERVED, "straight");
        KeptWindows style = windows("For dark", "Lot Wren 5", "Dark", "straight", 21);
        KeptWindows milk = windows("For milk", "Lot Wren 5", "dark", "milk", 31);
        StartRecipe like = kept(straight, milk, style);
        assertThat(number(like, ShelfField.AIM_TIME_FROM)).isEqualTo(21);
        assertThat(like.of(ShelfField.AIM_YIELD_TO).orElseThrow().because())
                .contains("your windows for the style straight, Dark roast (recipe “For dark”)");
        assertThat(number(like, ShelfField.AIM_YIELD_TO)).isEqualTo(20.5);
        StartRecipe own = kept(straight, style, windows("Mine", "Lot Marten 22", "dark", "straight", 24));
        assertThat(number(own, ShelfField.AIM_TIME_FROM)).isEqualTo(24);
        assertThat(kept(DARK.with(RecordField.ROAST_LEVEL, "light"), style).of(ShelfField.AIM_TIME_FROM)
                .orElseThrow()
                .source()).isNotEqualTo(Source.HISTORY);
    }

    /** A school that the user wrote decides like a shipped one. */
    @Test
    void aSchoolOfOnesOwnSaysWindowsAndPressure() {
        RulePack own = RulePack.parse("""
                pack own_1
                topic Own
                title low and slow
                start yield_pct
                take 20–23
                because we like it so
                start pressure_bar
                take 6
                because less channels
                """);
        StartRecipe recipe = StartRecipe.of(new StartRecipe.Asked(DARK, List.of(), List.of(own), ShippedPacks.all(),
                List.of()));
        assertThat(number(recipe, ShelfField.AIM_YIELD_TO)).isEqualTo(23);
        assertThat(recipe.of(ShelfField.AIM_YIELD_TO).orElseThrow().because())
                .contains("EY 20–23 % (own: low and slow)");
        assertThat(recipe.of(RecordField.PROFILE_STEPS).orElseThrow().value()).isEqualTo("main: pressure 6 ±0.5");
        assertThat(recipe.of(RecordField.PROFILE).orElseThrow().others()).extracting(Proposed.Other::value)
                .contains("9 bar");
    }
}
