package org.grenu.desktop;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.grenu.app.importing.DemoLibrary;
import java.util.List;
import org.grenu.app.OpenLibrary;
import org.grenu.app.findings.FindingIndex;
import org.grenu.app.settings.StudySettings;
import org.grenu.app.study.ShotsByTime;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;

/**
 * The demo study as a library file with what rules find in it, made once in a build by whichever process of its tests
 * comes first: each test begins with a copy.
 */
final class DemoTemplate {

    private static Path made;

    private DemoTemplate() {
    }

    /** Copies the demo's library to that place. */
    static synchronized void copyTo(Path file) throws IOException {
        if (made == null) {
            Path folder = folder();
            try (FileChannel turn = FileChannel.open(folder.resolve("turn"), StandardOpenOption.CREATE,
                    StandardOpenOption.WRITE); FileLock mine = turn.lock()) {
                made = folder.resolve("library.sqlite");
                if (mine.isValid() && !Files.exists(made)) {
                    make(folder.resolve("part.sqlite"));
                    Files.move(folder.resolve("part.sqlite"), made);
                }
            }
        }
        Files.copy(made, file);
    }

    /** The build's own, so that none is taken for another version's. */
    private static Path folder() throws IOException {
        String build = System.getProperty("grenu.build", "");
        return build.isEmpty() ? Files.createTempDirectory("grenu-template")
                : Files.createDirectories(Path.of("target", "demo-template", build.replaceAll("\\W", "-")));
    }

    private static void make(Path template) throws IOException {
        try (OpenLibrary open = OpenLibrary.open(template)) {
            DemoLibrary.fill(open.library());
            List<ShotSummary> shots = Stored.shots(open.library());
            new FindingIndex(open).look(shots, ShotsByTime.of(shots), StudySettings.USUAL.packs());
        }
    }
}
