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
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import org.grenu.core.curve.Channel;
import org.grenu.app.importing.ImportOutcome;
import org.grenu.app.importing.SavedMappings;
import org.grenu.app.importing.ShotSource;
import org.grenu.desktop.BenchFixture;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.mapping.ColumnRole;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.formats.mapping.TableMapping;
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

    private void map(String button) {
        interact(() -> lookup(button).queryButton().fire());
        until("the guess is there", () -> bench.mapping().previewProperty().get() != null);
        choose("column-Kanal_1-role", new ColumnRole.OfChannel(Channel.PRESSURE));
        choose("column-Kanal_2-role", new ColumnRole.OfChannel(Channel.CUP_MASS));
        until("it can be read", () -> !lookup("#mapping-import").query().isDisabled());
    }

    private void keepAs(String name) {
        interact(() -> lookup("#mapping-name").queryAs(TextInputControl.class).setText(name));
        interact(() -> lookup("#mapping-keep").queryButton().fire());
    }

    private List<String> kept() {
        return new SavedMappings(bench.desk().library()).all().stream().map(TableMapping::name).toList();
    }

    /** One of three refused files is mapped: the others stand in the report, and the mapping serves the next. */
    @Test
    void theReportStaysWhileOneOfItsFilesIsMapped() throws IOException {
        List<Path> files = List.of(log("a.txt", 2), Files.writeString(folder.resolve("b.csv"), "time,pressure\n0,x\n"),
                log("c.txt", 1.7));
        interact(() -> bench.importing().importPaths(files));
        until("all are refused", () -> lookup("#map-c-txt").tryQuery().isPresent());
        map("#map-a-txt");
        assertThat(lookup("#import-panel").query().isVisible()).isTrue();
        keepAs("Station");
        until("it is kept", () -> kept().contains("Station"));
        interact(() -> lookup("#mapping-import").queryButton().fire());
        until("its two shots are in", () -> bench.desk().shots().size() == 2);
        until("the batch is done", () -> !bench.importing().runningProperty().get());
        assertThat(bench.importing().outcomes()).extracting(ImportOutcome::file)
                .as("refused first")
                .containsExactly("b.csv", "c.txt", "a.txt", "a.txt");
        assertThat(lookup("#import-panel").query().isVisible()).isTrue();
        clickOn("#import-again");
        until("the kept mapping fits the next", () -> bench.desk().shots().size() == 4);
        until("the batch is done", () -> !bench.importing().runningProperty().get());
        assertThat(text("import-summary")).isEqualTo("4 shots imported · 1 file could not be read");
    }

    @Test
    void keptMappingsAreRenamedSharedTakenAndDeletedAndNeverOverwrittenUnasked() throws IOException, ImportFailure {
        Path log = log("a.txt", 2);
        interact(() -> bench.mapping().open(ShotSource.of(log)));
        until("the guess is there", () -> bench.mapping().previewProperty().get() != null);
        keepAs("Station");
        until("it is kept", () -> kept().equals(List.of("Station")));
        choose("column-Ventil-role", new ColumnRole.OfChannel(Channel.TEMPERATURE));
        until("the valve is read",
                () -> bench.mapping().mapping().columns().get(3).role() instanceof ColumnRole.OfChannel);
        keepAs("Station");
        until("the name is taken",
                () -> text("mapping-taken").startsWith("A mapping called “Station” is kept already"));
        assertThat(new SavedMappings(bench.desk().library()).all().get(0).columns().get(3).role())
                .as("the first is as it was")
                .isInstanceOf(ColumnRole.NotRead.class);
        interact(() -> lookup("#mapping-beside").queryButton().fire());
        until("both are kept", () -> kept().equals(List.of("Station", "Station 2")));
        interact(() -> lookup("#mapping-cancel").queryButton().fire());

        interact(() -> lookup("#library-menu").queryAs(MenuButton.class)
                .getItems()
                .stream()
                .filter(item -> "library-mappings".equals(item.getId()))
                .forEach(MenuItem::fire));
        until("they are listed", () -> lookup("#kept-name-Station-2").tryQuery().isPresent());
        interact(() -> {
            TextField name = lookup("#kept-name-Station-2").queryAs(TextField.class);
            name.setText("Station");
            name.getOnAction().handle(null);
        });
        until("a taken name is refused in words", () -> text("notice").equals(
                "Another mapping is called “Station”. This one is still “Station 2”."));
        interact(() -> {
            TextField name = lookup("#kept-name-Station-2").queryAs(TextField.class);
            name.setText("With valve");
            name.getOnAction().handle(null);
        });
        until("it is renamed", () -> kept().equals(List.of("Station", "With valve")));
        until("the list shows it", () -> lookup("#kept-save-With-valve").tryQuery().isPresent());
        chosenTarget = folder.resolve("valve.json");
        interact(() -> lookup("#kept-save-With-valve").queryButton().fire());
        until("it is shared", () -> Files.exists(chosenTarget));
        interact(() -> lookup("#kept-delete-With-valve").queryButton().fire());
        until("it is gone", () -> kept().equals(List.of("Station")) && lookup("#kept-put-back").tryQuery().isPresent());
        interact(() -> lookup("#kept-put-back").queryButton().fire());
        until("it is back", () -> kept().equals(List.of("Station", "With valve")));
        chosenFiles.add(Files.writeString(folder.resolve("other.json"),
                Files.readString(chosenTarget).replace("Ventil", "Valve")));
        interact(() -> lookup("#kept-mappings-take").queryButton().fire());
        until("the shared one stands beside", () -> kept().equals(List.of("Station", "With valve", "With valve 2")));
    }
}
