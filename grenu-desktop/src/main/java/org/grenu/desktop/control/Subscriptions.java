package org.grenu.desktop.control;

import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.scene.Node;

/** What parts of the window listen to. Whoever outlives a part must not hold it, nor call it once it is gone. */
public final class Subscriptions {

    private Subscriptions() {
    }

    /**
     * Lets a part hear of changes while it stands in the window, and once when it comes in.
     *
     * @param heard reads what it needs of what it listens to: values that are not read do not tell of their next
     *              change
     */
    public static void whileShown(Node part, Runnable heard, Observable... to) {
        InvalidationListener listener = changed -> heard.run();
        part.sceneProperty().addListener((o, was, is) -> {
            for (Observable one : to) {
                one.removeListener(listener);
                if (is != null) {
                    one.addListener(listener);
                }
            }
            if (is != null) {
                heard.run();
            }
        });
    }
}
