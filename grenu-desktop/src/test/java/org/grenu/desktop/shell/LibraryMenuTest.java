package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.MenuButton;
import org.grenu.app.exchange.LibraryExchange;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Notice;
import org.grenu.formats.ImportFailure;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/** The library as a whole, through its menu: out, in, copied, and back. */
class LibraryMenuTest extends BenchFixture {

    private void choose(String id) {
        interact(() -> bench.desk().noticeProperty().set(null));
        interact(() -> ((MenuButton) lookup("#library-menu").query()).getItems()
                .stream()
                .filter(item -> id.equals(item.getId()))
                .findFirst()
                .orElseThrow()
                .fire());
    }

    private String told() {
        Notice notice = bench.desk().noticeProperty().get();
        return notice == null ? "" : notice.text();
    }

    private void done(String beginning) {
        until(beginning, () -> told().startsWith(beginning));
    }

    @Test
    void whatIsExportedComesIntoAnotherLibraryWhole() throws IOException, ImportFailure {
        openShot(5);
        interact(() -> bench.rack().filterProperty().set("siskin ageing"));
        chosenTarget = folder.resolve("study.zip");
        choose("library-export-shown");
        done("Saved 12 shots and the shelf as ");
        Path other = folder.resolve("other.sqlite");
        try (Library library = Library.open(other)) {
            assertThat(new LibraryExchange(library).merge(chosenTarget).words()).contains("12");
            assertThat(Stored.shots(library)).hasSize(12)
                    .allSatisfy(shot -> assertThat(shot.record().text(RecordField.COFFEE)).hasValue("Lot Siskin 3"));
            assertThat(Stored.shelf(library).items())
                    .hasSameSizeAs(bench.desk().shelfProperty().get().items());
        }
        chosenFiles.clear();
        chosenFiles.add(other);
        choose("library-merge");
        until("it is taken in", () -> !told().isEmpty() && !told().equals("Working…"));
        assertThat(bench.desk().shots()).as("shots that are there already come in once").hasSize(49);

        chosenTarget = folder.resolve("all.xlsx");
        choose("library-workbook");
        done("Saved ");
        assertThat(Files.size(chosenTarget)).isGreaterThan(5_000);
        assertThat(Files.readAllBytes(chosenTarget)).startsWith('P', 'K');
    }

    @Test
    void aBackupIsTakenBackToAndWhatWasThereIsKept() throws IOException {
        openShot(5);
        Map<Integer, String> before = records();
        chosenTarget = folder.resolve("copy.sqlite");
        choose("library-backup");
        done("Backed up to ");
        choose("library-backup");
        until("an existing file is never replaced",
                () -> bench.desk().noticeProperty().get().kind() == Notice.Kind.FAILED);

        interact(() -> bench.desk().inBin().put(List.copyOf(bench.desk().shots().subList(0, 20))));
        until("they are gone", () -> bench.desk().shots().size() == 29);
        chosenFiles.clear();
        chosenFiles.add(chosenTarget);
        choose("library-restore");
        done("Restored and checked. The library as it was is in ");
        until("all are shown", () -> bench.desk().shots().size() == 49);
        assertThat(records()).isEqualTo(before);
        Path kept = Path.of(told().substring(told().indexOf(" is in ") + 7, told().length() - 1));
        try (Library was = Library.open(kept)) {
            assertThat(Stored.shots(was)).hasSize(29);
        }
    }

    @Test
    void whatIsNoLibraryIsRefusedInWords() throws IOException {
        openShot(5);
        chosenFiles.add(Files.writeString(folder.resolve("notes.sqlite"), "not a library at all"));
        for (String action : new String[] {"library-restore", "library-merge"}) {
            choose(action);
            until(action + " is refused", () -> bench.desk().noticeProperty().get() != null
                    && bench.desk().noticeProperty().get().kind() == Notice.Kind.FAILED);
            assertThat(told()).contains("notes.sqlite");
        }
        assertThat(bench.desk().shots()).hasSize(49);
        chosenTarget = folder.resolve("no such folder").resolve("x.zip");
        choose("library-export");
        until("an impossible place is explained", () -> bench.desk().noticeProperty().get() != null
                && bench.desk().noticeProperty().get().kind() == Notice.Kind.FAILED);
        assertThat(chosenTarget).doesNotExist();
    }

    private Map<Integer, String> records() {
        return bench.desk()
                .shots()
                .stream()
                .collect(Collectors.toMap(ShotSummary::number, shot -> shot.written().toString()));
    }

    /** Each dialog asks for its own sort of file, and a photo is not hidden among logs. */
    @Test
    void dialogsAskForWhatIsWanted() {
        assertThat(FilesWanted.LOGS.patterns()).contains("*.csv", "*.CSV", "*.xlsx");
        assertThat(FilesWanted.PHOTOS.patterns()).contains("*.jpg", "*.JPG").doesNotContain("*.csv");
        assertThat(Set.of(FilesWanted.values()).stream().filter(FilesWanted::several))
                .containsExactlyInAnyOrder(FilesWanted.LOGS, FilesWanted.MAPPINGS, FilesWanted.PHOTOS);
        assertThat(FilesWanted.values()).allSatisfy(wanted -> assertThat(wanted.title()).isNotBlank());
    }
}
