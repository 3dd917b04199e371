package org.grenu.app.importing;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShelfJson;

/** The demo study's files, which ship inside the application. */
public final class DemoFiles {

    private static final String FOLDER = "/org/grenu/app/demo/";

    private DemoFiles() {
    }

    /** {@return the files in the order in which the shots were pulled} */
    public static List<ShotSource> all() {
        try {
            return new String(bytes("index.txt"), StandardCharsets.UTF_8).lines().map(DemoFiles::source).toList();
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** {@return what stands on the demo's shelf} */
    public static List<ShelfItem> shelf() {
        try {
            return ShelfJson.read("shelf.json", new String(bytes("shelf.json"), StandardCharsets.UTF_8));
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        } catch (ImportFailure broken) {
            throw new IllegalStateException(broken);
        }
    }

    private static ShotSource source(String name) {
        return new ShotSource() {
            @Override
            public String name() {
                return name;
            }

            @Override
            public byte[] read() throws IOException {
                return bytes(name);
            }
        };
    }

    private static byte[] bytes(String name) throws IOException {
        try (InputStream in = DemoFiles.class.getResourceAsStream(FOLDER + name)) {
            if (in == null) {
                throw new FileNotFoundException("The demo file " + name + " is missing from the application.");
            }
            return in.readAllBytes();
        }
    }
}
