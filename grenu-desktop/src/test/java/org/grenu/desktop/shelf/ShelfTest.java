package org.grenu.desktop.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** The Shelf in the window: a guided valve calibration, a bag's life, a site's boiling point. */
class ShelfTest extends BenchFixture {

    private ShelfItem item(ShelfKind kind, String name) {
        return bench.desk().shelfProperty().get().find(kind, name).orElseThrow();
    }

    private void show(ShelfKind kind, String name) {
        until("the shelf is filled", () -> bench.desk().shelfProperty().get().find(kind, name).isPresent());
        interact(() -> bench.shelf().choose(item(kind, name)));
        until(name + " is shown",
                () -> bench.shelf().chosenProperty().get() != null
                        && bench.shelf().chosenProperty().get().item().name().equals(name)
                        && lookup("#card-" + item(kind, name).id()).tryQuery().isPresent());
    }

    @Test
    void aValveIsCalibratedStepByStep() {
        openShot(1);
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        show(ShelfKind.MACHINE, "Rig 1");
        assertThat(text("valve-next")).startsWith("Set the valve to its first position");
        for (String[] run : List.of(new String[] {"0", "12"}, new String[] {"4", "96"}, new String[] {"4", "94"})) {
            int before = item(ShelfKind.MACHINE, "Rig 1").entries().rows(ShelfField.VALVE_RUNS).size();
            interact(() -> {
                field("valve-position").setText(run[0]);
                field("valve-grams").setText(run[1]);
                field("valve-grams").requestFocus();
            });
            push(KeyCode.ENTER);
            until("the run is in",
                    () -> item(ShelfKind.MACHINE, "Rig 1").entries().rows(ShelfField.VALVE_RUNS).size() == before + 1);
        }
        until("the next is named", () -> text("valve-next").startsWith("Next: position 0 again, run 2 of 3"));
        interact(() -> {
            field("valve-grams").setText("wet");
            field("valve-grams").requestFocus();
        });
        push(KeyCode.ENTER);
        assertThat(text("valve-refusal")).contains("is not a number");
        assertThat(bench.shelf()
                .cards()
                .stream()
                .filter(card -> card.item().name().equals("Rig 1"))
                .findFirst()
                .orElseThrow()
                .figure()
                .words()).contains("2 positions");
    }

    @Test
    void aScheduleIsTranslatedToAnotherMachine() {
        openShot(1);
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        show(ShelfKind.MACHINE, "Rig 2");
        assertThat(lookup("#translation").lookup((Labeled label) -> label.getText().equals("cannot reach")).tryQuery())
                .as("8 g/s are more than the vibration pump gives")
                .isPresent();
        assertThat(lookup("#translation")
                .lookup((Labeled label) -> label.getText().startsWith("Rig 3 gives 0.06 to 7.05 g/s"))
                .tryQuery()).isPresent();
        enter("valve-flow", "6,01");
        assertThat(text("valve-opening")).as("four quarter turns give 6.0 g/s").startsWith("position 4.0");
        enter("valve-flow", "30");
        assertThat(text("valve-opening")).isEqualTo("it gives 0.01 to 10.05 g/s");
        enter("valve-flow", "much");
        assertThat(text("valve-opening")).startsWith("a flow is a number");
        show(ShelfKind.MACHINE, "Rig 1");
        enter("valve-flow", "3");
        assertThat(text("valve-opening")).isEqualTo("run two positions first");
    }

    @Test
    void refractometersAndSitesSayWhatTheyMean() {
        openShot(1);
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        show(ShelfKind.REFRACTOMETER, "R-1 (°Brix)");
        assertThat(text("calibration-sentence")).startsWith("Strength = 0.8")
                .contains("by 8 dried samples")
                .contains("points per °Brix");
        show(ShelfKind.SITE, "Upper hut");
        assertThat(text("heat-sentence"))
                .startsWith("Water boils at 95.42 °C (203.7 °F), so set at most 95.0 °C (203.0 °F)");
        enter("shelf-altitude-m", "0");
        until("it boils later", () -> text("heat-sentence").startsWith("Water boils at 99.97 °C"));
        assertThat(lookup("#shelf-history").lookup((Labeled label) -> label.getText().equals("Altitude: 1370 → 0"))
                .tryQuery()).isPresent();
    }

