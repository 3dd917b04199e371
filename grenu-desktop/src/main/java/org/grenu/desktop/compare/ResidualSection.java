package org.grenu.desktop.compare;

import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.RowResidual;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.compare.ResidualPainter;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;

/** What the model leaves unexplained of each shot. */
final class ResidualSection extends AnswerSection {

    private static final double HEIGHT = 84;

    private final Appearance appearance;
    private final Strip strip = new Strip();
    private ResponseAnswer answer;

    ResidualSection(CompareViewModel model, Appearance appearance) {
        super("Residuals, by shot", model);
        this.appearance = appearance;
        ObservableValue<Theme> theme = appearance.themeProperty();
        theme.addListener((o, was, is) -> strip.repaint());
        getChildren().add(strip);
    }

    @Override
    void show(Comparison comparison) {
        answer = comparison.answers().stream().findFirst().filter(first -> first.rows().size() > 1).orElse(null);
        setVisible(answer != null);
        setManaged(answer != null);
        if (answer != null) {
            remark().setText(answer.response().title() + ", " + answer.response().differenceUnit());
            strip.repaint();
        }
    }

    /** The painted residuals; a shot is named under the mouse. */
    private final class Strip extends Region {
        private final FigureImage image = new FigureImage();
        private final Tooltip shot = new Tooltip();

        Strip() {
            setMinHeight(HEIGHT);
            setPrefHeight(HEIGHT);
            setAccessibleText(
                    "What the model leaves unexplained of each shot; tint: the spread; ring: a shot that draws "
                            + "the model to "
                            + "itself");
            getChildren().add(image);
            widthProperty().addListener((o, was, is) -> repaint());
            setOnMouseMoved(event -> name(event.getX()));
        }

        private void name(double x) {
            Tooltip.uninstall(this, shot);
            List<RowResidual> rows = answer == null ? List.of() : ResidualPainter.inOrder(answer);
            int i = (int) Math.floor(x / getWidth() * rows.size());
            if (i >= 0 && i < rows.size()) {
                RowResidual row = rows.get(i);
                shot.setText("Shot " + row.shot().name() + ": residual " + Reported.fixed(row.residual(), 2) + " of "
                        + Reported.fixed(row.value(), 2)
                        + ", leverage " + Reported.fixed(row.leverage(), 2));
                Tooltip.install(this, shot);
            }
        }

        private void repaint() {
            if (answer == null || getWidth() < 2) {
                return;
            }
            ResponseAnswer wanted = answer;
            Theme look = appearance.themeProperty().get();
            TreatmentScale colors = appearance.scale().get();
            image.paint(
                    (g, pen, width, height) -> ResidualPainter.paint(g, look, wanted,
                            row -> colors.color(row.shot().record(), look), width, height),
                    getWidth(), HEIGHT);
        }
    }
}
