package org.grenu.desktop.importing;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import org.grenu.core.curve.Channel;
import org.grenu.desktop.BenchFixture;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.mapping.ColumnRole;
import org.grenu.formats.mapping.MappingJson;
import org.junit.jupiter.api.Test;

/** From a log that nobody recognises to shots in the rack, and once more by itself. */
class MappingFlowTest extends BenchFixture {

    @Override
    protected boolean withDemo() {
        return false;
    }

    private Path log(String name, double flow) throws IOException {
        String rows = IntStream.range(0, 600)
                .mapToObj(i -> row(i % 300 / 10.0, i < 300 ? 1.1 * flow : flow))
                .collect(Collectors.joining("\n"));
        return Files.writeString(folder.resolve(name), "Zeit;Kanal 1;Kanal 2;Ventil\n" + rows);
    }

    private static String row(double t, double flow) {
        return String.format(Locale.GERMANY, "%.1f;%.2f;%.1f;7", t, t < 2.5 ? 0.1 : t < 25 ? 9 : 9 * Math.exp(25 - t),
                Math.max(0, Math.min(t, 26) - 7) * flow);
    }

    @SuppressWarnings("unchecked")
    private void choose(String id, Object value) {
        interact(() -> ((ComboBox<Object>) lookup("#" + id).queryAs(ComboBox.class)).setValue(value));
    }

    @Test
    void aRefusedLogIsMappedKeptSharedAndRecognisedNextTime() throws IOException, ImportFailure {
        Path first = log("first.txt", 2);
        interact(() -> bench.importing().importPaths(List.of(first)));
        until("it is refused", () -> lookup("#map-first-txt").tryQuery().isPresent());
        interact(() -> lookup("#map-first-txt").queryButton().fire());
        until("the guess is there", () -> bench.mapping().previewProperty().get() != null);
        MappingPreview guess = bench.mapping().previewProperty().get();
        assertThat(guess.shots()).as("the clock starts again once").isEqualTo(2);
        assertThat(guess.mapping().columns()).extracting(rule -> rule.role().key())
                .containsExactly("time", "pressure", "cup_mass", "not_read");
        choose("column-Kanal_2-role", new ColumnRole.NotRead());
        until("the strip is gone", () -> bench.mapping()
                .previewProperty()
                .get()
                .figures()
                .get(0)
                .strips()
                .stream()
                .noneMatch(strip -> strip.channel() == Channel.CUP_MASS));
        choose("column-Kanal_1-role", new ColumnRole.NotRead());
        until("nothing is left to read", () -> text("mapping-problem").contains("No column is a channel."));
        assertThat(lookup("#mapping-import").query().isDisabled()).isTrue();
        choose("column-Kanal_1-role", new ColumnRole.OfChannel(Channel.PRESSURE));
        choose("column-Kanal_2-role", new ColumnRole.OfChannel(Channel.CUP_MASS));
        until("both are back", () -> text("mapping-problem").isEmpty());
        interact(() -> lookup("#mapping-name").queryAs(TextInputControl.class).setText("Two channels"));
        interact(() -> lookup("#mapping-keep").queryButton().fire());
        until("it is kept",
                () -> Stored.settings(bench.desk().library()).containsKey("mapping.Two channels"));
        chosenTarget = folder.resolve("shared.json");
        interact(() -> lookup("#mapping-save").queryButton().fire());
        until("it is shared", () -> Files.exists(chosenTarget));
        assertThat(MappingJson.read("shared", Files.readString(chosenTarget)).name()).isEqualTo("Two channels");
        interact(() -> lookup("#mapping-import").queryButton().fire());
        until("both shots are in",
                () -> bench.desk().shots().size() == 2 && !bench.importing().runningProperty().get());
        Path second = log("second.txt", 1.7);
        interact(() -> bench.importing().importPaths(List.of(second)));
        until("the next log is read by it", () -> bench.desk().shots().size() == 4);
        assertThat(bench.desk().shots().get(3).digest().beverage().orElseThrow().value()).isBetween(32.0, 32.6);
    }
}
