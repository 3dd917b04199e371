package org.grenu.desktop.desk;

import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.beans.Observable;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.collections.ObservableList;

/**
 * Has what follows from many shots done one after the other, each in a turn of its own on the interface's thread:
 * between turns a frame can be drawn and a key taken. With few shots nothing waits. For the interface's thread.
 */
public final class Turns {

    private static final int MANY = 1_000;

    private final ObservableList<?> shots;
    private final Executor interfaceThread;
    private final Set<Runnable> waiting = new LinkedHashSet<>();
    private boolean coming;

    Turns(ObservableList<?> shots, Executor interfaceThread) {
        this.shots = shots;
        this.interfaceThread = interfaceThread;
    }

    /** {@return what has that done when it is its turn; asked for again before, it is done once} */
    public Runnable of(Runnable what) {
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

    /** {@return what counts up, in a turn of its own, when the shots have changed} */
    public ReadOnlyLongProperty ofShots() {
        ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
        Runnable count = of(() -> changes.set(changes.get() + 1));
        shots.addListener((Observable o) -> count.run());
        return changes.getReadOnlyProperty();
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
