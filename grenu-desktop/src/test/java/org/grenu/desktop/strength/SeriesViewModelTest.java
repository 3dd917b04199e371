package org.grenu.desktop.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.SeriesAdvice;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.entry.EntryViewModel;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What a series of readings comes to, with a clock that the test sets. */
class SeriesViewModelTest extends DeskFixture {

    private final Clock clock = mock(Clock.class);
    private SeriesViewModel series;

    @BeforeEach
    void beginAnew() {
        at(0);
        series = new SeriesViewModel(desk, clock);
        enter(RecordField.READINGS, "");
        enter(RecordField.ZERO, "0.01");
        enter(RecordField.REFRACTOMETER, "");
        enter(RecordField.SAMPLE_FILTERED, "yes");
        series.show();
    }

    private void at(double seconds) {
        when(clock.instant()).thenReturn(Instant.EPOCH.plusMillis(Math.round(1000 * seconds)));
    }

    private void enter(RecordField field, String text) {
        desk.enter(field, text);
        until(() -> open().written().equals(desk.latestRecord()));
    }

    private void read(String typed) {
        assertThat(series.newReading().enter(typed)).isEqualTo(EntryViewModel.Outcome.STORED);
        until(() -> open().written().readings().equals(desk.latestRecord().readings())
                && open().written().equals(desk.latestRecord()));
    }

    @Test
    void everyReadingKeepsItsTimeItsTemperaturesAndItsMethod() {
        series.sampleProperty().set("24,1");
        series.prismProperty().set("23.8");
        at(100);
        read("9.40");
        at(137.46);
        read("9,42");
        series.sampleProperty().set("");
        at(171);
        read("9.41");
        assertThat(open().written().readings()).extracting(Reading::text)
                .containsExactly("9.4@0/24.1/23.8/filtered", "9.42@37.5/24.1/23.8/filtered", "9.41@71/?/23.8/filtered");
        assertThat(series.strength().orElseThrow().text()).startsWith("9.40 ±");
        assertThat(series.details()).isEqualTo("3 readings · s 0.010 · zero 0.01 subtracted");
        assertThat(series.yield()).startsWith("EY ").endsWith(" % as dosed");
        assertThat(series.warnings()).isEmpty();
    }

    @Test
    void whatIsNoReadingIsRefusedAndNothingIsLost() {
        read("9.40");
        EntryViewModel fresh = series.newReading();
        assertThat(fresh.enter("strong")).isEqualTo(EntryViewModel.Outcome.REFUSED);
        assertThat(fresh.refusalProperty().get()).isEqualTo("“strong” is not a reading. Write it such as 9.41.");
        assertThat(fresh.enter("94")).as("no beverage is that strong").isEqualTo(EntryViewModel.Outcome.REFUSED);
        series.sampleProperty().set("warm");
        assertThat(series.newReading().enter("9.41")).isEqualTo(EntryViewModel.Outcome.REFUSED);
        assertThat(open().written().readings()).hasSize(1);
    }

    /** A correction keeps what else is known of the reading; taking it out leaves the others. */
    @Test
    void readingsAreCorrectedAndTakenOut() {
        at(0);
        read("9.40");
        at(30);
        read("9.90");
        at(60);
        read("9.41");
        series.reading(1).enter("9.39");
        until(() -> open().written().readings().get(1).value() == 9.39);
        assertThat(open().written().readings().get(1).seconds()).hasValue(30);
        assertThat(series.reading(1).shownProperty().get()).isEqualTo("9.39");
        series.remove(0);
        until(() -> open().written().readings().size() == 2);
        assertThat(open().written().readings()).extracting(Reading::value).containsExactly(9.39, 9.41);
        desk.undo();
        until(() -> open().written().readings().size() == 3);
    }

