package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.BeverageSource;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.control.Styles;
import org.junit.jupiter.api.Test;

/** Temperatures and pressures in the user's units, and units typed with a number. */
class UnitsTest extends BenchFixture {

    private ShotRecord written() {
        return bench.desk().openProperty().get().summary().written();
    }

    @SuppressWarnings("unchecked")
    private void choose(String setting, Unit unit) {
        push(KeyCode.CONTROL, KeyCode.COMMA);
        interact(() -> ((ChoiceBox<Unit>) view.lookup("#settings-" + setting)).setValue(unit));
        push(KeyCode.CONTROL, KeyCode.COMMA);
    }

    private boolean anywhere(String words) {
        return lookup(node -> node instanceof Label label && label.getText().equals(words)).tryQuery().isPresent();
    }

    @Test
    void whatIsChosenIsShownAndTypedEverywhere() {
        openShot(5);
        choose("temperature", Unit.FAHRENHEIT);
        choose("pressure", Unit.PSI);
        assertThat(field("temperature_c").getText()).isEqualTo("199.4");
        assertThat(anywhere("Temperature, °F")).isTrue();
        interact(() -> bench.appearance().colourByProperty().set(RecordFactor.TEMPERATURE));
        assertThat(bench.appearance().scale().get().levels()).as("what is told apart by colour").contains("199.4");
        assertThat(lookup("#read ." + Styles.RECIPE).queryLabeled().getText()).contains("199.4 °F");
        enter("temperature_c", "200");
        until("it is kept in °C", () -> Math.abs(written().number(RecordField.TEMPERATURE).orElse(0) - 93.333) < 0.001);
        assertThat(field("temperature_c").getText()).isEqualTo("200");
        enter("temperature_c", "92 °C");
        until("a unit typed with it goes first", () -> written().number(RecordField.TEMPERATURE).orElse(0) == 92);
        interact(() -> bench.rack().filterProperty().set("shot:5 temp:197-198"));
        assertThat(bench.rack().countProperty().get()).as("the filter, too, means °F").startsWith("1 of");
        interact(() -> lookup("#search-menu").queryAs(MenuButton.class).show());
        assertThat(lookup("#search-menu").queryAs(MenuButton.class).getItems().stream().map(MenuItem::getText))
                .as("a search is kept with its unit")
                .anyMatch(text -> text != null && text.contains("temp:197-198°F"));
        interact(() -> {
            lookup("#search-menu").queryAs(MenuButton.class).hide();
            bench.rack().filterProperty().set("");
        });
        enter("temperature_c", "400");
        assertThat(text("temperature_c-refusal")).contains("°C").contains("197.6 stays");
        choose("temperature", Unit.CELSIUS);
        assertThat(field("temperature_c").getText()).isEqualTo("92");
    }

    @Test
    void aVolumeIsMarkedAsAnEstimateAndUndoneInOneStep() {
        openShot(5);
        double weighed = written().number(RecordField.BEVERAGE).orElseThrow();
        enter("beverage_g", "36 ml");
        until("it is an estimate", () -> written().beverageEstimated());
        assertThat(written().beverage().orElseThrow().u()).isCloseTo(36 * 0.1 / Math.sqrt(3), within(1e-9));
        assertThat(bench.desk().openProperty().get().measures().masses().beverageSource())
                .as("the curve knows it better")
                .isEqualTo(BeverageSource.CURVE);
        interact(bench.desk()::undo);
        until("one step takes it back", () -> !written().beverageEstimated()
                && written().number(RecordField.BEVERAGE).orElseThrow() == weighed);
        enter("dose_g", "18 ml");
        assertThat(text("dose_g-refusal")).contains("weigh it");
    }
}
