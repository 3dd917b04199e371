package org.grenu.desktop.importing;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.layout.Priority;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.read.ReadFigure;
import org.grenu.figures.read.StripLayout;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.theme.Theme;

/** The strips that a mapping makes, shot by shot. */
final class MappingStrips extends VBox {

    private final Appearance appearance;
    private final FigureImage image = new FigureImage();
    private final Region canvas = new Region() {
        {
            getChildren().add(image);
        }
    };
    private final Label which = new Label();
    private final Button before = step("mapping-before", "‹", "Shot before", -1);
    private final Button after = step("mapping-after", "›", "Next shot", 1);
    private List<ReadFigure> figures = List.of();
    private int shown;

    MappingStrips(Appearance appearance) {
        super(4);
        this.appearance = appearance;
        HBox top = chooser();
        canvas.getStyleClass().add(Styles.WORK);
        VBox.setVgrow(canvas, Priority.ALWAYS);
        setPrefWidth(540);
        setMinWidth(280);
        getChildren().addAll(top, canvas);
        canvas.widthProperty().addListener((o, was, is) -> paint());
        canvas.heightProperty().addListener((o, was, is) -> paint());
    }

    private HBox chooser() {
        which.setId("mapping-which");
        which.getStyleClass().add(Styles.MUTED);
        HBox top = new HBox(4, which, before, after);
        top.setAlignment(Pos.CENTER_RIGHT);
        return top;
    }

    void show(List<ReadFigure> made) {
        figures = made;
        shown = Math.min(shown, Math.max(0, made.size() - 1));
        paint();
    }

    private Button step(String id, String sign, String words, int by) {
        Button button = new Button(sign);
        button.setId(id);
        button.getStyleClass().add(Styles.QUIET);
        button.setAccessibleText(words);
        button.setOnAction(event -> {
            shown = Math.max(0, Math.min(figures.size() - 1, shown + by));
            paint();
        });
        return button;
    }

    private void paint() {
        before.setDisable(shown == 0);
        after.setDisable(shown >= figures.size() - 1);
        which.setText(figures.isEmpty() ? "Nothing to show yet" : "Preview of shot " + (shown + 1));
        if (figures.isEmpty() || canvas.getWidth() < 2) {
            image.clear();
            return;
        }
        paint(figures.get(shown));
    }

    private void paint(ReadFigure figure) {
        Theme theme = appearance.themeProperty().get();
        StripPainter.Inks inks = new StripPainter.Inks(theme.color("seam-3"), theme.color("slate"));
        image.paint(
                (g, pen, width, height) -> StripPainter.paint(g, theme, figure,
                        new StripLayout(width, height, figure, figure.whole()), pen, inks),
                canvas.getWidth(), canvas.getHeight());
    }
}
