package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.grenu.core.curve.TimeConvention;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Workspace;
import org.junit.jupiter.api.Test;

/** By a few letters to anything: Ctrl K. */
class FindOrDoTest extends BenchFixture {

    private void find(String typed) {
        push(KeyCode.CONTROL, KeyCode.K);
        until("the field is open",
                () -> lookup("#find-or-do-panel").query().isVisible() && field("find-or-do-field").isFocused());
        write(typed, 0);
    }

    private List<String> rows() {
        return lookup("#find-or-do-panel .offer").queryAll().stream().map(Node::getAccessibleText).toList();
    }

    @Test
    void shotsThingsActionsAndSettingsAreReached() {
        openShot(5);
        find("shot 12");
        assertThat(rows().get(0)).startsWith("Shot Shot 12, ");
        push(KeyCode.ENTER);
        until("it is open", () -> bench.desk().openProperty().get().summary().number() == 12);
        find("siskin 6 may");
        assertThat(rows()).allMatch(row -> row.startsWith("Shot ") || row.startsWith("Bag"));
        push(KeyCode.ESCAPE);
        until("it is closed", () -> !lookup("#find-or-do-panel").query().isVisible());
        find("lot heron");
        push(KeyCode.ENTER);
        until("the shelf shows it", () -> bench.workspace().get() == Workspace.SHELF);
        find("first drip to last");
        push(KeyCode.ENTER);
        until("times are counted so",
                () -> bench.desk().settingsProperty().get().convention() == TimeConvention.FIRST_DRIP_TO_LAST_DRIP);
        find("dark");
        push(KeyCode.ENTER);
        until("it is dark", () -> bench.appearance().themeProperty().get().dark());
    }

    @Test
    void whatIsNotPossibleSaysWhyAndStays() {
        openShot(5);
        find("export report");
        assertThat(rows().get(0)).contains("Nothing was compared yet");
        push(KeyCode.ENTER);
        assertThat(lookup("#find-or-do-panel").query().isVisible()).isTrue();
        push(KeyCode.ESCAPE);
        find("zzzz");
        assertThat(rows()).isEmpty();
        push(KeyCode.ESCAPE);
    }

    /** Every action is said once: no id and no key twice. The page of keys follows from them. */
    @Test
    void thePageOfKeysIsMadeFromTheActions() throws IOException {
        List<String> ids = view.actions().all().map(action -> action.id()).toList();
        assertThat(ids).doesNotHaveDuplicates();
        assertThat(view.actions().all().flatMap(action -> action.keys().stream()).map(key -> key.getName()).toList())
                .doesNotHaveDuplicates();
        Path page = Path.of("../docs/keys.md");
        String made = KeyTable.markdown(view.actions());
        if (Boolean.getBoolean("grenu.refresh")) {
            Files.writeString(page, made);
        }
        assertThat(Files.readString(page)).as("refresh it with -Dgrenu.refresh=true").isEqualTo(made);
    }
}
