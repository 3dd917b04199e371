package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotState;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A library written by each version there has been opens with nothing lost. The files were written by those
 * versions' own tables.
 */
class OldLibrariesTest {

    @TempDir
    private Path folder;

    private Path old(int version) throws IOException {
        Path file = folder.resolve("library.sqlite");
        try (InputStream in = OldLibrariesTest.class.getResourceAsStream("v" + version + ".sqlite")) {
            Files.copy(in, file);
        }
        return file;
    }

    /** The log of the first shot in each of them, as it was when they were written. */
    private static ShotLog firstLog() throws IOException {
        try (InputStream in = OldLibrariesTest.class.getResourceAsStream("first-log.csv")) {
            List<double[]> rows = new String(in.readAllBytes(), StandardCharsets.UTF_8).lines()
                    .skip(1)
                    .map(line -> Stream.of(line.split(",")).mapToDouble(Double::parseDouble).toArray())
                    .toList();
            return new ShotLog(column(rows, 0), Map.of(Channel.PRESSURE, column(rows, 1), Channel.PUMP_FLOW,
                    column(rows, 2), Channel.CUP_MASS, column(rows, 3), Channel.TEMPERATURE, column(rows, 4)));
        }
    }

    private static Samples column(List<double[]> rows, int index) {
        return Samples.of(rows.stream().mapToDouble(row -> row[index]).toArray());
    }

    /** All cells of a table that both versions have, as text. */
    private static List<String> cells(Path file, String table, List<String> columns) {
        try (Handle handle = Jdbi.create("jdbc:sqlite:" + file).open()) {
            return handle.createQuery(
                    "SELECT " + String.join(" || '|' || ", columns.stream().map(c -> "quote(" + c + ")").toList())
                            + " FROM " + table + " ORDER BY 1")
                    .mapTo(String.class)
                    .map(row -> named(handle, row))
                    .list();
        }
    }

    /** What refers to a thing on the shelf by its key says the same as what names it. */
    private static String named(Handle handle, String row) {
        return Pattern.compile("#(\\d+)")
                .matcher(row)
                .replaceAll(key -> handle.createQuery("SELECT name FROM shelf_item WHERE id = " + key.group(1))
                        .mapTo(String.class)
                        .one());
    }

    private static List<String> columns(Path file, String table) {
        try (Handle handle = Jdbi.create("jdbc:sqlite:" + file).open()) {
            return handle.createQuery("SELECT name FROM pragma_table_info('" + table + "') ORDER BY name")
                    .mapTo(String.class)
                    .list();
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 13, 14})
    void nothingIsLost(int version) throws IOException {
        Path file = old(version);
        List<String> shotColumns = columns(file, "shot");
        List<String> shots = cells(file, "shot", shotColumns);
        List<String> samples = cells(file, "samples", columns(file, "samples"));
        List<String> raw = cells(file, "raw_file", columns(file, "raw_file"));
        List<String> history = version == 1 ? List.of()
                : cells(file, version < 6 ? "edit" : "history",
                        List.of("id", "field", "before_text", "after_text", "made_at", "state"));
        List<String> beside = version < 6 ? List.of() : cells(file, "attachment", columns(file, "attachment"));

        try (Library library = Library.open(file)) {
            List<ShotSummary> there = Stored.shots(library);
            assertThat(there).hasSize(version < 6 || version >= 8 ? 3 : 2);
            assertThat(there.subList(0, 2)).allMatch(ShotSummary::logged)
                    .allMatch(shot -> shot.state() == ShotState.RECORDED);
            assertThat(Stored.log(library, there.get(0).id())).isEqualTo(firstLog());
            assertThat(there.get(0).written().number(RecordField.DOSE)).hasValue(18);
            assertThat(Stored.file(library, there.get(0).id())).isPresent();
            // The texts of the shots' profiles have become things of their own.
            List<String> pulled = there.stream()
                    .filter(shot -> shot.written().has(RecordField.PROFILE_STEPS))
                    .flatMap(shot -> shot.written().text(RecordField.PROFILE).stream())
                    .distinct()
                    .toList();
            assertThat(library.read(tx -> tx.shelf().all()).of(ShelfKind.PROFILE)).extracting(ShelfItem::name)
                    .containsExactlyInAnyOrderElementsOf(pulled);
            if (version >= 6) {
                assertThat(Stored.bin(library)).hasSize(1);
                assertThat(Stored.attachments(library, there.get(0).id())).hasSize(1);
                assertThat(Stored.undo(library).orElseThrow().words())
                        .isEqualTo(version >= 8 ? "New shot 4" : "Shot 3 put into the bin");
                assertThat(Stored.redo(library)).isPresent();
            }
        }
        assertThat(cells(file, "shot", shotColumns)).isEqualTo(shots);
        assertThat(cells(file, "samples", columns(file, "samples"))).isEqualTo(samples);
        assertThat(cells(file, "raw_file", columns(file, "raw_file"))).isEqualTo(raw);
        if (version > 1) {
            assertThat(cells(file, "history", List.of("id", "field", "before_text", "after_text", "made_at", "state")))
                    .isEqualTo(history);
        }
        if (version >= 6) {
            assertThat(cells(file, "attachment", columns(file, "attachment"))).isEqualTo(beside);
        }
        assertThat(folder.resolve("library.sqlite.before-v" + Migrations.NEWEST)).as("a copy as it was")
                .exists();
    }
}
