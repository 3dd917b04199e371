package org.grenu.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.grenu.app.importing.DemoLibrary;
import org.grenu.library.Library;

/** The demo study as a library file, made once: each test begins with a copy. */
final class DemoTemplate {

    private static Path made;

    private DemoTemplate() {
    }

    /** Copies the demo's library to that place. */
    static synchronized void copyTo(Path file) throws IOException {
        if (made == null) {
            Path template = Files.createTempDirectory("grenu-template").resolve("library.sqlite");
            try (Library library = Library.open(template)) {
                DemoLibrary.fill(library);
            }
            made = template;
        }
        Files.copy(made, file);
    }
}
