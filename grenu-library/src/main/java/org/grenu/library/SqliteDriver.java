package org.grenu.library;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteJDBCLoader;
import org.sqlite.util.LibraryLoaderUtil;

/**
 * Keeps the database's native part in the user's cache. Left to itself the driver unpacks it into the temporary
 * folder at
 * every start, and a process that is killed leaves it there.
 */
final class SqliteDriver {

    private static final Logger LOG = LoggerFactory.getLogger(SqliteDriver.class);
    private static final String FOLDER = "org.sqlite.lib.path";
    private static boolean prepared;

    private SqliteDriver() {
    }

    /** Sees to it that the driver finds its native part; where that cannot be, the driver does as it is used to. */
    static synchronized void prepare() {
        if (prepared || System.getProperty(FOLDER) != null) {
            return;
        }
        prepared = true;
        String name = LibraryLoaderUtil.getNativeLibName();
        try (InputStream in = SQLiteJDBCLoader.class
                .getResourceAsStream(LibraryLoaderUtil.getNativeLibResourcePath() + "/" + name)) {
            if (in != null) {
                System.setProperty(FOLDER, kept(name, in.readAllBytes()).toString());
            }
        } catch (IOException noCache) {
            LOG.info("The database's native part could not be kept in the cache: {}", noCache.toString());
        }
    }

    private static Path kept(String name, byte[] content) throws IOException {
        String set = System.getenv("XDG_CACHE_HOME");
        Path caches = set != null && Path.of(set).isAbsolute() ? Path.of(set)
                : Path.of(System.getProperty("user.home"), ".cache");
        Path folder = caches.resolve("grenu").resolve("sqlite-" + SQLiteJDBCLoader.getVersion()).toAbsolutePath();
        PrivateFiles.folder(folder);
        Path file = folder.resolve(name);
        if (!Files.isRegularFile(file) || !Arrays.equals(Files.readAllBytes(file), content)) {
            AtomicFile.replace(file, content);
        }
        return folder;
    }
}
