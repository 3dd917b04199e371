package org.grenu.cli;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * Works on many things at once, on every processor, and hands over what came of them in their order. Only a few are
 * worked on ahead, so that memory does not grow with their number.
 */
final class InOrder {

    private static final int AHEAD_PER_THREAD = 2;

    private InOrder() {
    }

    /**
     * Does that with each of them.
     *
     * @param work on any thread
     * @param then with what came of it, on this thread and in order; what the work threw is thrown here instead
     */
    static <T, R> void forEach(List<T> things, Function<T, R> work, Consumer<R> then) {
        int threads = Math.min(things.size(), Runtime.getRuntime().availableProcessors());
        if (threads < 2) {
            things.forEach(thing -> then.accept(work.apply(thing)));
            return;
        }
        ExecutorService workers = Executors.newFixedThreadPool(threads);
        try {
            Deque<Future<R>> ahead = new ArrayDeque<>();
            for (T thing : things) {
                if (ahead.size() == AHEAD_PER_THREAD * threads) {
                    then.accept(result(ahead.remove()));
                }
                ahead.add(workers.submit(() -> work.apply(thing)));
            }
            while (!ahead.isEmpty()) {
                then.accept(result(ahead.remove()));
            }
        } finally {
            workers.shutdownNow();
        }
    }

    private static <R> R result(Future<R> future) {
        try {
            return future.get();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted", stopped);
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof RuntimeException failure) {
                throw failure;
            }
            if (failed.getCause() instanceof Error failure) {
                throw failure;
            }
            throw new IllegalStateException(failed.getCause());
        }
    }
}
