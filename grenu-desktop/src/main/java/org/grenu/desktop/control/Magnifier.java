package org.grenu.desktop.control;

import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollBar;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import javafx.scene.transform.Scale;

/**
 * Shows everything larger. What is shown is laid out in the room that is left, never in less than it needs: where
 * that is more than the window has, the window shows a part of it and is moved with the bars at its edges, or follows
 * the keyboard.
 */
public final class Magnifier extends Region {

    private static final double BAR = 12;

    private final Region shown;
    private final double leastWidth;
    private final double leastHeight;
    private final IntegerProperty percent = new SimpleIntegerProperty(100);
    private final Scale scale = new Scale(1, 1, 0, 0);
    private final ScrollBar across = bar(Orientation.HORIZONTAL);
    private final ScrollBar down = bar(Orientation.VERTICAL);

    /**
     * Shows that.
     *
     * @param leastWidth  what it needs at 100 %, px
     * @param leastHeight what it needs at 100 %, px
     */
    public Magnifier(Region shown, double leastWidth, double leastHeight) {
        this.shown = shown;
        this.leastWidth = leastWidth;
        this.leastHeight = leastHeight;
        shown.setManaged(false);
        shown.getTransforms().add(scale);
        getChildren().addAll(shown, across, down);
        Rectangle window = new Rectangle();
        window.widthProperty().bind(widthProperty());
        window.heightProperty().bind(heightProperty());
        setClip(window);
        percent.addListener((o, was, is) -> requestLayout());
        sceneProperty().addListener((o, was, is) -> follow(is));
    }

    /** {@return how large, %} */
    public IntegerProperty percentProperty() {
        return percent;
    }

    private ScrollBar bar(Orientation along) {
        ScrollBar bar = new ScrollBar();
        bar.setOrientation(along);
        bar.setManaged(false);
        bar.setVisible(false);
        bar.valueProperty().addListener((o, was, is) -> requestLayout());
        return bar;
    }

    private void follow(Scene scene) {
        if (scene != null) {
            scene.focusOwnerProperty().addListener((o, was, is) -> bringIntoSight(is));
        }
    }

    /** Shows that node once it is laid out, and all of what it stands in over the page, as far as there is room. */
    public void bringIntoSight(Node node) {
        if (node != null && getScene() != null) {
            NextLayout.then(getScene(), () -> revealWithPanel(node));
        }
    }

    private void revealWithPanel(Node node) {
        if (!across.isVisible() && !down.isVisible()) {
            return;
        }
        Node part = node;
        while (part != null && part.getParent() != shown) {
            part = part.getParent();
        }
        if (part != null && part.getLayoutBounds().getWidth() < shown.getWidth()) {
            reveal(part);
        }
        reveal(node);
    }

    private void reveal(Node node) {
        Bounds at = sceneToLocal(node.localToScene(node.getLayoutBounds()));
        move(across, at.getMinX(), at.getMaxX(), getWidth() - BAR);
        move(down, at.getMinY(), at.getMaxY(), getHeight() - BAR);
        shift();
    }

    private void shift() {
        shown.setTranslateX(-across.getValue());
        shown.setTranslateY(-down.getValue());
    }

    private static void move(ScrollBar bar, double from, double to, double room) {
        double by = from < 0 ? from : to > room ? Math.min(from, to - room + bar.getUnitIncrement()) : 0;
        bar.setValue(Math.max(0, Math.min(bar.getMax(), bar.getValue() + by)));
    }

    @Override
    protected void layoutChildren() {
        double factor = percent.get() / 100.0;
        scale.setX(factor);
        scale.setY(factor);
        boolean wide = factor > 1 && leastWidth * factor > getWidth();
        boolean high = factor > 1 && leastHeight * factor > getHeight() - (wide ? BAR : 0);
        double roomAcross = getWidth() - (high ? BAR : 0);
        double roomDown = getHeight() - (wide ? BAR : 0);
        double width = wide ? leastWidth : roomAcross / factor;
        double height = high ? leastHeight : roomDown / factor;
        place(across, width * factor - roomAcross, roomAcross, 0, roomDown);
        place(down, height * factor - roomDown, roomDown, roomAcross, 0);
        shown.resizeRelocate(0, 0, Math.ceil(width), Math.ceil(height));
        shift();
    }

    private static void place(ScrollBar bar, double over, double length, double x, double y) {
        bar.setVisible(over > 0.5);
        bar.setMax(Math.max(0, over));
        bar.setVisibleAmount(over > 0 ? over * length / (length + over) : 0);
        bar.setUnitIncrement(40);
        bar.setBlockIncrement(length / 2);
        bar.setValue(Math.min(bar.getValue(), bar.getMax()));
        boolean flat = bar.getOrientation() == Orientation.HORIZONTAL;
        bar.resizeRelocate(x, y, flat ? length : BAR, flat ? BAR : length);
    }
}
