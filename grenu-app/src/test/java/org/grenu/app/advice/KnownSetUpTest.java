package org.grenu.app.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.grenu.app.advice.Notebook.card;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.entry.Entries;
import org.grenu.core.learn.Slope;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What can be set is what the shelf says, then what the log shows; whatever is neither is said to be assumed. */
class KnownSetUpTest {

    private static KnownSetUp known(Notebook notebook) {
        return KnownSetUp
                .of(notebook.shelf(), notebook.shots(), notebook.newest(), OptionalDouble.empty(), Optional.empty())
                .orElseThrow();
    }

    private static Notebook two() {
        return new Notebook().pulled(2.4, RecordField.MACHINE, "Rig N", RecordField.SITE, "Upper room")
                .pulled(2.2, RecordField.MACHINE, "Rig N", RecordField.SITE, "Upper room");
    }

    private static Notebook withGrinder(Entries card) {
        return two().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card);
    }

    /** One notch of the shelf; else the smallest difference in the log; else, stepless, a share of its range. */
    @ParameterizedTest
    @CsvSource({"0.1, 0.1", "'', 0.2"})
    void theNotchIsTheShelfsOrTheLogs(String step, double notch) {
        KnownSetUp known = known(withGrinder(step.isEmpty() ? Entries.NONE : card(ShelfField.STEP, step)));
        assertThat(known.dial().notch()).isCloseTo(notch, within(1e-9));
        assertThat(String.join(";", known.assumed()).contains("the smallest difference of the settings in the log"))
                .isEqualTo(step.isEmpty());
    }

    @Test
    void aNotchThatNothingTellsIsAskedFor() {
        Notebook one = new Notebook().pulled(2.4);
        assertThat(KnownSetUp.of(one.shelf(), one.shots(), one.newest(), OptionalDouble.empty(), Optional.empty()))
                .isEmpty();
        assertThat(KnownSetUp.of(one.shelf(), one.shots(), one.newest(), OptionalDouble.of(0.5), Optional.empty())
                .orElseThrow()
                .dial()
                .notch()).isEqualTo(0.5);
    }

    /** Which way is finer follows from the ends, which bound every proposal. */
    @Test
    void theEndsOfTheGrinderSayWhichWayIsFiner() {
        KnownSetUp up = known(withGrinder(card(ShelfField.STEP, "1", ShelfField.FINEST, "40", ShelfField.COARSEST,
                "1")));
        assertThat(up.dial().finer(30)).isGreaterThan(up.dial().finer(20));
        assertThat(up.reach().grind().holds(up.dial().finer(41))).isFalse();
        assertThat(up.reach().grind().holds(up.dial().finer(40))).isTrue();
        assertThat(up.assumed()).noneMatch(words -> words.contains("finer"));
        assertThat(known(two()).assumed()).contains("a smaller number is finer");
    }

    /** A machine that says what it controls is believed, whatever the log shows; else the log is. */
    @ParameterizedTest
    @CsvSource({"'pressure, temperature', 93, 93, true", "pressure only, 90, 96, false", "'', 90, 96, true",
            "'', 93, 93, false"})
    void theTemperatureCanBeSetWhereTheMachineOrTheLogSaysSo(String controls, String first, String second,
            boolean can) {
        Notebook notebook = new Notebook()
                .pulled(2.4, RecordField.MACHINE, "Rig N", RecordField.TEMPERATURE, first)
                .pulled(2.2, RecordField.MACHINE, "Rig N", RecordField.TEMPERATURE, second)
                .onShelf(ShelfKind.MACHINE, "Rig N",
                        controls.isEmpty() ? Entries.NONE : card(ShelfField.CONTROLS, controls));
        KnownSetUp known = known(notebook);
        assertThat(known.reach().others().containsKey(Slope.TEMPERATURE)).isEqualTo(can);
        assertThat(known.assumed().stream().anyMatch(words -> words.startsWith("the temperature")))
                .isEqualTo(controls.isEmpty());
    }

    /** Handbook §11: water boils at 93.32 °C at 2000 m; nothing is proposed that would boil. */
    @Test
    void nothingHotterThanTheSiteBoilsIsInReach() {
        KnownSetUp known = known(two().onShelf(ShelfKind.MACHINE, "Rig N", card(ShelfField.CONTROLS, "temperature"))
                .onShelf(ShelfKind.SITE, "Upper room", card(ShelfField.ALTITUDE, "2000")));
        assertThat(known.reach().others().get(Slope.TEMPERATURE).high()).isLessThanOrEqualTo(93.32);
    }

    @Test
    void theDoseMovesWithinItsBasketOnly() {
        Notebook basket = new Notebook().pulled(2.4, RecordField.BASKET, "18 g ridged")
                .pulled(2.2, RecordField.BASKET, "18 g ridged")
                .onShelf(ShelfKind.BASKET, "18 g ridged",
                        card(ShelfField.CAPACITY_FROM, "17", ShelfField.CAPACITY_TO, "19"));
        assertThat(known(basket).reach().others().get(Slope.DOSE))
                .satisfies(range -> assertThat(range.low()).isEqualTo(17))
                .satisfies(range -> assertThat(range.high()).isEqualTo(19));
        assertThat(known(two()).reach().others()).doesNotContainKey(Slope.DOSE);
        assertThat(known(two()).assumed())
                .contains("the dose stays, as no basket on the shelf says what it is made for");
    }

    /** A change of grind costs what is usually purged; a bag holds what was not pulled of it. */
    @Test
    void coffeeIsCounted() {
        Notebook notebook = new Notebook().pulled(2.4, RecordField.BAG, "Wren bag", RecordField.PURGE, "2.5")
                .pulled(2.2, RecordField.BAG, "Wren bag", RecordField.PURGE, "2.5")
                .onShelf(ShelfKind.BAG, "Wren bag", card(ShelfField.BAG_COFFEE, Notebook.COFFEE,
                        ShelfField.NET_MASS, "250"));
        KnownSetUp known = known(notebook);
        assertThat(known.reach().purge()).isEqualTo(2.5);
        assertThat(known.reach().left().orElseThrow()).isCloseTo(250 - 2 * 18 - 2 * 2.5, within(1e-9));
    }
}
