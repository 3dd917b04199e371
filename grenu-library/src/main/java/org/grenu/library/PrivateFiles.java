package org.grenu.library;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;

/** Files and folders that only their user may read, where the file system knows of such. */
final class PrivateFiles {

    private static final String FILE = "rw-------";
    private static final String FOLDER = "rwx------";

    private PrivateFiles() {
    }

    /** Makes the folder and those above it that are not there yet. */
    static void folder(Path folder) throws IOException {
        if (Files.isDirectory(folder)) {
            return;
        }
        if (folder.getParent() != null) {
            folder(folder.getParent());
        }
        try {
            if (posix(folder.getParent())) {
                Files.createDirectory(folder,
                        PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(FOLDER)));
            } else {
                Files.createDirectory(folder);
            }
        } catch (FileAlreadyExistsException meanwhile) {
            if (!Files.isDirectory(folder)) {
                throw meanwhile;
            }
        }
    }

    /** Makes the file, empty, unless it is there. */
    static void file(Path file) throws IOException {
        try {
            if (posix(file.toAbsolutePath().getParent())) {
                Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(FILE)));
            }
        } catch (FileAlreadyExistsException there) {
            // It keeps what it holds.
        }
    }

    /** Takes others' rights to the file away; one that belongs to somebody else stays as it is. */
    static void claim(Path file) {
        try {
            if (Files.exists(file) && posix(file)) {
                Files.setPosixFilePermissions(file, PosixFilePermissions.fromString(FILE));
            }
        } catch (IOException notOurs) {
            // Whoever owns it decides.
        }
    }

    private static boolean posix(Path where) throws IOException {
        return where != null && Files.getFileStore(where).supportsFileAttributeView("posix");
    }
}
