package org.grenu.desktop.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.Optional;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import org.grenu.app.export.ShotExport;
import org.grenu.app.importing.LateLog;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotReader;
import org.junit.jupiter.api.Test;

/** A shot from a notebook: written down in the window, and its log given later. */
class NotebookTest extends BenchFixture {

    private OpenShot open() {
        return bench.desk().openProperty().get();
    }

    private void begin() {
        openShot(39);
        push(KeyCode.CONTROL, KeyCode.N);
        until("the new shot is open", () -> open().summary().number() == 50);
    }

    private void writeDown() {
        enter("notebook-dose_g", "18");
        enter("notebook-beverage_g", "40");
        enter("notebook-strength_readings_pct", "9,5; 9,4");
        enter("notebook-time", "27");
        until("it is stored", () -> open().summary().record().number(RecordField.PUMP_OFF).orElse(0) == 27);
    }

    @Test
    void whatIsWrittenCountsAndIsUndone() throws IOException, ImportFailure {
        begin();
        assertThat(lookup("#notebook").query().isVisible()).isTrue();
        writeDown();
        until("the yield is told", () -> text("yield").equals("21.0"));
        assertThat(slips()).anyMatch(slip -> slip.startsWith("Shot 50, ") && slip.contains("27.0 s"));
        enter("notebook-time", "-3");
        assertThat(lookup("#notebook-time-refusal").queryLabeled().getText()).contains("above 0").contains("27 stays");
        chosenTarget = folder.resolve("written.csv");
        interact(() -> bench.exports().export(ShotExport.SHOT_CSV, chosenTarget));
        until("it is saved", () -> Files.exists(chosenTarget));
        assertThat(ShotReader.read("written.csv", Files.readAllBytes(chosenTarget)).shot()).isEqualTo(open().shot());
        interact(() -> bench.exports().export(ShotExport.RAW_FILE, folder.resolve("raw")));
        until("it is said", () -> text("notice").contains("written down by hand"));
        for (int step = 0; step < 4; step++) {
            interact(bench.desk()::undo);
        }
        until("time, readings, beverage and dose are taken back",
                () -> open().summary().record().number(RecordField.DOSE).isEmpty());
        interact(bench.desk()::undo);
        until("the shot is gone", () -> bench.desk().shots().size() == 49);
    }

    @Test
    void typedPointsAreItsLog() {
        begin();
        writeDown();
        clickOn("#type-points");
        interact(() -> lookup("#points").queryAs(TextArea.class).setText("time [s], pressure [bar]\n0, 0\n6, high\n"));
        clickOn("#keep-points");
        until("the line is named", () -> text("notice").contains("line 3") && text("notice").contains("high”"));
        interact(() -> lookup("#points").queryAs(TextArea.class)
                .setText("time [s], pressure [bar], cup mass [g]\n0, 0, 0\n6, 3, 0\n10, 9, 2\n20, 9, 24\n27, 9, 40\n"));
        clickOn("#keep-points");
        until("it has a log", () -> open().summary().logged());
        assertThat(lookup("#notebook").query().isVisible()).isFalse();
        assertThat(open().measures().curve().sparse()).isTrue();
        assertThat(open().summary().record().number(RecordField.DOSE)).as("what was written stays").hasValue(18);
    }

    @Test
    void aFileGivesItsLogAndUndoTakesItBack() throws IOException {
        begin();
        writeDown();
        var other = DemoStudy.shots().get(2).shot();
        chosenFiles.add(Files.writeString(folder.resolve("known.csv"), ShotCsvWriter.write(other)));
        clickOn("#give-log");
        until("it is refused", () -> text("notice").contains("belongs to shot"));
        chosenFiles.set(0,
                Files.writeString(folder.resolve("late.csv"), "time [s],pressure [bar]\n0,0\n1,5\n2,9\n3,9\n4,9\n"));
        clickOn("#give-log");
        until("it has a log", () -> open().summary().logged());
        assertThat(open().measures().curve().times().pumpOn().map(on -> on.how()))
                .as("a stopwatch's zero is not the logger's")
                .isNotEqualTo(Optional.of("stated"));
        assertThat(open().summary().written().has(RecordField.PUMP_OFF)).isFalse();
        assertThat(open().summary().written().extras()).containsEntry(LateLog.STOPWATCH, "27");
        interact(bench.desk()::undo);
        until("it has none", () -> !open().summary().logged());
        assertThat(lookup("#notebook").query().isVisible()).isTrue();
        assertThat(text("yield")).isEqualTo("21.0");
    }
}
