package org.grenu.library;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;

/** The steps that bring an older library up to date: the files of one folder, and what SQL cannot say. */
final class Migrations {

    private static final String HERE = "org/grenu/library";
    private static final String FOLDER = HERE + "/migration";
    private static final Pattern NUMBERED = Pattern.compile(HERE + "/(?:migration/)?V(\\d+)__\\w+\\.(?:sql|class)$");

    /**
     * Number of the newest one, which is the version of a library that is up to date. Read from the names, so that
     * none has to be counted by hand, and an up-to-date library is opened without what runs them.
     */
    static final int NEWEST = newest();

    private Migrations() {
    }

    static void run(DataSource library) {
        Flyway.configure(Migrations.class.getClassLoader())
                .dataSource(library)
                .locations("classpath:" + FOLDER)
                .javaMigrations(new V9__references(), new V13__profiles())
                .load()
                .migrate();
    }

    private static int newest() {
        int newest = 0;
        for (String name : names()) {
            Matcher numbered = NUMBERED.matcher(name);
            newest = numbered.find() ? Math.max(newest, Integer.parseInt(numbered.group(1))) : newest;
        }
        if (newest == 0) {
            throw new LibraryException("The program's own migrations are not there. Install Grenu again.");
        }
        return newest;
    }

    /** What lies where this class lies, in a jar or in folders. */
    private static List<String> names() {
        try {
            Path root = Path.of(Migrations.class.getProtectionDomain().getCodeSource().getLocation().toURI());
            if (Files.isRegularFile(root)) {
                try (ZipFile jar = new ZipFile(root.toFile())) {
                    return jar.stream().map(ZipEntry::getName).toList();
                }
            }
            try (Stream<Path> files = Files.walk(root.resolve(HERE))) {
                return files.map(file -> file.toUri().getPath()).toList();
            }
        } catch (IOException | URISyntaxException broken) {
            throw new LibraryException("The program's own migrations cannot be read. Install Grenu again.", broken);
        }
    }
}
