package org.grenu.desktop.read;

import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.figures.read.StripLayout;

/** What mouse and keys do on the strips. */
final class StripInput {

    private static final double FINE_STEP_SECONDS = 0.1;
    private static final double COARSE_STEP_SECONDS = 1;

    private static final double GRIP = 4;

    private final StripsPane pane;
    private final ReadViewModel model;
    private Optional<Integer> draggedBorder = Optional.empty();
    private double draggedFrom = Double.NaN;

    StripInput(StripsPane pane, ReadViewModel model) {
        this.pane = pane;
        this.model = model;
        listen();
        // On release: the letter itself must not land in the field that opens.
        pane.setOnKeyReleased(event -> {
            if (ownKey(event) && PlaceKey.NOTE.is(event)) {
                pane.askForNote();
            }
        });
    }

    private void listen() {
        pane.setOnMouseMoved(this::hover);
        pane.setOnMouseExited(event -> draggedFrom = Double.NaN);
        pane.setOnMousePressed(this::press);
        pane.setOnMouseDragged(this::drag);
        pane.setOnMouseReleased(this::release);
        pane.setOnMouseClicked(this::click);
        pane.setOnScroll(this::scroll);
        pane.setOnKeyPressed(this::key);
    }

    private void hover(MouseEvent event) {
        StripLayout layout = pane.currentLayout();
        boolean ribbon = layout != null && event.getY() < layout.ribbonBottom() && event.getX() > layout.left();
        pane.describe(ribbon ? model.phaseAt(layout.at(event.getX())) : "");
        pane.setCursor(border(event).isPresent() ? Cursor.H_RESIZE : Cursor.DEFAULT);
        if (layout != null && event.getX() >= layout.left() - 6 && event.getX() <= layout.right() + 6) {
            model.cursorProperty().set(layout.at(event.getX()));
        }
    }

    /** The border of a phase that the mouse can take hold of. */
    private Optional<Integer> border(MouseEvent event) {
        StripLayout layout = pane.currentLayout();
        return layout == null || event.getX() < layout.left() ? Optional.empty()
                : model.borderNear(layout.at(event.getX()),
                        GRIP * layout.view().length() / (layout.right() - layout.left()));
    }

    private void press(MouseEvent event) {
        pane.requestFocus();
        draggedBorder = event.getButton() == MouseButton.PRIMARY ? border(event) : Optional.empty();
        draggedFrom = event.getX();
    }

    private void release(MouseEvent event) {
        StripLayout layout = pane.currentLayout();
        if (layout != null && draggedBorder.isPresent() && Math.abs(event.getX() - draggedFrom) > 1) {
            model.moveBorder(draggedBorder.get(), layout.at(event.getX()));
        }
        draggedBorder = Optional.empty();
        draggedFrom = Double.NaN;
    }

    private void drag(MouseEvent event) {
        StripLayout layout = pane.currentLayout();
        if (layout != null && draggedBorder.isPresent()) {
            model.cursorProperty().set(layout.at(event.getX()));
        } else if (layout != null && !Double.isNaN(draggedFrom) && event.getButton() == MouseButton.PRIMARY) {
            model.pan((draggedFrom - event.getX()) / (layout.right() - layout.left()));
            draggedFrom = event.getX();
        }
    }

    private void click(MouseEvent event) {
        if (event.getClickCount() == 2) {
            model.reset();
        }
    }

    private void scroll(ScrollEvent event) {
        StripLayout layout = pane.currentLayout();
        if (layout == null) {
            return;
        }
        if (event.isShiftDown() || Math.abs(event.getDeltaX()) > Math.abs(event.getDeltaY())) {
            double delta = event.getDeltaX() != 0 ? event.getDeltaX() : event.getDeltaY();
            model.pan(-Math.signum(delta) * 0.1);
        } else if (event.getDeltaY() != 0) {
            model.zoom(layout.at(event.getX()), event.getDeltaY() > 0 ? 1 : -1);
        }
        event.consume();
    }

    /** What is typed into the field of a note comes by here, too. */
    private boolean ownKey(KeyEvent event) {
        return event.getTarget() == pane;
    }

    private void key(KeyEvent event) {
        if (!ownKey(event)) {
            return;
        }
        PlaceKey.at(PlaceKey.Place.STRIPS, event).filter(key -> key != PlaceKey.NOTE).ifPresent(key -> {
            act(key, event);
            event.consume();
        });
    }

    private void act(PlaceKey key, KeyEvent event) {
        int direction = PlaceKey.direction(event);
        switch (key) {
            case STRIP_HAIRLINE ->
                    model.moveCursor(direction * (event.isShiftDown() ? COARSE_STEP_SECONDS : FINE_STEP_SECONDS));
            case BORDER -> model.moveNearestBorder(direction * FINE_STEP_SECONDS);
            case PAN -> model.pan(direction * 0.1);
            case ZOOM_IN -> model.zoomAtCursor(1);
            case ZOOM_OUT -> model.zoomAtCursor(-1);
            case SHOW_ALL -> model.reset();
            case GHOST -> model.switchGhost();
            default -> throw new IllegalStateException(key + " means nothing on the strips");
        }
    }
}