    @Test
    void aSeriesIsFilteredOrNot() {
        read("9.40");
        assertThat(series.chooseFiltered(false))
                .hasValueSatisfying(why -> assertThat(why).startsWith("This series has filtered readings."));
        assertThat(desk.latestRecord().flag(RecordField.SAMPLE_FILTERED)).isTrue();
        series.remove(0);
        until(() -> open().written().readings().isEmpty());
        assertThat(series.chooseFiltered(false)).isEmpty();
        until(() -> !open().written().flag(RecordField.SAMPLE_FILTERED));
        read("9.52");
        assertThat(open().written().readings().get(0).filtered()).hasValue(false);
    }

    /** Handbook §4: 2.000 g of beverage and 4.000 g of water read at 3.14 % stand for 9.42 %. */
    @Test
    void aDilutedSampleIsCalculatedBack() {
        enter(RecordField.ZERO, "0");
        enter(RecordField.DILUTION_BEVERAGE, "2");
        enter(RecordField.DILUTION_WATER, "4");
        read("3.14");
        assertThat(series.strength().orElseThrow().value()).startsWith("9.4");
        assertThat(series.series().strength().orElseThrow().value()).isCloseTo(9.42, within(1e-12));
        assertThat(series.details()).contains("diluted 3.00 times, calculated back");
    }

    @Test
    void degreesBrixAreTurnedIntoStrengthByTheInstrumentOnTheShelf() {
        desk.onShelf()
                .add(ShelfKind.REFRACTOMETER, "R-5",
                        Entries.NONE.with(ShelfField.READS, "brix")
                                .with(ShelfField.COMPENSATED_FROM, "15")
                                .with(ShelfField.COMPENSATED_TO, "30"),
                        item -> {});
        enter(RecordField.REFRACTOMETER, "R-5");
        until(series::brix);
        enter(RecordField.ZERO, "0");
        series.sampleProperty().set("36");
        read("11.0");
        assertThat(series.strength().orElseThrow().value()).as("11.0 °Brix × 0.85").startsWith("9.35");
        assertThat(series.details()).contains("× 0.850 per °Brix");
        assertThat(series.warnings()).singleElement().asString().contains("6.0 °C outside");
        assertThat(series.figure().timed()).isTrue();
    }

    @Test
    void theAdviceFollowsTheReadings() {
        enter(RecordField.ZERO, "");
        assertThat(series.advice().kind()).isEqualTo(SeriesAdvice.Kind.FIRST_ZERO);
        enter(RecordField.ZERO, "0");
        assertThat(series.advice().sentence()).isEqualTo("Take the first reading.");
        read("9.40");
        read("9.41");
        assertThat(series.advice().sentence()).startsWith("1 more reading makes").contains("drift");
        read("9.40");
        assertThat(series.advice().kind()).isIn(SeriesAdvice.Kind.ANOTHER_READING, SeriesAdvice.Kind.ANOTHER_SHOT,
                SeriesAdvice.Kind.ENOUGH);
    }

    /** The steps go on one by one and stay at the last; another shot begins its own. */
    @Test
    void stepsGoOnAndAnotherShotBeginsAnew() {
        assertThat(series.stepProperty().get()).isEqualTo(SeriesStep.STIR);
        for (int i = 0; i < 9; i++) {
            series.next();
        }
        assertThat(series.stepProperty().get()).isEqualTo(SeriesStep.READ);
        series.stepProperty().set(SeriesStep.ZERO);
        series.zero().enter("-0.02");
        assertThat(series.stepProperty().get()).as("a zero that was read leads on").isEqualTo(SeriesStep.READ);
        until(() -> open().written().number(RecordField.ZERO).orElse(9) == -0.02);
        assertThat(series.zero().shownProperty().get()).isEqualTo("\u22120.02");
        assertThat(series.title()).isEqualTo("Strength of shot " + open().number());
        int other = desk.shots()
                .stream()
                .mapToInt(shot -> shot.number())
                .filter(number -> number != open().number())
                .findFirst()
                .orElseThrow();
        open(other);
        assertThat(series.stepProperty().get()).as("that one was read before").isEqualTo(SeriesStep.READ);
    }
}
