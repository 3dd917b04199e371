package org.grenu.desktop.compare;

import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.util.Duration;

/** Fades an answer while another question stands above it, so that nobody takes it for the new one's. */
final class Outdated {

    /** What is answered sooner would only flicker. */
    private static final Duration SOON = Duration.millis(120);
    private static final double FADED = 0.18;

    private Outdated() {
    }

    /** Fades that node while the model's answer is not of what is asked. */
    static void fade(CompareViewModel model, Node node) {
        PauseTransition waiting = new PauseTransition(SOON);
        waiting.setOnFinished(event -> node.setOpacity(model.busyProperty().get() ? FADED : 1));
        model.busyProperty().addListener((o, was, is) -> {
            if (is) {
                waiting.playFromStart();
            } else {
                waiting.stop();
                node.setOpacity(1);
            }
        });
    }
}
