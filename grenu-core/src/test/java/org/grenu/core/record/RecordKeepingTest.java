package org.grenu.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.quantity.Unit;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.quantity.Measured;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecordKeepingTest {

    private static final ShotRecord BEFORE = DemoStudy.shots().get(0).shot().record();

    @Test
    void whatWasSetUpOtherwiseIsNamedAndWhatCameOfItIsNot() {
        ShotRecord now = BEFORE.with(RecordField.GRIND, 2.6)
                .with(RecordField.DOSE, "18.2")
                .with(RecordField.READINGS, "9")
                .with(RecordField.NOTE, "sweet")
                .with(RecordField.BED_DEPTH, 14);
        assertThat(changed(BEFORE, now)).containsExactly(new SetUp.Changed("grind", "Grind", "", "2.4", "2.6"));
        assertThat(changed(BEFORE, now.with(RecordField.GRIND, "")))
                .as("an unknown setting is not known to have changed")
                .isEmpty();
    }

    private static List<SetUp.Changed> changed(ShotRecord before, ShotRecord now) {
        return SetUp.changed(before, Masses.of(before, Optional.empty()), now, Masses.of(now, Optional.empty()));
    }

    /** A dose up by 8 and a beverage by 14 per cent are no repeat at another grind. */
    @Test
    void doseAndBeverageAsTheyCameOutAndTheUsersOwnEntriesAreChangesToo() {
        ShotRecord before = BEFORE.with(RecordField.DOSE, "18")
                .with(RecordField.BEVERAGE, "36")
                .withExtra("screen", "old");
        ShotRecord now = before.with(RecordField.GRIND, 2.6)
                .with(RecordField.DOSE, "19.4")
                .with(RecordField.BEVERAGE, "41")
                .with(RecordField.PREPARATION, "tapped")
                .withExtra("screen", "new");
        assertThat(changed(before.with(RecordField.PREPARATION, "stirred"), now)).extracting(SetUp.Changed::title)
                .containsExactlyInAnyOrder("Grind", "Dose", "Beverage mass", "Preparation", "screen");
    }

    @Test
    void onlyWhatIsUnknownIsTakenOver() {
        ShotRecord bare = ShotRecord.EMPTY.with(RecordField.GRIND, 3.0).with(RecordField.DOSE, 18.0);
        List<RecordEdit> edits = SetUp.takenOver(BEFORE, bare);
        ShotRecord filled = bare;
        for (RecordEdit edit : edits) {
            filled = edit.apply(filled);
        }
        assertThat(filled.number(RecordField.GRIND)).hasValue(3.0);
        assertThat(filled.text(RecordField.COFFEE)).isEqualTo(BEFORE.text(RecordField.COFFEE));
        assertThat(filled.profileSteps()).isEqualTo(BEFORE.profileSteps());
        assertThat(filled.has(RecordField.READINGS)).isFalse();
        assertThat(filled.has(RecordField.PULLED_AT)).isFalse();
        assertThat(SetUp.takenOver(BEFORE, filled)).isEmpty();
    }

    @Test
    void completenessCountsWhatIsKnown() {
        assertThat(Completeness.of(ShotRecord.EMPTY).known()).isZero();
        Completeness demo = Completeness.of(BEFORE);
        assertThat(demo.known() + demo.missing().size()).isEqualTo(demo.counted());
        assertThat(demo.missing()).contains(RecordField.TASTE).doesNotContain(RecordField.DOSE);
        assertThat(Completeness.of(BEFORE.with(RecordField.DOSE, "")).next()).hasValue(RecordField.DOSE);
        assertThat(Completeness.of(BEFORE.with(RecordField.TASTE, "sweet")).known()).isEqualTo(demo.known() + 1);
    }

    @Test
    void aShotMayBeInSeveralStudiesWithAnArmInEach() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.STUDY, "Chilling; Pressure and flow;")
                .with(RecordField.ARM, "Chilling: treated; Pressure and flow: even");
        assertThat(record.studies()).containsExactly("Chilling", "Pressure and flow");
        assertThat(record.armIn("Pressure and flow")).hasValue("even");
        assertThat(record.armIn("Other")).isEmpty();
        assertThat(record.with(RecordField.ARM, "control").armIn("Chilling")).hasValue("control");
    }

    @Test
    void repeatsOfARecipeGiveTheSpreadBetweenShots() {
        SameRecipe recipe = SameRecipe.of(BEFORE);
        Stream<SameRecipe.StrengthOf> shots = Stream.of(9.0, 9.2, 9.4)
                .map(strength -> new SameRecipe.StrengthOf(BEFORE, Optional.of(Measured.exact(strength))));
        Stream<SameRecipe.StrengthOf> others = Stream.of(
                new SameRecipe.StrengthOf(BEFORE.with(RecordField.GRIND, 9.0), Optional.of(Measured.exact(3))),
                new SameRecipe.StrengthOf(BEFORE.with(RecordField.FAULT, "choked"), Optional.of(Measured.exact(30))),
                new SameRecipe.StrengthOf(BEFORE, Optional.empty()));
        assertThat(recipe.strengthSpread(Stream.concat(shots, others)).orElseThrow()).isCloseTo(0.2, within(1e-12));
        assertThat(recipe.strengthSpread(Stream.of(new SameRecipe.StrengthOf(BEFORE, Optional.of(Measured.exact(9))))))
                .isEqualTo(OptionalDouble.empty());
    }

    /**
     * Handbook §14: 400 mg a day; an 18 g dose is taken for 194 mg (1.2 % of it, nine tenths in the cup; common
     * practice, no source).
     */
    @Test
    void theCaffeineTallyIsAnEstimateFromDoses() {
        ShotRecord shot = ShotRecord.EMPTY.with(RecordField.DOSE, 18.0);
        assertThat(Caffeine.milligrams(List.of(shot, ShotRecord.EMPTY))).isCloseTo(194.4, within(1e-9));
        assertThat(Caffeine.milligrams(List.of(shot, shot, shot))).isGreaterThan(Caffeine.A_DAY);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|',
            value = {"coffee:\"lot heron 14\" | true", "coffee:heron | true", "coffee:\"heron lot\" | false",
                    "-coffee:heron | false", "-siskin | true",
                    "grind:2.2-2.6 -grind:2.5 | true", "unknown:taste | true", "unknown:coffee | false",
                    "coffee:\"lot her | true", "- | false", "\"\" | true"})
    void filtersKnowQuotesAndMinus(String typed, boolean passes) {
        ShotFilter.Subject subject = new ShotFilter.Subject() {
            @Override
            public String words() {
                return "39 lot heron 14";
            }

            @Override
            public OptionalDouble number(String name) {
                return name.equals("grind") ? OptionalDouble.of(2.4) : OptionalDouble.empty();
            }

            @Override
            public Optional<String> text(String name) {
                return name.equals("coffee") ? Optional.of("Lot Heron 14") : Optional.empty();
            }
        };
        assertThat(ShotFilter.parse(typed).matches(subject)).isEqualTo(passes);
    }

    /** NIST SP 811: 9 bar are 130.53 psi, 93 °C are 199.4 °F. */
    @ParameterizedTest
    @CsvSource(delimiter = '|',
            value = {"temp>199 | true", "temp>200 | false", "temp>92c | true", "temp:199.4 | true", "temp:93 | false",
                    "temp:93°C | true", "temp:198-200 | true", "temp:92–93.5c | true", "temp:194-198 | false",
                    "peak<131 | true", "peak:130.53 | true", "peak<9.5bar | true", "peak>=901kPa | false",
                    "temp>92ml | false", "-temp>200 | true"})
    void aNumberInAFilterIsMeantInTheUnitBehindItOrTheOneThatIsShown(String typed, boolean passes) {
        ShotFilter.Subject subject = new ShotFilter.Subject() {
            @Override
            public String words() {
                return "39";
            }

            @Override
            public OptionalDouble number(String name) {
                return OptionalDouble.of(name.equals("temp") ? 93 : 9);
            }

            @Override
            public Optional<String> text(String name) {
                return Optional.empty();
            }
        };
        FilterUnits american = units(new DisplayUnits(Unit.FAHRENHEIT, Unit.PSI));
        assertThat(ShotFilter.parse(typed, american).matches(subject)).isEqualTo(passes);
        assertThat(ShotFilter.parse(ShotFilter.withUnits(typed, american), units(DisplayUnits.CANONICAL))
                .matches(subject)).as("kept with its units and read in others").isEqualTo(passes);
    }

    @Test
    void aSearchIsKeptWithTheUnitsThatItWasTypedIn() {
        FilterUnits american = units(new DisplayUnits(Unit.FAHRENHEIT, Unit.PSI));
        String kept = ShotFilter.withUnits("temp>199 coffee:\"Lot 5\" -peak:120-135 grind:2.4 ramp", american);
        assertThat(kept).isEqualTo("temp>199°F coffee:\"Lot 5\" -peak:120-135psi grind:2.4 ramp");
        assertThat(ShotFilter.withUnits(kept, units(DisplayUnits.CANONICAL))).isEqualTo(kept);
    }

    private static FilterUnits units(DisplayUnits shown) {
        return new FilterUnits(name -> name.equals("temp") ? "°C" : name.equals("peak") ? "bar" : "", shown);
    }
}
