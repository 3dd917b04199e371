package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.util.Locale;
import java.util.stream.Stream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.RadioButton;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.diagnosis.Finding;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** Schools, their rules and the time convention, chosen and edited in the window. */
class SettingsTest extends BenchFixture {

    @Test
    void aSchoolIsChosenSpeaksIsEditedAndKept() {
        openShot(2);
        push(KeyCode.CONTROL, KeyCode.COMMA);
        interact(() -> lookup("#pack-time_20_25").queryAs(CheckBox.class).fire());
        until("the school speaks", () -> findings()
                .anyMatch(f -> f.rule().equals("shot_late") && f.school().equals("time window: 20–25 s")));
        interact(() -> lookup("#edit-time_20_25").queryButton().fire());
        TextInputControl rules = lookup("#rules-text").queryTextInputControl();
        String text = rules.getText();
        interact(() -> rules.setText(text.replace("shot_time_s > 25", "shot_tme_s > 25")));
        interact(() -> lookup("#rules-keep").queryButton().fire());
        assertThat(text("rules-refusal")).startsWith("Line 18: there is no fact “shot_tme_s”. Perhaps shot_time_s?")
                .endsWith("Nothing was changed.");
        interact(() -> rules.setText(text.replace("shot_time_s > 25", "shot_time_s > 99")));
        interact(() -> lookup("#rules-keep").queryButton().fire());
        until("the edited rule is silent", () -> findings().noneMatch(f -> f.rule().equals("shot_late")));
        until("it is kept",
                () -> Stored.settings(bench.desk().library())
                        .getOrDefault("rule_pack.time_20_25", "")
                        .contains("> 99"));
        interact(() -> lookup("#edit-time_20_25").queryButton().fire());
        interact(() -> lookup("#rules-reset").queryButton().fire());
        until("as shipped", () -> findings().anyMatch(f -> f.rule().equals("shot_late")));
        push(KeyCode.ESCAPE);
        assertThat(lookup("#settings-panel").query().isVisible()).isFalse();
    }

    @Test
    void aSchoolOfOnesOwnIsWrittenSpeaksAndIsRemoved() {
        openShot(2);
        push(KeyCode.CONTROL, KeyCode.COMMA);
        interact(() -> lookup("#school-new").queryButton().fire());
        TextInputControl rules = lookup("#rules-text").queryTextInputControl();
        interact(() -> rules.setText(rules.getText()
                .replace("when taste_under > 0", "when shot_time_s > 5")
                .replace("say The cup was sour.", "say We say it ran.")));
        interact(() -> lookup("#rules-keep").queryButton().fire());
        until("the new school speaks",
                () -> findings().anyMatch(f -> f.school().equals("sour: our own way")));
        assertThat(lookup("#pack-own_1").queryAs(CheckBox.class).isSelected()).isTrue();
        interact(() -> lookup("#edit-own_1").queryButton().fire());
        interact(() -> lookup("#rules-remove").queryButton().fire());
        until("it is silent", () -> findings().noneMatch(f -> f.school().equals("sour: our own way")));
        until("it is forgotten", () -> !Stored.settings(bench.desk().library()).containsKey("rule_pack.own_1"));
        interact(() -> lookup("#rules-keep").queryButton().fire());
        until("it is back", () -> findings().anyMatch(f -> f.school().equals("sour: our own way")));
    }

    private Stream<Finding> findings() {
        return bench.desk().openProperty().get().findings().stream();
    }

    @Test
    void theConventionIsTheStudysEverywhere() {
        openShot(39);
        var times = bench.desk().openProperty().get().measures().curve().times();
        interact(() -> ((RadioButton) lookup("#convention-first_drip_to_pump_off").query()).fire());
        assertThat(text("rack-conventions")).startsWith("Times: first drip to pump off");
        String shown = String.format(Locale.ROOT, ", %.1f s, ",
                TimeConvention.FIRST_DRIP_TO_PUMP_OFF.of(times).orElseThrow());
        until("the slips follow",
                () -> slips().stream().anyMatch(slip -> slip.startsWith("Shot 39") && slip.contains(shown)));
        until("it is kept",
                () -> "first_drip_to_pump_off"
                        .equals(Stored.settings(bench.desk().library()).get("time_convention")));
    }

    /** A finding leads to its place on the curve, by mouse and by key. */
    @Test
    void aFindingShowsItsPlace() {
        openShot(26);
        Finding channel = findings().filter(f -> f.rule().equals("channel")).findFirst().orElseThrow();
        double pumpOn = bench.desk().openProperty().get().measures().curve().times().pumpOn().orElseThrow().seconds();
        interact(() -> {
            bench.read().cursorProperty().set(Double.NaN);
            lookup("#finding-channel").query().requestFocus();
        });
        push(KeyCode.ENTER);
        assertThat(bench.read().cursorProperty().get()).isEqualTo(channel.atSeconds().orElseThrow() - pumpOn);
        until("the coffee is asked", () -> text("next-reason").startsWith("After shot 27, the newest of this coffee."));
        assertThat(text("next-reason")).contains("By itself this shot asks for “Repeat with a fresh, level puck”");
    }
}
