package org.grenu.desktop.control;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
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
    void isInThePaneOnceItIsVisibleAndStaysThere() throws InterruptedException {
        BooleanProperty shown = new SimpleBooleanProperty(false);
        Pane pane = new Pane(new Region());
        AtomicInteger made = new AtomicInteger();
        FirstShown.behindIn(pane, shown.and(new SimpleBooleanProperty(true)), () -> {
            made.incrementAndGet();
            return new Region();
        });
        collectGarbage();
        assertThat(pane.getChildren()).hasSize(1);
        assertThat(made).hasValue(0);
        shown.set(true);
        assertThat(pane.getChildren()).hasSize(2);
        assertThat(pane.getChildren().get(0).isVisible()).isTrue();
        shown.set(false);
        assertThat(pane.getChildren().get(0).isVisible()).isFalse();
        shown.set(true);
        assertThat(pane.getChildren()).hasSize(2);
        assertThat(made).hasValue(1);
    }

    /** What it is bound to holds it weakly: the pane has to keep it. */
    @Test
    void isNotForgottenBefore() throws InterruptedException {
        BooleanProperty shown = new SimpleBooleanProperty(false);
        Pane pane = new Pane();
        FirstShown.inFrontIn(pane, boundTo(shown));
        collectGarbage();
        shown.set(true);
        assertThat(pane.getChildren()).hasSize(1);
    }

    private static void collectGarbage() throws InterruptedException {
        for (int i = 0; i < 5; i++) {
            System.gc();
            Thread.sleep(20);
        }
    }
}
