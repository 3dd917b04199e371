package org.grenu.desktop.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** The shelf before anything stands on it. */
class EmptyShelfTest extends BenchFixture {

    @Override
    protected boolean withDemo() {
        return false;
    }

    @Test
    void everySortSaysWhatBelongsThereUntilSomethingDoes() {
        until("the library is read", () -> bench.desk().loadedProperty().get());
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        Set<String> said = new HashSet<>();
        for (ShelfKind kind : ShelfKind.values()) {
            if (kind != ShelfKind.BAG) {
                interact(() -> lookup("#kind-" + kind.key()).queryAs(ToggleButton.class).fire());
                assertThat(inSight(lookup("#shelf-teaching").query())).isTrue();
                said.add(text("shelf-teaching"));
                assertThat(text("shelf-teaching").toLowerCase(Locale.ROOT)).contains(kind.one());
            }
        }
        assertThat(said).hasSize(ShelfKind.values().length - 1);

        interact(() -> lookup("#kind-water").queryAs(ToggleButton.class).fire());
        enter("shelf-name", "Brew water 4");
        until("it stands there", () -> bench.shelf().cards().size() == 1);
        assertThat(lookup("#shelf-teaching").tryQuery()).isEmpty();
        enter("shelf-name", "brew WATER 4");
        assertThat(text("shelf-refusal")).isEqualTo("There is a water “Brew water 4” already.");
        interact(() -> bench.desk().undo());
        until("it is empty again", () -> lookup("#shelf-teaching").tryQuery().isPresent());
    }
}
