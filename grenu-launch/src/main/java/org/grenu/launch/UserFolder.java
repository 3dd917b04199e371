package org.grenu.launch;

import java.nio.file.Path;

/** Where a user's libraries lie: the data folder that the system provides for, by the XDG rules where it has none. */
final class UserFolder {

    private UserFolder() {
    }

    static Path library() {
        return folder().resolve("library.sqlite");
    }

    static Path demoLibrary() {
        return folder().resolve("demo.sqlite");
    }

    private static Path folder() {
        String home = System.getProperty("user.home");
        String local = System.getenv("LOCALAPPDATA");
        String xdg = System.getenv("XDG_DATA_HOME");
        if (local != null && !local.isBlank()) {
            return Path.of(local, "Grenu");
        }
        return xdg != null && !xdg.isBlank() ? Path.of(xdg, "grenu") : Path.of(home, ".local", "share", "grenu");
    }
}
