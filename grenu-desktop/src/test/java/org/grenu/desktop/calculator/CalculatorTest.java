package org.grenu.desktop.calculator;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.RadioButton;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.library.EditDepth;
import org.junit.jupiter.api.Test;

/** Any one of dose, beverage mass, strength and yield from the others, and what explains a yield from elsewhere. */
class CalculatorTest extends BenchFixture {

    private void type(String id, String words) {
        interact(() -> lookup("#calculator-" + id).queryAs(TextField.class).setText(words));
    }

    private void want(String id) {
        interact(() -> lookup("#calculate-" + id).queryAs(RadioButton.class).fire());
    }

    /** Handbook §3 and §4: 18.0 g, 41.2 g and 9.41 % are 21.54 % as dosed, ± 0.14 with both on a 0.1 g display. */
    @Test
    void anyQuantityFollowsFromTheOthers() {
        openShot(5);
        EditDepth before = bench.desk().editDepthProperty().get();
        push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.K);
        until("it is open", () -> lookup("#calculator").query().isVisible());
        assertThat(lookup("#calculator-dose").queryAs(TextField.class).getText()).isEqualTo("17.9");
        assertThat(text("calculated-yield")).isEqualTo("21.97 ±0.16 %");
        type("dose", "18 g");
        type("dose-u", "0.0577");
        type("beverage", "41.2");
        type("beverage-u", "0.0577");
        type("strength", "9.41");
        type("strength-u", "0.06");
        type("moisture", "");
        assertThat(text("calculated-yield")).isEqualTo("21.54 ±0.16 %");
        assertThat(text("calculator-said")).isEqualTo("Extraction yield as dosed · ratio 1:2.29 · ± is k = 2");
        type("yield", "20");
        want("beverage");
        assertThat(text("calculated-beverage")).isEqualTo("38.26 ±0.27 g");
        assertThat(text("calculator-said")).contains("numbers without ± count as exact");
        type("strength", "ten");
        assertThat(text("calculated-beverage")).isEmpty();
        assertThat(text("calculator-said")).startsWith("Strength: “ten” is not a number.");
        type("strength", "");
        assertThat(text("calculator-said")).isEqualTo("Enter the strength as well.");
        type("strength", "9.41");
        want("moisture");
        assertThat(text("calculator-said")).as("20 % is less than 21.5 %")
                .startsWith("These numbers do not fit together");
        push(KeyCode.ESCAPE);
        assertThat(lookup("#calculator").query().isVisible()).isFalse();
        assertThat(bench.desk().editDepthProperty().get()).as("nothing was entered anywhere").isEqualTo(before);
    }

    /** A yield that somebody stated stands beside the shot's own, is explained, and is never used. */
    @Test
    void aStatedYieldIsExplainedBesideTheShotsOwn() {
        openShot(5);
        String own = text("yield");
        interact(() -> bench.desk().enter(RecordField.STATED_YIELD, "22.8"));
        until("it is held against the shot", () -> text("stated-yield").startsWith("Stated 22.8 %"));
        assertThat(text("yield")).isEqualTo(own);
        assertThat(text("stated-yield")).contains("from its own dose, beverage mass and strength 21.97 % as dosed")
                .contains("on the dry basis with a moisture (and gas) of 3.6 %")
                .contains("of liquid kept in the puck");
        interact(() -> lookup("#calculate").queryButton().fire());
        assertThat(text("calculated-moisture")).startsWith("3.6 ±");
    }
}
