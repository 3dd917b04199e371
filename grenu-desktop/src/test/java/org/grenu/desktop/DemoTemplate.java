package org.grenu.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.grenu.app.importing.DemoLibrary;
import java.util.List;
import org.grenu.app.OpenLibrary;
import org.grenu.app.findings.FindingIndex;
import org.grenu.app.settings.StudySettings;
import org.grenu.app.study.ShotsByTime;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;

/** The demo study as a library file with what rules find in it, made once: each test begins with a copy. */
final class DemoTemplate {

    private static Path made;

    private DemoTemplate() {
    }

    /** Copies the demo's library to that place. */
    static synchronized void copyTo(Path file) throws IOException {
        if (made == null) {
            Path template = Files.createTempDirectory("grenu-template").resolve("library.sqlite");
            try (OpenLibrary open = OpenLibrary.open(template)) {
                DemoLibrary.fill(open.library());
                List<ShotSummary> shots = Stored.shots(open.library());
                new FindingIndex(open).look(shots, ShotsByTime.of(shots), StudySettings.USUAL.packs());
            }
            made = template;
        }
        Files.copy(made, file);
    }
}
