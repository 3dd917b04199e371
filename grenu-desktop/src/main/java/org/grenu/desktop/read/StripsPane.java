package org.grenu.desktop.read;

import java.awt.Color;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.StripLayout;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.theme.Theme;

/** The strips on screen: the painted figure with the hairline above it. */
public final class StripsPane extends Region {

    private final ReadViewModel model;
    private final ObservableValue<Theme> theme;
    private final ObjectBinding<Color> treatment;
    private final FigureImage image = new FigureImage();
    private final Hairline hairline;
    private final TextField note = noteField();
    private final Tooltip phase = new Tooltip();
    private StripLayout layout;

    /** The strips of whatever the model shows, in the treatment's colour. */
    public StripsPane(ReadViewModel model, ObservableValue<Theme> theme, ObjectBinding<Color> treatment) {
        this.model = model;
        this.theme = theme;
        this.treatment = treatment;
        this.hairline = new Hairline(model);
        makeAccessible();
        getChildren().addAll(image, hairline, note);
        new StripInput(this, model);
        followModel();
    }

    private void makeAccessible() {
        setId("strips");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(
                "Curves of the shot. Left and right move the hairline, plus and minus zoom, 0 shows all, N notes "
                        + "something at the hairline, "
                        + "G holds other shots against this one, Alt with left and right moves the nearest border of "
                        + "a phase.");
    }

    private void followModel() {
        model.figureProperty().addListener((o, was, is) -> repaint());
        model.viewProperty().addListener((o, was, is) -> repaint());
        model.cursorProperty().addListener((o, was, is) -> hairline.update(layout));
        theme.addListener((o, was, is) -> repaint());
        treatment.addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        heightProperty().addListener((o, was, is) -> repaint());
    }

    /** {@return where everything lies now; null while no shot is open} */
    StripLayout currentLayout() {
        return layout;
    }

    /** Shows those words beside the mouse; none takes them away. */
    void describe(String words) {
        Tooltip.uninstall(this, phase);
        if (!words.isEmpty()) {
            phase.setText(words);
            Tooltip.install(this, phase);
        }
    }

    /** Opens a field at the hairline; Enter notes what is typed, Esc nothing. */
    void askForNote() {
        if (layout == null || Double.isNaN(model.cursorProperty().get())) {
            return;
        }
        note.setText("");
        double width = 240;
        double x = Math.max(layout.left(),
                Math.min(layout.right() - width, layout.x(model.cursorProperty().get()) + 8));
        note.resizeRelocate(x, layout.plotsTop() + 10, width, 26);
        note.setVisible(true);
        note.requestFocus();
    }

    private TextField noteField() {
        TextField field = new TextField();
        field.setId("note");
        field.setPromptText("Note at the hairline, Enter keeps it");
        field.setAccessibleText("Note at the hairline");
        field.getStyleClass().add(Styles.ENTRY);
        field.setManaged(false);
        field.setVisible(false);
        field.setOnAction(event -> keepNote(field));
        field.setOnKeyPressed(this::leaveOnEscape);
        field.focusedProperty().addListener((o, was, is) -> field.setVisible(is));
        return field;
    }

    private void keepNote(TextField field) {
        model.addNote(field.getText());
        requestFocus();
    }

    private void leaveOnEscape(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            requestFocus();
            event.consume();
        }
    }

    private void repaint() {
        ReadFigure figure = model.figureProperty().get();
        if (figure == null || getWidth() < 2) {
            image.clear();
            layout = null;
            hairline.update(null);
            return;
        }
        layout = new StripLayout(getWidth(), getHeight(), figure, model.viewProperty().get());
        hairline.resizeRelocate(0, 0, getWidth(), getHeight());
        hairline.update(layout);
        paint(figure, layout);
    }

    private void paint(ReadFigure figure, StripLayout wanted) {
        Theme look = theme.getValue();
        StripPainter.Inks inks = new StripPainter.Inks(treatment.get(), look.color("slate"));
        image.paint((g, pen, width, height) -> StripPainter.paint(g, look, figure, wanted, pen, inks), getWidth(),
                getHeight());
    }
}
