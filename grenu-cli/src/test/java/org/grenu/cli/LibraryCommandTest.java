package org.grenu.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Set;
import java.util.Map;
import java.util.stream.Stream;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.library.Change;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;
import org.grenu.library.Target;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class LibraryCommandTest {

    @TempDir
    private Path folder;
    private Path home;
    private String said;

    @BeforeEach
    void fill() {
        home = folder.resolve("home.sqlite");
        try (Library library = Library.open(home)) {
            DemoStudy.shots()
                    .stream()
                    .limit(4)
                    .forEach(shot -> library.write(tx -> tx.shots()
                            .add(shot.name(), shot.name().getBytes(StandardCharsets.UTF_8),
                                    shot.shot())));
            library.write(tx -> tx.shelf().add(DemoShelf.items(), "shelf"));
            ShotSummary shot = Stored.shots(library).get(1);
            library.write(tx -> tx.attachments().attach(shot.id(), "puck.png", new byte[] {1, 2, 3}));
            library.write(tx -> tx.journal()
                    .make("Dose",
                            List.of(Change.of(shot.id(), RecordEdit.of(shot.written(), RecordField.DOSE, "17.4"))),
                            "misread"));
            library.write(tx -> tx.bin()
                    .put(Target.SHOT, List.of(Stored.shots(library).get(0).id()), "binned"));
        }
    }

    private int run(Path library, String task, Path file, String... more) {
        StringWriter out = new StringWriter();
        String[] arguments = Stream
                .concat(Stream.of(task, file.toString(), "--library", library.toString()), Stream.of(more))
                .toArray(String[]::new);
        int code = new CommandLine(new LibraryCommand()).setOut(new PrintWriter(out))
                .setErr(new PrintWriter(out))
                .execute(arguments);
        said = out.toString();
        return code;
    }

    /**
     * Out, into an empty library, and out again: the same file, byte for byte. {@code .ci/check-package} looks at
     * it too.
     */
    @Test
    void aPackageTakenInGivesTheSamePackage() throws IOException {
        Path first = folder.resolve("first.zip");
        Path second = folder.resolve("second.zip");
        Path other = folder.resolve("other.sqlite");
        assertThat(run(home, "export", first)).isZero();
        assertThat(said).contains("Wrote 3 shots");
        Files.copy(first, Path.of("target", "demo-package.zip"), StandardCopyOption.REPLACE_EXISTING);
        assertThat(run(other, "merge", first)).isZero();
        assertThat(said).startsWith("3 shots taken in; " + DemoShelf.items().size() + " new on the shelf.");
        assertThat(run(other, "export", second)).isZero();
        assertThat(Files.readAllBytes(second)).isEqualTo(Files.readAllBytes(first));
        try (Library library = Library.open(other)) {
            assertThat(Stored.shots(library)).extracting(ShotSummary::number).containsExactly(2, 3, 4);
            assertThat(Stored.attachments(library, Stored.shots(library).get(0).id()))
                    .hasSize(1);
            assertThat(
                    Stored.history(library, Target.SHOT, Stored.shots(library).get(0).id()))
                    .anySatisfy(entry -> assertThat(entry.reason()).isEqualTo("misread"));
            Stored.undo(library);
            assertThat(Stored.shots(library)).as("taking in is one step").isEmpty();
        }
    }

    @Test
    void mergingTwiceChangesNothingAndOwnEntriesStay() {
        Path other = folder.resolve("other.sqlite");
        try (Library library = Library.open(other)) {
            library.write(tx -> tx.shots().add("mine", new byte[] {1}, DemoStudy.shots().get(2).shot()));
            library.write(tx -> tx.shots().add("mine", new byte[] {1}, DemoStudy.shots().get(9).shot()));
            library.write(tx -> tx.shelf().add(ShelfKind.COFFEE, "lot heron 14", Map.of(ShelfField.MOISTURE, "2.2")));
        }
        assertThat(run(other, "merge", home)).isZero();
        assertThat(said)
                .startsWith("2 shots taken in, 1 were here already; " + (DemoShelf.items().size() - 1)
                        + " new on the shelf, ")
                .contains("Kept as it is here, although it differs there: lot heron 14");
        try (Library library = Library.open(other)) {
            ShelfItem heron = Stored.shelf(library).find(ShelfKind.COFFEE, "Lot Heron 14").orElseThrow();
            assertThat(heron.entries().number(ShelfField.MOISTURE)).hasValue(2.2);
            assertThat(heron.entries().text(ShelfField.PROCESS)).as("was unknown").hasValue("washed");
        }
        assertThat(run(other, "merge", home)).isZero();
        assertThat(said).startsWith("0 shots taken in, 3 were here already");
    }

    /** Exporting onto the library's own path destroyed it. */
    @Test
    void noExportTakesTheLibrarysPlaceNorAFilesUnasked() throws IOException {
        byte[] before = Files.readAllBytes(home);
        for (String task : List.of("export", "workbook", "backup")) {
            assertThat(run(home, task, home)).as(task).isEqualTo(1);
            assertThat(run(home, task, home, "--replace")).as(task).isEqualTo(1);
        }
        try (Library library = Library.open(home)) {
            assertThat(Stored.shots(library)).hasSize(3);
        }
        assertThat(before).isNotEmpty();
        Path mine = Files.writeString(folder.resolve("mine.zip"), "mine");
        assertThat(run(home, "export", mine)).isEqualTo(1);
        assertThat(said).contains("is there already and was not replaced");
        assertThat(mine).hasContent("mine");
        assertThat(run(home, "export", mine, "--replace")).isZero();
    }

    /** A library that another window has open keeps its newest shots in its log: they are taken in too. */
    @Test
    void mergingReadsWhatIsOnlyInTheOthersLog() throws IOException {
        Path busy = folder.resolve("busy.sqlite");
        Path other = folder.resolve("other.sqlite");
        try (Library open = Library.open(busy)) {
            DemoStudy.shots()
                    .stream()
                    .skip(4)
                    .limit(3)
                    .forEach(shot -> open.write(tx -> tx.shots().add(shot.name(), new byte[] {1}, shot.shot())));
            assertThat(run(other, "merge", busy)).isZero();
            assertThat(said).startsWith("3 shots taken in");
        }
        try (Library library = Library.open(other)) {
            Stored.undo(library);
            assertThat(Stored.shots(library)).isEmpty();
            assertThat(Stored.depth(library).undoable()).isZero();
        }
        assertThat(run(other, "merge", busy)).as("again, after it was undone").isZero();
        assertThat(said).startsWith("3 shots taken in");
        try (var left = Files.list(folder)) {
            assertThat(left.filter(file -> file.getFileName().toString().endsWith(".part"))).isEmpty();
        }
    }

    /** Shots of a merge that was broken off before their files and corrections came: the next one brings them. */
    @Test
    void mergingAgainHealsOneThatWasBrokenOff() {
        Path other = folder.resolve("other.sqlite");
        try (Library library = Library.open(other); Library from = Library.open(home)) {
            Stored.shots(from)
                    .forEach(shot -> library.write(tx -> tx.shots()
                            .add("half", new byte[] {1}, new Shot(shot.written(), Stored.log(from, shot.id())),
                                    shot.number(), Set.of())));
        }
        assertThat(run(other, "merge", home)).isZero();
        assertThat(said).startsWith("0 shots taken in, 3 were here already")
                .contains("2 missing files or corrections of shots here brought along");
        try (Library library = Library.open(other)) {
            assertThat(Stored.attachments(library, Stored.shots(library).get(0).id()))
                    .hasSize(1);
            assertThat(
                    Stored.history(library, Target.SHOT, Stored.shots(library).get(0).id()))
                    .anySatisfy(entry -> assertThat(entry.reason()).isEqualTo("misread"));
        }
        assertThat(run(other, "merge", home)).isZero();
        assertThat(said).doesNotContain("brought along");
    }

    @Test
    void backupAndRestoreGoThroughTheCommandLine() {
        Path copy = folder.resolve("copy.sqlite");
        assertThat(run(home, "backup", copy)).isZero();
        assertThat(run(folder.resolve("fresh.sqlite"), "restore", copy)).isZero();
        assertThat(said).contains("Restored and checked");
        assertThat(run(home, "backup", copy)).isEqualTo(1);
        assertThat(said).contains("exists already");
        assertThat(run(home, "workbook", folder.resolve("w.xlsx"))).isZero();
        assertThat(folder.resolve("w.xlsx")).isNotEmptyFile();
    }

    @Test
    void mistakesAreNamed() throws IOException {
        Path words = Files.writeString(folder.resolve("words.txt"), "just words");
        assertThat(run(home, "merge", words)).isEqualTo(1);
        assertThat(said).contains("words.txt").doesNotContain("grenu-merge");
        assertThat(run(home, "merge", folder.resolve("none.zip"))).isEqualTo(1);
        assertThat(said).contains("There is no such file");
        assertThat(run(home, "merge", home)).isEqualTo(1);
        assertThat(said).contains("this library itself");
        assertThat(run(home, "polish", words)).isEqualTo(2);
        assertThat(said).contains("Known: export, workbook, merge, backup, restore");
        assertThat(run(folder.resolve("nowhere.sqlite"), "export", words)).isEqualTo(1);
        assertThat(said).contains("There is no library");
    }
}
