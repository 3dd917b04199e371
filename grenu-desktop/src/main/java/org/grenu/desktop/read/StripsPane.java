package org.grenu.desktop.read;

import java.awt.Color;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.layout.Region;
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
    private StripLayout layout;

    /** The strips of whatever the model shows, in the treatment's colour. */
    public StripsPane(ReadViewModel model, ObservableValue<Theme> theme, ObjectBinding<Color> treatment) {
        this.model = model;
        this.theme = theme;
        this.treatment = treatment;
        this.hairline = new Hairline(model);
        setId("strips");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Curves of the shot. Left and right move the hairline, plus and minus zoom, 0 shows all.");
        getChildren().addAll(image, hairline);
        new StripInput(this, model);
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

    private void repaint() {
        ReadFigure figure = model.figureProperty().get();
        if (figure == null || getWidth() < 2) {
            image.clear();
            layout = null;
            hairline.update(null);
            return;
        }
        layout = new StripLayout(getWidth(), getHeight(), figure.strips(), model.viewProperty().get());
        hairline.resizeRelocate(0, 0, getWidth(), getHeight());
        hairline.update(layout);
        StripLayout wanted = layout;
        Theme look = theme.getValue();
        Color color = treatment.get();
        image.paint((g, pen, width, height) -> StripPainter.paint(g, look, figure, wanted, pen, color), getWidth(), getHeight());
    }
}
