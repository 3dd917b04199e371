package org.grenu.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** A new user with an empty library dials a coffee in, to the third rung; the path is docs/walkthrough.md's. */
class FirstRungsTest extends BenchFixture {

    /** A click, or a field filled in with Enter at its end. */
    private static final int MOST_INTERACTIONS = 25;
    private int interactions;

    @Override
    protected boolean withDemo() {
        return false;
    }

    private void click(String id) {
        interactions++;
        clickOn(id);
    }

    private void fill(String id, String text) {
        interactions++;
        interact(() -> {
            field(id).requestFocus();
            field(id).setText(text);
        });
    }

    private void enterKey() {
        interactions++;
        push(KeyCode.ENTER);
    }

    private int rungs() {
        ListView<?> ladder = lookup("#ladder").queryAs(ListView.class);
        return (int) ladder.getItems().stream().filter(row -> row instanceof LadderRow.Pulled).count();
    }

    private void nameTheCoffee(String name) {
        ComboBox<?> coffee = lookup("#plan-coffee").queryAs(ComboBox.class);
        interactions++;
        interact(() -> {
            coffee.getEditor().requestFocus();
            coffee.getEditor().setText(name);
        });
        enterKey();
        until("it is on the shelf",
                () -> bench.desk().shelfProperty().get().find(ShelfKind.COFFEE, name).isPresent());
    }

    @Test
    void fromAnEmptyShelfToTheThirdRung() {
        until("the library is there", () -> bench.desk().loadedProperty().get());
        click("#workspace-plan");
        until("it says what to do", () -> text("dial-in-empty").startsWith("Here the next shot is decided."));
        nameTheCoffee("Lot Wren 5");
        until("the grinder is asked for", () -> lookup("#grinder-form").query().isVisible());
        fill("grinder-name", "G-burr C");
        fill("grinder-notch", "0.1");
        enterKey();
        click("#start-recipe");
        until("the proposals are there", () -> lookup("#start-dose-target-g").tryQuery().isPresent());
        assertThat(text("start-warnings")).contains("No shot on this grinder yet");
        click("#start-keep");
        until("the recipe is the target", () -> lookup("#target-aim-time-from-s").tryQuery().isPresent());
        fill("pulled-grind", "2.8");
        fill("pulled-beverage-g", "36.2");
        fill("pulled-pump-off-s", "18.9");
        enterKey();
        until("the first rung is there", () -> rungs() == 1 && text("plan-next").startsWith("Grind "));
        // Common practice: a notch is some 3.5 s at 28 s, so that it goes several notches finer.
        assertThat(Double.parseDouble(field("pulled-grind").getText())).isBetween(2.3, 2.6);
        fill("pulled-beverage-g", "36.0");
        fill("pulled-pump-off-s", "25.1");
        enterKey();
        until("the second rung is there", () -> rungs() == 2);
        fill("pulled-beverage-g", "35.9");
        fill("pulled-pump-off-s", "27.4");
        enterKey();
        until("the third rung is there", () -> rungs() == 3);
        assertThat(interactions).isLessThanOrEqualTo(MOST_INTERACTIONS);
        assertThat(text("ladder-foot")).contains("changed one thing");
        ShotRecord third = bench.desk().shots().get(2).record();
        assertThat(third.text(RecordField.GRINDER)).hasValue("G-burr C");
        assertThat(third.text(RecordField.RECIPE)).hasValue("Lot Wren 5");
        assertThat(third.number(RecordField.DOSE)).hasValue(18);
        List<ShelfItem> recipes = bench.desk().shelfProperty().get().of(ShelfKind.RECIPE);
        assertThat(recipes).singleElement()
                .satisfies(recipe -> assertThat(recipe.entries().number(ShelfField.AIM_TIME_TO)).hasValue(30));
    }

    /** What is not possible is said where it was typed, and nothing is written. */
    @Test
    void aRefusedRungSaysWhy() {
        until("the library is there", () -> bench.desk().loadedProperty().get());
        click("#workspace-plan");
        nameTheCoffee("Lot Wren 5");
        until("the fields are there", () -> lookup("#pulled-dose-g").tryQuery().isPresent());
        fill("pulled-dose-g", "-3");
        fill("pulled-grind", "2.8");
        enterKey();
        until("it says why", () -> !text("plan-refusal").isEmpty());
        assertThat(text("plan-refusal")).isEqualTo("Dose cannot be negative.");
        assertThat(bench.desk().shots()).isEmpty();
        interact(() -> {
            field("grinder-name").setText("");
            lookup("#grinder-keep").queryButton().fire();
        });
        assertThat(text("grinder-refusal")).isEqualTo("Name the grinder.");
    }
}
