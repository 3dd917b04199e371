package org.grenu.desktop.importing;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.grenu.app.importing.ShotSource;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.Unit;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.Notice;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.mapping.ColumnRole;
import org.grenu.formats.mapping.ColumnRule;
import org.grenu.formats.mapping.MappingGuess;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.formats.mapping.ShotSplit;
import org.grenu.formats.mapping.TableShape;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Telling a log's columns without a window: what was asked for last is what is shown. */
class MappingViewModelTest extends DeskFixture {

    private ImportViewModel importing;
    private MappingViewModel mapping;

    @Override
    protected int shots() {
        return 0;
    }

    @BeforeEach
    void begin() {
        importing = new ImportViewModel(desk, onInterface::add);
        mapping = new MappingViewModel(desk, importing, onInterface::add);
    }

    @AfterEach
    void end() {
        mapping.close();
        importing.close();
    }

    /** So many shots, each 30 s at 10 Hz, one after another on a clock that starts again. */
    private static ShotSource log(String name, int shots) {
        String rows = IntStream.range(0, 300 * shots).mapToObj(i -> {
            double t = i % 300 / 10.0;
            return String.format(Locale.ROOT, "%.1f;%.2f;%.1f", t, t < 2.5 ? 0.1 : t < 25 ? 9 : 9 * Math.exp(25 - t),
                    Math.max(0, Math.min(t, 26) - 7) * (2 + i / 300 / 100.0));
        }).collect(Collectors.joining("\n"));
        return text(name, "seconds;bar;grams\n" + rows);
    }

