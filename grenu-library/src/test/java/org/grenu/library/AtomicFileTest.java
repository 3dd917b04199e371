package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written is there wholly or not at all, and nothing is replaced unasked. */
class AtomicFileTest {

    @TempDir
    private Path folder;

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private List<String> names() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"report.pdf", "it's \"so\".csv", "ein Bericht (2).csv", "報告 ☕ é.csv", "a?b#c%20.csv"})
    void isWrittenUnderAnyName(String name) throws IOException {
        Path file = folder.resolve(name);
        AtomicFile.create(file, out -> out.write(bytes("first")));
        AtomicFile.replace(file, bytes("second"));
        assertThat(file).hasContent("second");
        assertThat(names()).containsExactly(name);
    }

    @Test
    void whatIsThereIsNotReplacedUnasked() throws IOException {
        Path file = Files.writeString(folder.resolve("effects.csv"), "mine");
        assertThatThrownBy(() -> AtomicFile.create(file, out -> out.write(bytes("new"))))
                .hasMessageContaining("is there already and was not replaced");
        assertThat(file).hasContent("mine");
        assertThat(names()).containsExactly("effects.csv");
    }

    @Test
    void whatBreaksOffLeavesTheOldFile() throws IOException {
        Path file = Files.writeString(folder.resolve("report.pdf"), "whole");
        assertThatThrownBy(() -> AtomicFile.replace(file, out -> {
            out.write(bytes("half"));
            throw new IOException("disk full");
        })).hasMessage("disk full");
        assertThat(file).hasContent("whole");
        assertThat(names()).containsExactly("report.pdf");
    }

    /** Exporting onto the library's own path destroyed it. */
    @ParameterizedTest
    @ValueSource(strings = {"library.sqlite", "library.sqlite-wal", "library.sqlite-shm", "library.sqlite-journal",
            "link.zip", "hard.zip"})
    void aLibraryIsNeverReplaced(String name) throws IOException {
        Path library = folder.resolve("library.sqlite");
        try (Library open = Library.open(library)) {
            Files.createSymbolicLink(folder.resolve("link.zip"), library);
            Files.createLink(folder.resolve("hard.zip"), library);
            open.store(tx -> tx.settings().keep(Map.of("kept", "yes")));
            assertThatThrownBy(() -> AtomicFile.replace(folder.resolve(name), bytes("package")))
                    .isInstanceOf(IOException.class)
                    .hasMessageContaining("library");
            assertThat(Stored.settings(open)).containsEntry("kept", "yes");
        }
        try (Library again = Library.open(library)) {
            assertThat(Stored.settings(again)).containsEntry("kept", "yes");
        }
    }

    @Test
    void linksKeepPointingWhereTheyDid() throws IOException {
        Path real = Files.writeString(folder.resolve("real.csv"), "old");
        Path link = Files.createSymbolicLink(folder.resolve("link.csv"), real);
        AtomicFile.replace(link, bytes("new"));
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(real).hasContent("new");
    }

    @Test
    void whatAProcessThatDiedLeftIsClearedAway() throws IOException {
        Files.writeString(folder.resolve(".report.pdf.999999999-abc.part"), "half");
        Files.writeString(folder.resolve(".other.zip.999999999-abc.part"), "half");
        Files.writeString(folder.resolve(".copy.sqlite.999999999-abc.part-journal"), "half");
        Path mine = Files.writeString(folder.resolve(".report.pdf." + ProcessHandle.current().pid() + "-abc.part"),
                "being written");
        AtomicFile.create(folder.resolve("report.pdf"), out -> out.write(bytes("whole")));
        assertThat(names()).containsExactlyInAnyOrder("report.pdf", mine.getFileName().toString());
        Files.writeString(folder.resolve(".lab.sqlite.999999999-abc.part-wal"), "half");
        Library.open(folder.resolve("lab.sqlite")).close();
        assertThat(names()).containsExactlyInAnyOrder("report.pdf", mine.getFileName().toString(), "lab.sqlite");
        assertThatThrownBy(() -> AtomicFile.replace(folder, bytes("x"))).hasMessageContaining("is a folder");
    }
}
