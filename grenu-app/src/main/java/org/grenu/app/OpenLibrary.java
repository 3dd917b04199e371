package org.grenu.app;

import java.nio.file.Path;
import java.time.Clock;
import org.grenu.app.analysis.MeasuredLogs;
import org.grenu.app.analysis.ShotAnalyses;
import org.grenu.library.Library;

/**
 * A library that is worked in, with what is measured of its shots.
 *
 * @param analyses measured once, wherever they are shown
 */
public record OpenLibrary(Library library, ShotAnalyses analyses) implements AutoCloseable {

    /** {@return the library in that file, made when it does not exist} */
    public static OpenLibrary open(Path path) {
        MeasuredLogs logs = new MeasuredLogs();
        Library library = Library.open(path, Clock.systemUTC(), logs);
        return new OpenLibrary(library, new ShotAnalyses(library, logs));
    }

    @Override
    public void close() {
        library.close();
    }
}
