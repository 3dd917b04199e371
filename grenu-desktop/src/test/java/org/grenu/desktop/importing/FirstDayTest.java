package org.grenu.desktop.importing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.grenu.app.importing.ImportOutcome;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Workspace;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/**
 * What a laboratory that never heard of Grenu brings on its first day, its logs as they are and its notebook, comes in
 * through the window: every shot with its date, file, dose, beverage, readings and settings.
 */
class FirstDayTest extends BenchFixture {

    /** Everything that the user does is counted: a file chosen in a dialog, a click. */
    private static final int MOST_INTERACTIONS = 45;
    private int interactions;

    @Override
    protected boolean withDemo() {
        return false;
    }

    private static List<Path> brought() throws IOException, URISyntaxException {
        try (Stream<Path> files = Files.list(Path.of(FirstDayTest.class.getResource("first_day").toURI()))) {
            return files.sorted().toList();
        }
    }

    private void click(String id) {
        interactions++;
        clickOn(id);
    }

    private ShotRecord shot(String file, String name) {
        return bench.desk()
                .shots()
                .stream()
                .map(ShotSummary::record)
                .filter(record -> record.text(RecordField.FILE).equals(Optional.of(file))
                        && record.text(RecordField.NAME).orElse("").equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no shot " + name + " of " + file));
    }

    @Test
    void logsAndNotebookComeInAsTheyAre() throws IOException, URISyntaxException {
        List<Path> brought = brought();
        Path notebook = brought.stream().filter(p -> p.endsWith("notebook.csv")).findFirst().orElseThrow();
        chosenFiles.addAll(brought.stream().filter(p -> !p.equals(notebook)).toList());
        interactions += 2;
        click("#import");
        until("the batch is done", () -> !bench.importing().runningProperty().get());
        assertThat(bench.importing().outcomes()).filteredOn(ImportOutcome.Failed.class::isInstance)
                .extracting(outcome -> ((ImportOutcome.Failed) outcome).file())
                .containsExactly("empty.csv", "notes.docx", "onlyheader.csv");
        click("#import-close");
        assertThat(bench.desk().shots()).hasSize(29);

        chosenFiles.clear();
        chosenFiles.add(notebook);
        interactions += 2 + "join a table".length() + 2;
        push(KeyCode.CONTROL, KeyCode.K);
        until("the field is there", () -> field("find-or-do-field").isFocused());
        interact(() -> field("find-or-do-field").setText("join a table"));
        until("it is offered", () -> lookup("#find-or-do-panel .offer").tryQuery().isPresent());
        push(KeyCode.ENTER);
        until("the notebook is shown", () -> lookup("#join-apply").tryQuery().isPresent());
        click("#join-apply");
        until("it is entered", () -> bench.desk().shots().size() == 32);

        for (ShotSummary shot : bench.desk().shots()) {
            assertThat(shot.record().pulledAt()).as("moment of shot %s", shot.number()).isPresent();
            assertThat(shot.record().number(RecordField.DOSE)).as("dose of shot %s", shot.number()).isPresent();
            assertThat(shot.record().number(RecordField.BEVERAGE)).as("beverage of %s", shot.number()).isPresent();
            assertThat(shot.record().readings()).as("readings of shot %s", shot.number()).hasSize(3);
            assertThat(shot.record().number(RecordField.GRIND)).as("grind of shot %s", shot.number()).isPresent();
            assertThat(shot.record().number(RecordField.TEMPERATURE)).as("°C of %s", shot.number()).isPresent();
            assertThat(shot.record().text(RecordField.FILE).isPresent()).as("file of shot %s", shot.number())
                    .isEqualTo(shot.logged());
        }
        assertThat(shot("2024-05-13_lab_1.csv", "").entry(RecordField.PULLED_AT)).hasValue("2024-05-13T09:10");
        assertThat(shot("Messung_008.txt", "").text(RecordField.NOTE)).hasValue("not sour, bit short");
        assertThat(shot("campaign.csv", "C3").number(RecordField.DOSE)).hasValue(18);
        assertThat(shot("temp_series.csv", "T12").number(RecordField.TEMPERATURE)).hasValue(96);
        assertThat(interactions).isLessThanOrEqualTo(MOST_INTERACTIONS);

        theLadderOfItsCoffeeIsAskedFor();

        bench.desk().undo();
        until("the coffee is on the shelf only", () -> bench.desk()
                .shots()
                .get(0)
                .record()
                .text(RecordField.COFFEE)
                .isEmpty());
        bench.desk().undo();
        bench.desk().undo();
        until("the notebook is taken back at once", () -> bench.desk().shots().size() == 29);
    }

    /**
     * Its notebook names no coffee: once one is named, all shots are of it at a click, and the next one is proposed.
     */
    private void theLadderOfItsCoffeeIsAskedFor() {
        interactions += 2;
        interact(() -> bench.workspace().set(Workspace.PLAN));
        ComboBox<?> coffee = lookup("#plan-coffee").queryAs(ComboBox.class);
        interact(() -> {
            coffee.getEditor().requestFocus();
            coffee.getEditor().setText("Lot Wren 5");
        });
        push(KeyCode.ENTER);
        until("its shots are asked for", () -> lookup("#name-shots").tryQuery().filter(Node::isVisible).isPresent());
        assertThat(text("unnamed-shots")).isEqualTo("32 shots in this library name no coffee.");
        click("#name-shots");
        until("the next shot is proposed", () -> text("plan-next").startsWith("Grind"));
        assertThat(text("plan-doubts")).contains("one notch is 0.2", "the log was at 90 and 96 °C");
        assertThat(interactions).isLessThanOrEqualTo(MOST_INTERACTIONS);
    }
}
