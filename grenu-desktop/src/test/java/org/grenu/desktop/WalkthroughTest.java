package org.grenu.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.Locale;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;

/** docs/walkthrough.md step by step, by keys alone: a whole shot in no more interactions than are written there. */
class WalkthroughTest extends BenchFixture {

    private int interactions;

    @Test
    void logAShotByKeysAlone() throws IOException {
        openShot(49);
        chosenFiles.add(Files.writeString(folder.resolve("shot.csv"), log()));
        interact(() -> lookup("#rack").query().requestFocus());
        keys(KeyCode.O);
        interactions++;
        until("the shot is open", () -> bench.desk().openProperty().get().summary().number() == 50);
        assertThat(record().has(RecordField.COFFEE)).isFalse();

        keys(KeyCode.L);
        until("what would be written is shown", () -> lookup("#copy-water").tryQuery().isPresent());
        assertThat(record().has(RecordField.COFFEE)).as("nothing is written yet").isFalse();
        push(KeyCode.ENTER);
        interactions++;
        until("what was set up is taken over", () -> record().has(RecordField.COFFEE));
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("dose_g");
        type("18.1");
        until("the dose is there", () -> record().has(RecordField.DOSE));
        keys(KeyCode.R);
        for (String reading : new String[] {"9.41", "9.43", "9.40"}) {
            assertThat(focused()).isEqualTo("new-reading");
            int before = record().numbers(RecordField.READINGS).size();
            type(reading);
            until("the reading is there", () -> record().numbers(RecordField.READINGS).size() == before + 1);
        }
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("taste");
        type("sweet, round");
        until("the taste is there", () -> record().has(RecordField.TASTE));
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("note");
        type("stream even");
        until("the note is there", () -> record().has(RecordField.NOTE));
        assertThat(interactions).isEqualTo(14);

        assertThat(record().text(RecordField.COFFEE)).hasValue("Lot Siskin 3");
        assertThat(record().number(RecordField.DOSE)).hasValue(18.1);
        assertThat(text("yield")).as("(9.4133 % − 0.9059 × 0.01 % of the water) × 38.00 g / 18.1 g")
                .isEqualTo("19.74");
        keys(KeyCode.R);
        assertThat(text("completeness")).startsWith("Unknown: ").doesNotContain("coffee").doesNotContain("dose");
    }

    /** Asked again without an answer, the caret goes on, and after the last it begins anew. */
    @Test
    void theCaretGoesRound() throws IOException {
        openShot(49);
        interact(() -> {
            bench.desk().enter(RecordField.DOSE, "");
            bench.desk().enter(RecordField.TASTE, "");
            bench.desk().enter(RecordField.NOTE, "");
        });
        until("they are unknown", () -> !record().has(RecordField.DOSE) && !record().has(RecordField.NOTE));
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("dose_g");
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("taste");
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("note");
        keys(KeyCode.R);
        assertThat(focused()).isEqualTo("dose_g");
    }

    private void keys(KeyCode key) {
        interactions++;
        push(KeyCode.CONTROL, key);
        settle();
    }

    private void type(String text) {
        interactions++;
        write(text, 0);
        push(KeyCode.ENTER);
        settle();
    }

    private String focused() {
        return view.getScene().getFocusOwner() instanceof TextField field ? field.getId() : "no field";
    }

    private ShotRecord record() {
        return bench.desk().openProperty().get().summary().written();
    }

    private static String log() {
        StringBuilder rows = new StringBuilder("time [s],pressure [bar],weight [g]\n");
        for (int i = 0; i <= 300; i++) {
            double t = i / 10.0;
            rows.append(String.format(Locale.ROOT, "%.1f,%.2f,%.2f%n", t,
                    t < 26 ? 9 * Math.min(1, Math.max(0, (t - 2) / 4)) : Math.max(0, 9 - 4 * (t - 26)),
                    Math.max(0, Math.min(t, 27) - 7) * 1.9));
        }
        return rows.toString();
    }
}
