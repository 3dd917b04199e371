package org.grenu.desktop.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.animation.PauseTransition;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.Target;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.plan.ProfileFigure;
import org.grenu.figures.plan.ProfileHandle;
import org.grenu.figures.plan.ProfileLayout;
import org.grenu.figures.plan.ProfilePainter;
import org.grenu.figures.theme.Theme;

/**
 * The profile on its strips. What is dragged is kept when it is let go; Tab walks the handles, arrows move the chosen
 * one by 0.1, with Shift by 1.
 */
final class ProfileEditor extends Region {

    private static final double FINE = 0.1;
    private static final double COARSE = 1;
    private static final double SIDE = 14;
    private static final double USUAL_GRAMS = 20;
    private static final Duration AFTER_KEYS = Duration.millis(600);

    private final ProfilesViewModel model;
    private final Appearance appearance;
    private final FigureImage image = new FigureImage();
    private final PauseTransition keysAreOver = new PauseTransition(AFTER_KEYS);
    private ProfileHandle dragged;

    ProfileEditor(ProfilesViewModel model, Appearance appearance) {
        this.model = model;
        this.appearance = appearance;
        setId("profile-editor");
        getStyleClass().add(Styles.STRIPS);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setFocusTraversable(true);
        setMinHeight(220);
        getChildren().add(image);
        model.figureProperty().addListener((o, was, is) -> repaint());
        model.handleProperty().addListener((o, was, is) -> repaint());
        appearance.themeProperty().addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        heightProperty().addListener((o, was, is) -> repaint());
        setOnMouseMoved(event -> setCursor(at(event).isPresent() ? Cursor.HAND : Cursor.DEFAULT));
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(event -> letGo());
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        keysAreOver.setOnFinished(event -> model.keep(model.profile()));
    }

    private ProfileLayout layoutNow() {
        return new ProfileLayout(model.figureProperty().get(), getWidth() - 2 * SIDE, getHeight());
    }

    private Optional<ProfileHandle> at(MouseEvent event) {
        return model.figureProperty().get() == null ? Optional.empty()
                : layoutNow().at(event.getX() - SIDE, event.getY());
    }

    private void pressed(MouseEvent event) {
        requestFocus();
        dragged = at(event).orElse(null);
        model.handleProperty().set(dragged);
        if (dragged == null && model.figureProperty().get() != null) {
            layoutNow().stepAt(event.getX() - SIDE, event.getY()).ifPresent(model.stepProperty()::set);
        } else if (dragged != null) {
            model.stepProperty().set(dragged.step());
        }
    }

    private void drag(MouseEvent event) {
        if (dragged == null || model.figureProperty().get() == null) {
            return;
        }
        ProfileLayout layout = layoutNow();
        Profile changed = dragged.set(model.profile(), layout.valueAt(dragged, event.getX() - SIDE, event.getY()));
        if (dragged.kind() == ProfileHandle.Kind.RAMP) {
            ProfileHandle level = new ProfileHandle(ProfileHandle.Kind.LEVEL, dragged.step(), -1, dragged.channel(), 0,
                    0);
            changed = level.set(changed, layout.valueAt(level, event.getX() - SIDE, event.getY()));
        }
        model.draw(changed);
    }

    private void letGo() {
        if (dragged != null) {
            dragged = null;
            model.keep(model.profile());
        }
    }

    private void key(KeyEvent event) {
        if (model.figureProperty().get() == null) {
            return;
        }
        boolean taken = switch (event.getCode()) {
            case TAB -> walk(event.isShiftDown() ? -1 : 1);
            case UP, RIGHT -> nudge(event.isShiftDown() ? COARSE : FINE);
            case DOWN, LEFT -> nudge(event.isShiftDown() ? -COARSE : -FINE);
            case INSERT -> insert();
            case DELETE -> delete();
            case ESCAPE -> takeBack();
            default -> false;
        };
        if (taken) {
            event.consume();
        }
    }

    /** From the last handle on the focus leaves the strips. */
    private boolean walk(int by) {
        List<ProfileHandle> handles = layoutNow().handles();
        ProfileHandle now = model.handleProperty().get();
        int index = -1;
        for (int i = 0; i < handles.size(); i++) {
            index = handles.get(i).same(now) ? i : index;
        }
        int next = now == null ? by > 0 ? 0 : handles.size() - 1 : index + by;
        boolean inside = next >= 0 && next < handles.size();
        model.handleProperty().set(inside ? handles.get(next) : null);
        if (inside) {
            model.stepProperty().set(handles.get(next).step());
            setAccessibleText(handles.get(next).words(model.profile()));
        }
        return inside;
    }

    private boolean nudge(double by) {
        ProfileHandle now = model.handleProperty().get();
        if (now == null) {
            return false;
        }
        model.draw(now.set(model.profile(), now.value(model.profile()) + by));
        setAccessibleText(now.words(model.profile()));
        keysAreOver.playFromStart();
        return true;
    }

    /** Adds a step behind the last. */
    void addStep() {
        if (model.profile() != null) {
            model.stepProperty().set(model.profile().steps().size() - 1);
            insert();
        }
    }

    private boolean insert() {
        int place = Math.max(0, model.stepProperty().get() + 1);
        ProfileStep before = model.profile().steps().get(Math.max(0, place - 1));
        ProfileStep added = new ProfileStep("step " + (place + 1), Target.PRESSURE,
                new ProfileStep.Course(OptionalDouble.empty(),
                        before.target() == Target.PRESSURE ? before.to() : 6, 0, 0.5),
                OptionalDouble.empty(), before.water(), List.of());
        Profile changed = model.profile();
        // A step without an exit would never let the next one come.
        if (before.exits().isEmpty()) {
            changed = changed.with(place - 1, before.until(List.of(new Exit(Exit.Kind.MASS, USUAL_GRAMS))));
        }
        model.keep(changed.inserted(place, added));
        return true;
    }

    private boolean delete() {
        int step = model.stepProperty().get();
        if (step < 0 || model.profile().steps().size() < 2) {
            return false;
        }
        model.handleProperty().set(null);
        model.keep(model.profile().without(Math.min(step, model.profile().steps().size() - 1)));
        model.stepProperty().set(-1);
        return true;
    }

    private boolean takeBack() {
        if (model.handleProperty().get() == null) {
            return false;
        }
        keysAreOver.stop();
        dragged = null;
        model.handleProperty().set(null);
        model.takeBack();
        return true;
    }

    private void repaint() {
        ProfileFigure shown = model.figureProperty().get();
        if (shown == null || getWidth() < 2 * SIDE + 2 || getHeight() < 2) {
            image.clear();
            return;
        }
        Theme theme = appearance.themeProperty().get();
        ProfileHandle chosen = model.handleProperty().get();
        image.setLayoutX(SIDE);
        image.paint((g, pen, width, height) -> ProfilePainter.paint(g, theme, shown, chosen, width, height),
                getWidth() - 2 * SIDE, getHeight());
    }
}