    private static ShotSource text(String name, String text) {
        return bytes(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static ShotSource bytes(String name, byte[] bytes) {
        return new ShotSource() {
            @Override
            public String name() {
                return name;
            }

            @Override
            public byte[] read() {
                return bytes;
            }
        };
    }

    private MappingPreview preview() {
        return mapping.previewProperty().get();
    }

    private void open(ShotSource source) {
        mapping.open(source);
        until(() -> preview() != null);
    }

    @Test
    void manyShotsAreCountedAndSomeDrawn() {
        open(log("many.txt", 40));
        assertThat(preview().shots()).isEqualTo(40);
        assertThat(preview().figures()).hasSize(12);
        assertThat(preview().mapping().split().kind()).isEqualTo(ShotSplit.Kind.RESET);
        assertThat(preview().reasons()).containsKeys("seconds", "bar", "grams", MappingGuess.SPLIT);
        mapping.change(ShotSplit.NONE);
        until(() -> preview().shots() != 40);
        assertThat(preview().shots()).isEqualTo(1);
        mapping.change(new ShotSplit(ShotSplit.Kind.RESET, 0));
        until(() -> preview().shots() == 40);
        assertThat(preview().problem()).isEmpty();
    }

    /**
     * A spreadsheet is a table like any other: its columns are guessed, told otherwise, and imported; its bytes are
     * kept.
     */
    @Test
    void aSpreadsheetGoesThroughTheSameMapping() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "station", "1.0")) {
            Worksheet sheet = book.newWorksheet("log");
            List<String> heads = List.of("Uhr", "Druck", "Waage");
            IntStream.range(0, 3).forEach(column -> sheet.value(0, column, heads.get(column)));
            for (int i = 0; i < 300; i++) {
                double t = i / 10.0;
                sheet.value(i + 1, 0, t);
                sheet.value(i + 1, 1, t < 2.5 ? 0.1 : t < 25 ? 9 : 9 * Math.exp(25 - t));
                sheet.value(i + 1, 2, Math.max(0, Math.min(t, 26) - 7) * 2);
            }
        }
        open(bytes("station.xlsx", out.toByteArray()));
        assertThat(preview().problem()).isEmpty();
        mapping.change(new ColumnRule("Uhr", new ColumnRole.Time(), Optional.of(Unit.SECOND), false, 1, 0));
        mapping.change(new ColumnRule("Druck", new ColumnRole.OfChannel(Channel.PRESSURE), Optional.of(Unit.BAR), false,
                1, 0));
        mapping.change(new ColumnRule("Waage", new ColumnRole.OfChannel(Channel.CUP_MASS), Optional.of(Unit.GRAM),
                false, 1, 0));
        until(() -> preview().shots() == 1 && preview().problem().isEmpty());
        mapping.importAll();
        until(() -> desk.shots().size() == 1 && !importing.runningProperty().get());
        ShotSummary shot = desk.shots().get(0);
        assertThat(Stored.log(desk.library(), shot.id()).find(Channel.CUP_MASS).orElseThrow().get(299))
                .isEqualTo(38);
        assertThat(Stored.file(desk.library(), shot.id()).orElseThrow().bytes())
                .isEqualTo(out.toByteArray());
    }

    @Test
    void theLastChangeWins() {
        open(log("log.txt", 1));
        for (int scale = 2; scale <= 9; scale++) {
            mapping.change(new ColumnRule("grams", new ColumnRole.OfChannel(Channel.CUP_MASS), Optional.of(Unit.GRAM),
                    false, scale, 0));
        }
        until(() -> mapping.mapping().columns().get(2).scale() == 9);
        mapping.change(new ColumnRule("seconds", new ColumnRole.NotRead(), Optional.empty(), false, 1, 0));
        until(() -> preview().problem().isPresent());
        assertThat(preview().problem().get())
                .startsWith("log.txt: No column is the time. Choose one, or give the number of samples per second.");
        mapping.change(OptionalDouble.of(20));
        until(() -> preview().problem().isEmpty());
        assertThat(preview().figures().get(0).whole().to()).as("the same rows in half the time").isLessThan(16);
    }

    @Test
    void aTableThatIsNotThereIsSaidAndCanBeLookedForAgain() {
        open(log("log.txt", 1));
        mapping.change(new TableShape.Lines(',', '.', 1, 2));
        until(() -> preview().problem().isPresent());
        assertThat(preview().figures()).isEmpty();
        mapping.change(new TableShape.Lines(';', '.', 1, 2));
        until(() -> preview().problem().isEmpty());
        assertThat(preview().mapping().columns()).extracting(ColumnRule::column)
                .containsExactly("seconds", "bar", "grams");
    }

    @ParameterizedTest
    @CsvSource({"binary.dat, not text", "empty.txt, empty"})
    void whatIsNoTextIsSaidAndPutAway(String name, String words) {
        mapping.open(bytes(name, name.startsWith("empty") ? new byte[0] : new byte[] {0, 1, 2, 0, 0, 7, 0}));
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().kind()).isEqualTo(Notice.Kind.FAILED);
        assertThat(desk.noticeProperty().get().text()).startsWith(name).contains(words);
        assertThat(mapping.sourceProperty().get()).isNull();
    }

    /** A log that fails after another has been opened does not close that one. */
    @Test
    void aLateFailureLeavesTheNextLogOpen() {
        mapping.open(bytes("empty.txt", new byte[0]));
        mapping.open(log("log.txt", 1));
        until(() -> preview() != null);
        assertThat(mapping.sourceProperty().get().name()).isEqualTo("log.txt");
    }

    @Test
    void whatIsPutAwayDoesNotComeBack() {
        mapping.open(log("log.txt", 2));
        mapping.putAway();
        mapping.open(log("next.txt", 1));
        until(() -> preview() != null);
        assertThat(mapping.sourceProperty().get().name()).isEqualTo("next.txt");
        assertThat(preview().shots()).isEqualTo(1);
    }

    @Test
    void keptMappingsAreRecognisedByTheirColumns() throws ImportFailure {
        open(log("log.txt", 1));
        mapping.change(
                new ColumnRule("bar", new ColumnRole.OfChannel(Channel.PRESSURE), Optional.of(Unit.PSI), false, 1, 0));
        until(() -> mapping.mapping().columns().get(1).unit().equals(Optional.of(Unit.PSI)));
        mapping.keep(" psi after all ");
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().text()).startsWith("Mapping “psi after all” is kept");
        desk.library().store(tx -> tx.settings().keep(Map.of("mapping.broken", "{")));
        mapping.putAway();
        open(log("other name.txt", 1));
        assertThat(mapping.mapping().columns().get(1).unit()).contains(Unit.PSI);
        assertThat(preview().reasons().get(MappingGuess.SHAPE)).isEqualTo("as kept in “psi after all”");
        assertThat(MappingJson.read("shared", mapping.asFile("psi after all"))).isEqualTo(mapping.mapping());
        mapping.putAway();
        open(text("stranger.txt", "t,bar\n0,1\n1,2\n2,3\n"));
        assertThat(preview().reasons().get(MappingGuess.SHAPE)).doesNotContain("psi after all");
    }

    @Test
    void allShotsOfTheLogGoIntoTheLibrary() {
        open(log("log.txt", 3));
        mapping.importAll();
        until(() -> desk.shots().size() == 3 && !importing.runningProperty().get());
        assertThat(mapping.sourceProperty().get()).isNull();
        assertThat(desk.shots())
                .allSatisfy(shot -> assertThat(shot.digest().beverage().orElseThrow().value()).isBetween(37.5, 38.5));
    }

    @Test
    void partsOfATableAreChangedOneAtATime() {
        TableShapeEdit edit = new TableShapeEdit(new TableShape.Lines(';', ',', 4, 5));
        assertThat(edit.delimiter(',')).as("a comma cannot be both").contains(new TableShape.Lines(',', '.', 4, 5));
        assertThat(edit.heading(7)).contains(new TableShape.Lines(';', ',', 7, 8));
        assertThat(edit.first(3)).contains(new TableShape.Lines(';', ',', 2, 3));
        assertThat(edit.first(0)).isEmpty();
        assertThat(new TableShapeEdit(new TableShape.Lines(',', '.', 1, 2)).mark(',')).isEmpty();
    }
}
