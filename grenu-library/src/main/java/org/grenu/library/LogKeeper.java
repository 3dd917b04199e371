package org.grenu.library;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;
import org.slf4j.LoggerFactory;

/**
 * Moves the write-ahead log into the library's file each minute and at the end: what is in the log only is lost on
 * who copies
 * the file alone.
 */
interface LogKeeper extends AutoCloseable {

    @Override
    void close();

    /** {@return one that does nothing, for a library that is only read} */
    static LogKeeper none() {
        return () -> {};
    }

    /** {@return one at work on that handle, which it uses only while it holds the lock} */
    static LogKeeper of(Handle handle, Object lock) {
        ScheduledExecutorService each = worker();
        Runnable move = () -> move(handle, lock);
        each.scheduleWithFixedDelay(move, 1, 1, TimeUnit.MINUTES);
        return () -> {
            each.shutdown();
            move.run();
        };
    }

    private static ScheduledExecutorService worker() {
        return Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "grenu-log-keeper");
            thread.setDaemon(true);
            return thread;
        });
    }

    private static void move(Handle handle, Object lock) {
        synchronized (lock) {
            try {
                handle.execute("PRAGMA wal_checkpoint(TRUNCATE)");
            } catch (JdbiException busyOrFull) {
                LoggerFactory.getLogger(LogKeeper.class)
                        .debug("The log stays beside the library for now: {}", busyOrFull.toString());
            }
        }
    }
}
