package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** Panels over the page: one at a time, Escape puts the topmost away, and the focus goes back. */
class OverlaysTest extends BenchFixture {

    private boolean shown(String id) {
        return lookup("#" + id).query().isVisible();
    }

    @Test
    void oneStandsThereAtATimeAndTheFocusGoesBack() {
        openShot(5);
        interact(() -> field("dose_g").requestFocus());
        push(KeyCode.CONTROL, KeyCode.COMMA);
        assertThat(shown("settings-panel")).isTrue();
        push(KeyCode.CONTROL, KeyCode.E);
        assertThat(shown("bulk-panel")).isTrue();
        assertThat(shown("settings-panel")).as("the settings give way").isFalse();
        push(KeyCode.CONTROL, KeyCode.K);
        until("the field has the caret", () -> field("find-or-do-field").isFocused());
        assertThat(shown("bulk-panel")).isFalse();
        push(KeyCode.ESCAPE);
        assertThat(shown("find-or-do-panel")).isFalse();
        until("the dose has it again", () -> field("dose_g").isFocused());
    }

    @Test
    void namesOfferedArePutAwayBeforeThePanelTheyStandIn() {
        openShot(5);
        push(KeyCode.CONTROL, KeyCode.E);
        until("it is shown", () -> shown("bulk-panel") && field("bulk-entry").isFocused());
        write("grin", 0);
        until("names are offered",
                () -> !listWindows().stream().filter(w -> w instanceof javafx.stage.Popup).toList().isEmpty());
        push(KeyCode.ESCAPE);
        assertThat(shown("bulk-panel")).isTrue();
        push(KeyCode.ESCAPE);
        assertThat(shown("bulk-panel")).isFalse();
    }
}
