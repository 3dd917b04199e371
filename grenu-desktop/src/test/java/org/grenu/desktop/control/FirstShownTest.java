package org.grenu.desktop.control;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

class FirstShownTest {

    private static Region boundTo(BooleanProperty shown) {
        Region node = new Region();
        node.visibleProperty().bind(shown);
        return node;
    }

    @Test
    void isInThePaneOnceItIsVisibleAndStaysThere() {
        BooleanProperty shown = new SimpleBooleanProperty(false);
        Pane pane = new Pane(new Region());
        FirstShown.behindIn(pane, boundTo(shown));
        assertThat(pane.getChildren()).hasSize(1);
        shown.set(true);
        assertThat(pane.getChildren()).hasSize(2);
        assertThat(pane.getChildren().get(0).isVisible()).isTrue();
        shown.set(false);
        shown.set(true);
        assertThat(pane.getChildren()).hasSize(2);
    }

    /** What it is bound to holds it weakly: the pane has to keep it. */
    @Test
    void isNotForgottenBefore() throws InterruptedException {
        BooleanProperty shown = new SimpleBooleanProperty(false);
        Pane pane = new Pane();
        FirstShown.inFrontIn(pane, boundTo(shown));
        for (int i = 0; i < 5; i++) {
            System.gc();
            Thread.sleep(20);
        }
        shown.set(true);
        assertThat(pane.getChildren()).hasSize(1);
    }
}
