package org.grenu.desktop.desk;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Asks a desk now and then to look whether another process has written to its library; to ask costs next to
 * nothing.
 */
public final class LibraryWatch implements AutoCloseable {

    private static final long EVERY_MILLIS = 2_000;

    private final ScheduledExecutorService clock;

    /** Watches for that desk, from now on. */
    public LibraryWatch(StudyDesk desk) {
        clock = Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "grenu-watch");
            thread.setDaemon(true);
            return thread;
        });
        clock.scheduleWithFixedDelay(() -> desk.background().onInterface(desk::lookElsewhere), EVERY_MILLIS,
                EVERY_MILLIS, TimeUnit.MILLISECONDS);
    }

    @Override
    public void close() {
        clock.shutdownNow();
    }
}
