package org.grenu.desktop.control;

import javafx.application.Platform;
import javafx.scene.Scene;

/** The next pulse, which styles and places what has just been put into a scene: before it, nothing has a place. */
public final class NextLayout {

    private NextLayout() {
    }

    /** Does that once after the scene's next layout. */
    public static void then(Scene scene, Runnable what) {
        scene.addPostLayoutPulseListener(new Runnable() {

            @Override
            public void run() {
                scene.removePostLayoutPulseListener(this);
                what.run();
            }
        });
        Platform.requestNextPulse();
    }
}
