package org.grenu.formats;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** A file's bytes, as far as a log can be long: what is larger is refused before it fills the memory. */
public final class BoundedFile {

    private BoundedFile() {
    }

    /**
     * {@return all bytes of the file}
     *
     * @throws IOException if it cannot be read, or is larger than any log
     */
    public static byte[] bytes(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] bytes = in.readNBytes(Limits.LARGEST_FILE_BYTES + 1);
            if (bytes.length > Limits.LARGEST_FILE_BYTES) {
                throw new IOException("larger than " + Limits.LARGEST_FILE_BYTES / 1024 / 1024 + " MB, as no log is");
            }
            return bytes;
        }
    }
}