    @Test
    void aCoffeeAndItsBagArePutOnTheShelf() {
        openShot(1);
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        until("the shelf is filled", () -> bench.desk().shelfProperty().get().items().size() > 5);
        enter("shelf-name", "Lot Wren 7");
        show(ShelfKind.COFFEE, "Lot Wren 7");
        interact(() -> lookup("#new-bag-" + item(ShelfKind.COFFEE, "Lot Wren 7").id()).queryButton().fire());
        until("the bag is shown", () -> bench.shelf().chosenProperty().get().item().kind() == ShelfKind.BAG
                && lookup("#shelf-life-new-0").tryQuery().isPresent());
        interact(() -> {
            field("shelf-life-new-0").setText("27.4.");
            lookup("#shelf-life-new-1").queryComboBox().getSelectionModel().select(0);
        });
        interact(() -> lookup("#shelf-life-add").queryButton().fire());
        assertThat(text("shelf-life-refusal")).isEqualTo("Life, day must be a date such as 2026-04-27.");
        interact(() -> {
            field("shelf-life-new-0").setText("2026-04-27");
            lookup("#shelf-life-new-1").queryComboBox().getSelectionModel().select(0);
            lookup("#shelf-life-add").queryButton().fire();
        });
        until("it was roasted",
                () -> bench.shelf().chosenProperty().get().version().entries().rows(ShelfField.LIFE).size() == 1);
        assertThat(field("shelf-life-new-0").getText()).isEmpty();
        assertThat(lookup("#shelf-life-0").queryButton().getAccessibleText()).isEqualTo("2026-04-27 roasted");
    }

    /**
     * A row is corrected in the cells where new ones are typed; Escape leaves it as it was, and the history keeps
     * what stood there.
     */
    @Test
    void correctRow() {
        openShot(5);
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        interact(() -> bench.shelf()
                .choose(bench.desk().shelfProperty().get().find(ShelfKind.SCALE, "S-1").orElseThrow()));
        until("the scale is shown", () -> lookup("#shelf-check-weights-1").tryQuery().isPresent());
        interact(() -> lookup("#shelf-check-weights-1").queryButton().fire());
        assertThat(field("shelf-check-weights-new-2").getText()).isEqualTo("100");
        interact(() -> field("shelf-check-weights-new-2").setText("99.8"));
        push(KeyCode.ESCAPE);
        assertThat(field("shelf-check-weights-new-2").getText()).isEmpty();
        assertThat(lookup("#shelf-check-weights-1").queryButton().getAccessibleText()).isEqualTo("2026-05-11 100 100");

        interact(() -> {
            lookup("#shelf-check-weights-1").queryButton().fire();
            field("shelf-check-weights-new-2").setText("99.8");
            lookup("#shelf-check-weights-add").queryButton().fire();
        });
        until("the weight is corrected",
                () -> bench.shelf()
                        .chosenProperty()
                        .get()
                        .version()
                        .entries()
                        .rows(ShelfField.CHECK_WEIGHTS)
                        .get(1)
                        .needed(2) == 99.8);
        assertThat(bench.shelf().chosenProperty().get().version().entries().rows(ShelfField.CHECK_WEIGHTS)).hasSize(7);
        interact(() -> lookup("#remove-shelf-check-weights-1").queryButton().fire());
        until("the row is gone",
                () -> bench.shelf().chosenProperty().get().version().entries().rows(ShelfField.CHECK_WEIGHTS).size()
                        == 6);
        interact(() -> bench.desk().undo());
        until("it is there again",
                () -> lookup("#shelf-check-weights-1").tryQuery()
                        .map(row -> row.getAccessibleText().equals("2026-05-11 100 99.8"))
                        .orElse(false));
    }

    /** The rack's filter says which shots go into a study; both ways are one step each. */
    @Test
    void groupShotsToAQuestion() {
        openShot(5);
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        interact(() -> {
            bench.shelf()
                    .choose(bench.desk()
                            .shelfProperty()
                            .get()
                            .find(ShelfKind.STUDY, "Ageing at a fixed grind")
                            .orElseThrow());
            bench.rack().filterProperty().set("study:pressure");
        });
        until("the study is shown", () -> lookup("#study-count").tryQuery().isPresent());
        assertThat(text("study-count")).isEqualTo("Of the 9 shots in the rack 0 are in this study.");
        interact(() -> {
            field("study-arm").setText("x; y");
            lookup("#study-take").queryButton().fire();
        });
        assertThat(lookup("#study-count").query().getParent().lookupAll(".refusal"))
                .extracting(node -> ((Labeled) node).getText())
                .first()
                .asString()
                .contains("no semicolon");

        interact(() -> {
            field("study-arm").setText("control");
            lookup("#study-take").queryButton().fire();
        });
        until("they are in it", () -> text("study-count").equals("Of the 9 shots in the rack 9 are in this study."));
        assertThat(bench.rack().shown()).allSatisfy(shot -> {
            assertThat(shot.record().studies()).containsExactly("Pressure and flow", "Ageing at a fixed grind");
            assertThat(shot.record().armIn("Ageing at a fixed grind")).hasValue("control");
            assertThat(shot.record().armIn("Pressure and flow")).isEmpty();
        });
        interact(() -> lookup("#study-leave").queryButton().fire());
        until("they are out of it", () -> text("study-count").contains(" 0 are in"));
        interact(() -> {
            bench.desk().undo();
            bench.desk().undo();
        });
        until("all is as it was",
                () -> bench.rack()
                        .shown()
                        .stream()
                        .allMatch(shot -> shot.written().studies().equals(List.of("Pressure and flow"))));
    }
}
