package org.grenu.desktop.desk;

import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Runs work in order on one thread of its own and hands the result to the interface thread. The interface never waits
 * for it.
 */
public final class Background implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(Background.class);

    private final ExecutorService worker;
    private final Executor interfaceThread;

    /**
     * A worker of that name.
     *
     * @param interfaceThread runs what changes properties; {@code Platform::runLater} in the application
     */
    public Background(String name, Executor interfaceThread) {
        this.interfaceThread = interfaceThread;
        this.worker = Executors.newSingleThreadExecutor(work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Runs the work, then one of the two on the interface thread. */
    public <T> void run(Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        if (worker.isShutdown()) {
            LOG.debug("Work that came after closing was dropped");
            return;
        }
        worker.execute(() -> attempt(work, done, failed));
    }

    private <T> void attempt(Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        try {
            T result = work.call();
            interfaceThread.execute(() -> done.accept(result));
        } catch (Exception failure) {
            LOG.warn("Background work failed", failure);
            interfaceThread.execute(() -> failed.accept(failure));
        } catch (Error failure) {
            // The thread has to come back for the next work, whatever happened.
            LOG.error("Background work failed", failure);
            interfaceThread.execute(() -> failed.accept(new IllegalStateException(failure)));
        }
    }

    /** Runs something on the interface thread. */
    public void onInterface(Runnable change) {
        interfaceThread.execute(change);
    }

    /** Lets work that has begun finish; later work is dropped. */
    @Override
    public void close() {
        worker.shutdown();
        try {
            worker.awaitTermination(5, TimeUnit.SECONDS);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
    }
}
