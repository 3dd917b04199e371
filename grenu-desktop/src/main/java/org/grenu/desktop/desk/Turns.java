package org.grenu.desktop.desk;

import java.util.Collection;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.Executor;

/**
 * Has what follows from many shots done one after the other, each in a turn of its own on the interface's thread: between
 * turns a frame can be drawn and a key taken. With few shots nothing waits. For the interface's thread.
 */
final class Turns {

    private static final int MANY = 1_000;

    private final Collection<?> shots;
    private final Executor interfaceThread;
    private final Set<Runnable> waiting = new LinkedHashSet<>();
    private boolean coming;

    Turns(Collection<?> shots, Executor interfaceThread) {
        this.shots = shots;
        this.interfaceThread = interfaceThread;
    }

    /** {@return what has that done when it is its turn; asked for again before, it is done once} */
    Runnable of(Runnable what) {
        return () -> {
            if (shots.size() < MANY) {
                waiting.remove(what);
                what.run();
            } else {
                waiting.add(what);
                comeAgain();
            }
        };
    }

    private void comeAgain() {
        if (!coming && !waiting.isEmpty()) {
            coming = true;
            interfaceThread.execute(this::next);
        }
    }

    private void next() {
        coming = false;
        Iterator<Runnable> first = waiting.iterator();
        if (first.hasNext()) {
            Runnable what = first.next();
            first.remove();
            try {
                what.run();
            } finally {
                // Only now: a frame that has become due meanwhile stands before it.
                comeAgain();
            }
        }
    }
}
