package org.grenu.desktop.strength;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** A series of strength readings with the keyboard, from stirring to the advice after the third reading. */
class SeriesTest extends BenchFixture {

    private int readings() {
        return bench.desk().openProperty().get().summary().record().readings().size();
    }

    @Test
    void leadsFromStirringToTheThirdReading() {
        openShot(1);
        interact(() -> {
            bench.desk().enter(RecordField.READINGS, "");
            bench.desk().enter(RecordField.ZERO, "");
        });
        until("the readings are gone",
                () -> readings() == 0 && !bench.desk().openProperty().get().summary().record().has(RecordField.ZERO));
        push(KeyCode.CONTROL, KeyCode.T);
        until("it is shown",
                () -> lookup("#series-what").tryQuery().isPresent() && lookup("#series").query().isVisible());
        assertThat(text("series-what")).startsWith("Stir");
        assertThat(text("series-advice")).startsWith("Read the rinse water first");
        for (int step = 0; step < 4; step++) {
            until("the button has the focus", () -> lookup("#series-next").query().isFocused());
            push(KeyCode.SPACE);
        }
        until("the zero is due", () -> text("series-what").startsWith("Rinse") && field("series-zero").isFocused());
        write("0.01", 0);
        push(KeyCode.ENTER);
        until("a reading is due", () -> field("series-reading").isFocused());
        interact(() -> bench.series().sampleProperty().set("24,1"));
        for (String reading : new String[] {"9.40", "9,41", "9.42"}) {
            int before = readings();
            write(reading, 0);
            push(KeyCode.ENTER);
            until(reading + " is in", () -> readings() == before + 1 && field("series-reading").getText().isEmpty());
        }
        assertThat(text("series-strength")).isEqualTo("9.40");
        assertThat(text("series-details")).startsWith("3 readings · s 0.010 · zero 0.01 subtracted");
        assertThat(text("series-advice")).isNotBlank();
        assertThat(bench.desk().openProperty().get().summary().record().readings()).allSatisfy(reading -> {
            assertThat(reading.seconds()).isPresent();
            assertThat(reading.sampleCelsius()).hasValue(24.1);
            assertThat(reading.filtered()).hasValue(true);
        });
        clickOn("#series-unfiltered");
        assertThat(text("series-method-refusal")).contains("different methods");
        assertThat(bench.desk().latestRecord().flag(RecordField.SAMPLE_FILTERED)).isTrue();
        write("ten", 0);
        interact(() -> field("series-reading").requestFocus());
        write("ten", 0);
        push(KeyCode.ENTER);
        assertThat(text("series-reading-refusal")).contains("is not a reading");
        assertThat(readings()).isEqualTo(3);
        clickOn("#series-close");
        assertThat(lookup("#series").query().isVisible()).isFalse();
    }

    /** A shot caught in two cups: each is weighed and read, and together they tell the whole. */
    @Test
    void slicesAreReadOneByOneAndTellTheCup() {
        openShot(1);
        interact(() -> {
            bench.desk().enter(RecordField.READINGS, "");
            bench.desk().enter(RecordField.BEVERAGE, "");
            bench.series().show();
        });
        until("the readings are gone", () -> readings() == 0);
        slice(0, "10", "14.0");
        slice(1, "30", "6.0");
        assertThat(text("series-yield")).startsWith("Cup: EY").endsWith("by the slices together");
        assertThat(lookup("#slices").query().isVisible()).isTrue();
        assertThat(bench.desk().openProperty().get().summary().masses().beverage().orElseThrow().value()).isEqualTo(40);
        clickOn("#sample-remove");
        until("one is left", () -> samples() == 1);
        assertThat(text("series-yield")).startsWith("EY needs strength");
        interact(bench.desk()::undo);
        until("both are there", () -> samples() == 2);
    }

    private int samples() {
        return bench.desk().openProperty().get().summary().record().samples().size();
    }

    private void slice(int place, String grams, String reading) {
        clickOn("#sample-add-slice");
        until("it is there", () -> samples() == place + 1 && lookup("#sample-mass").query().isVisible());
        enter("sample-mass", grams);
        until("it is weighed", () -> bench.series().series().strength().isEmpty()
                && bench.desk().openProperty().get().summary().record().samples().get(place).grams().isPresent());
        enter("series-reading", reading);
        until("it is read",
                () -> bench.desk().openProperty().get().summary().record().samples().get(place).taken().size() == 1);
    }
}
