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
        assertThat(text("calculator-said"))
                .isEqualTo("Extraction yield as dosed · ratio 1:2.29 · ± is k = 2, errors taken as independent");
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
        theRatioIsOneOfThem();
        push(KeyCode.ESCAPE);
        assertThat(lookup("#calculator").query().isVisible()).isFalse();
        assertThat(bench.desk().editDepthProperty().get()).as("nothing was entered anywhere").isEqualTo(before);
    }

    private void theRatioIsOneOfThem() {
        want("ratio");
        assertThat(text("calculated-ratio")).isEqualTo("1:2.289 ±0.008");
        assertThat(text("calculator-said"))
                .startsWith("Ratio from dose and beverage mass; strength and extraction yield not used");
        type("beverage", "");
        assertThat(text("calculated-ratio")).as("20 % at 9.41 %").isEqualTo("1:2.125 ±0.014");
        want("beverage");
        type("ratio", "1:2");
        assertThat(text("calculated-beverage")).isEqualTo("36.00 ±0.12 g");
        want("yield");
        type("beverage", "41.2");
        assertThat(text("calculator-said")).isEqualTo("Dose, beverage mass and ratio say the same twice: clear one "
                + "of them.");
    }

    /** Handbook §3: the solids of 48 g at 10 % in 36 g are 13.33 % strong; whether this log has been there is said. */
    @Test
    void theCupCanBecomeStrongerThinnerOrTwo() {
        openShot(5);
        push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.K);
        until("it is open", () -> lookup("#calculator").query().isVisible());
        type("dose", "24");
        type("dose-u", "");
        type("beverage", "48");
        type("beverage-u", "");
        type("strength", "10");
        type("strength-u", "");
        interact(() -> {
            lookup("#cup-strength").queryAs(TextField.class).setText("13.3333");
            lookup("#cup-water").queryAs(TextField.class).setText("96");
            lookup("#cup-other-mass").queryAs(TextField.class).setText("48");
            lookup("#cup-other-strength").queryAs(TextField.class).setText("5");
        });
        assertThat(text("cup-stronger")).startsWith("36.00 g in the cup, 1:1.50. ").contains("there nothing was tried");
        assertThat(text("cup-diluted")).isEqualTo("144.00 g at 3.33 %");
        assertThat(text("cup-blended")).isEqualTo("96.00 g at 7.50 %");
        interact(() -> lookup("#cup-water").queryAs(TextField.class).setText("much"));
        assertThat(text("cup-diluted")).contains("is not a number");
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
