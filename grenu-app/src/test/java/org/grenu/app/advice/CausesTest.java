package org.grenu.app.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.grenu.app.advice.Notebook.card;

import java.util.List;
import java.util.Optional;
import org.grenu.app.advice.Causes.Cause;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** A cause that was put in comes out first; what works the other way is held against it, and none stands alone. */
class CausesTest {

    private static final Aim AIM = Aim.ofTime(new AimRange(26, 30));

    private static Notebook settled() {
        Notebook notebook = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"));
        for (double grind : new double[] {2.7, 2.6, 2.5, 2.4, 2.4, 2.4}) {
            notebook.off(grind == 2.5 ? 0.02 : -0.01, grind, RecordField.DOSE_TARGET, "18");
        }
        return notebook;
    }

    private static List<Cause> causes(Notebook notebook) {
        Causes found = Causes.of(notebook.given(AIM)).orElseThrow();
        assertThat(found.causes().stream().mapToDouble(Cause::share).sum()).isCloseTo(1, within(1e-9));
        assertThat(found.causes()).allSatisfy(cause -> assertThat(cause.check()).isNotBlank());
        return found.causes();
    }

    @Test
    void whatMeetsItsTargetHasNoCauses() {
        assertThat(Causes.of(settled().given(AIM))).isEmpty();
    }

    /** Nobody has dialled the coffee in: that is what made the first shot miss, and not its spread. */
    @Test
    void aSettingThatWasNeverDialledInIsTheFirstCause() {
        Notebook first = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"))
                .pulled(2.9);
        Cause likeliest = causes(first).get(0);
        assertThat(likeliest.title()).isEqualTo("A setting that was never dialled in");
        assertThat(likeliest.share()).isGreaterThan(0.9);
    }

    /** Half a gram too much, with the time that the law gives it: more likely than chance, whatever the draw. */
    @ParameterizedTest
    @Seeds(20)
    void aDoseThatWasOffIsFoundFirst(Draws any) {
        double grams = any.number(1.0, 1.8);
        List<Cause> causes = causes(settled().off(any.number(-0.02, 0.02), 2.4, RecordField.DOSE,
                String.format(java.util.Locale.ROOT, "%.1f", 18 + grams), RecordField.DOSE_TARGET, "18"));
        assertThat(causes.get(0).title()).startsWith("Dose off by +");
        assertThat(causes.get(0).against()).isEmpty();
        assertThat(causes).extracting(Cause::title).contains("The spread of a shot");
    }

    /** The same dose off the other way than the time: it stands there, with what speaks against it. */
    @Test
    void aDoseThatWorksTheOtherWayIsHeldAgainst() {
        List<Cause> causes = causes(settled().pulled(2.4, RecordField.DOSE, "17.4", RecordField.DOSE_TARGET, "18",
                RecordField.PUMP_OFF, "34"));
        Cause dose = causes.stream().filter(cause -> cause.title().startsWith("Dose off by")).findFirst().orElseThrow();
        assertThat(dose.against()).isEqualTo("it works the other way");
        assertThat(dose.share()).as("what is surely lighter does not make it slower").isLessThan(0.1);
        assertThat(causes.get(0).title()).isEqualTo("The spread of a shot");
    }

    /** After a step of four notches without a purge a part of the old grounds is still in the dose. */
    @Test
    void groundsFromBeforeAreACauseWhereNothingWasPurged() {
        Notebook coarse = settled().pulled(2.8, RecordField.DOSE_TARGET, "18");
        List<Cause> unpurged = causes(coarse.off(-0.13, 2.4, RecordField.PURGE, "", RecordField.DOSE_TARGET, "18"));
        assertThat(unpurged).extracting(Cause::title).contains("Ground before in the dose");
        List<Cause> purged = causes(settled().pulled(2.8, RecordField.DOSE_TARGET, "18")
                .off(-0.13, 2.4,
                        RecordField.DOSE_TARGET, "18"));
        assertThat(purged).extracting(Cause::title).doesNotContain("Ground before in the dose");
    }

    @Test
    void aColdMachineAndABasketThatDoesNotFitAreNamedWithTheirCheck() {
        List<Cause> causes = causes(settled().off(-0.15, 2.4, RecordField.MINUTES_ON, "6", RecordField.WARM_UP, "25",
                RecordField.BASKET_FROM, "14", RecordField.BASKET_TO, "16"));
        assertThat(causes).filteredOn(cause -> cause.title().equals("The machine was not warm"))
                .singleElement()
                .satisfies(cause -> assertThat(cause.speaks()).isEqualTo("6 min on, 25 min to warm up"))
                .satisfies(cause -> assertThat(cause.check()).isEqualTo("Pull it once more, warm."));
        assertThat(causes).filteredOn(cause -> cause.title().equals("The basket"))
                .singleElement()
                .satisfies(cause -> assertThat(cause.speaks()).isEqualTo("18.0 g in a basket for 14–16 g"));
    }

    /** A fresh bag may take longer than the one before: it is named as what it is. */
    @Test
    void anotherAgeIsNamedByItsDays() {
        Notebook older = settled().pulled(2.4, RecordField.ROASTED_ON, "2026-04-20");
        List<Cause> causes = causes(older.off(0.12, 2.4, RecordField.ROASTED_ON, "2026-05-01"));
        assertThat(causes).filteredOn(cause -> cause.title().equals("The coffee is 11 days younger"))
                .singleElement()
                .satisfies(cause -> assertThat(cause.check()).isEqualTo("Compare with one as old as before at this "
                        + "setting."))
                .satisfies(cause -> assertThat(cause.against()).as("younger coffee takes longer").isEmpty());
    }

    /** What was to be expected there is no accident: the setting is the cause. */
    @Test
    void aSettingThatCouldNotMeetItIsTheCause() {
        assertThat(causes(settled().pulled(2.8)).get(0).title()).isEqualTo("The setting itself");
    }

    /** A shot in its time may still miss its extraction; then the reading itself is among the causes. */
    @Test
    void anExtractionIsDoubtedWithItsReading() {
        Notebook notebook = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"));
        for (int i = 0; i < 5; i++) {
            notebook.off(i % 2 == 0 ? 0.01 : -0.01, 2.4, RecordField.READINGS,
                    i % 2 == 0 ? "10.0; 10.02" : "10.05; 10.0",
                    RecordField.ZERO, "0");
        }
        notebook.pulled(2.4, RecordField.READINGS, "11.4");
        Causes found = Causes.of(notebook.given(new Aim(new AimRange(26, 30), Optional.of(new AimRange(19, 21)),
                Optional.empty(), java.util.Map.of()))).orElseThrow();
        assertThat(found.ofTime()).isFalse();
        assertThat(found.off()).isPositive();
        assertThat(found.causes()).filteredOn(cause -> cause.title().equals("The strength reading"))
                .singleElement()
                .satisfies(cause -> assertThat(cause.speaks()).isEqualTo("read once; the zero was not checked"));
    }
}
