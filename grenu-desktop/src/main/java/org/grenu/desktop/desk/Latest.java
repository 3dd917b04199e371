package org.grenu.desktop.desk;

import java.util.concurrent.Callable;
import java.util.function.Consumer;

/**
 * Asks one thing again and again, such as what is drawn while its subject changes: only the latest answer is used,
 * and an
 * older question that has not been begun is dropped. For the interface's thread.
 */
public final class Latest {

    private final Background worker;
    private volatile long asked;

    /** Asks that worker. */
    public Latest(Background worker) {
        this.worker = worker;
    }

    /**
     * Asks anew; of the two that come after, at most one is called, and neither once something else has been asked.
     */
    public <A> void ask(Callable<A> work, Consumer<A> answered, Consumer<Exception> failed) {
        long own = ++asked;
        worker.run(() -> own == asked ? work.call() : null, answer -> {
            if (own == asked) {
                answered.accept(answer);
            }
        }, failure -> {
            if (own == asked) {
                failed.accept(failure);
            }
        });
    }
}
