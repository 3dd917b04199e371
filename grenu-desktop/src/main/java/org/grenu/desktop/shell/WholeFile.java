package org.grenu.desktop.shell;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Files that are written wholly or not at all. */
final class WholeFile {

    private WholeFile() {
    }

    /** Written beside its place and moved there whole, so that a failure leaves an older file as it was. */
    static void write(Path file, byte[] content) throws IOException {
        Path target = file.toAbsolutePath();
        Path half = target.resolveSibling("." + target.getFileName() + ".part");
        try {
            Files.write(half, content);
            Files.move(half, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(half);
        }
    }
}
