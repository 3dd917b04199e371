package org.grenu.library;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.JarURLConnection;
import java.net.URI;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.migration.JavaMigration;

/** The steps that bring an older library up to date: the files of one folder, and what SQL cannot say. */
final class Migrations {

    private static final String FOLDER = "org/grenu/library/migration";
    private static final String FIRST = FOLDER + "/V1__shots.sql";
    private static final Pattern NUMBERED = Pattern.compile(".*/V(\\d+)__\\w+\\.sql");
    private static final List<JavaMigration> IN_JAVA = List.of(new V9__references());

    /** Number of the newest one, which is the version of a library that is up to date. */
    static final int NEWEST = newest();

    private Migrations() {
    }

    static void run(DataSource library) {
        Flyway.configure(Migrations.class.getClassLoader())
                .dataSource(library)
                .locations("classpath:" + FOLDER)
                .javaMigrations(IN_JAVA.toArray(JavaMigration[]::new))
                .load()
                .migrate();
    }

    /** Read from the names, so that none has to be counted by hand. */
    private static int newest() {
        try {
            URL first = Migrations.class.getClassLoader().getResource(FIRST);
            IntStream inSql = names(first).map(NUMBERED::matcher)
                    .flatMap(Matcher::results)
                    .map(found -> found.group(1))
                    .mapToInt(Integer::parseInt);
            IntStream inJava = IN_JAVA.stream().mapToInt(one -> Integer.parseInt(one.getVersion().getVersion()));
            return IntStream.concat(inSql, inJava).max().getAsInt();
        } catch (IOException broken) {
            throw new UncheckedIOException("The migrations that come with the program cannot be read.", broken);
        }
    }

    private static Stream<String> names(URL first) throws IOException {
        if (first.openConnection() instanceof JarURLConnection packed) {
            return packed.getJarFile().stream().map(entry -> entry.getName()).toList().stream();
        }
        try (Stream<Path> files = Files.list(Path.of(URI.create(first.toString())).getParent())) {
            return files.map(file -> file.toUri().getPath()).toList().stream();
        }
    }
}
