package org.grenu.desktop.plan;

import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Rectangle;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.desktop.control.FxColor;
import org.grenu.figures.theme.Theme;

/** The rails at the left of a rung: the rung in its colour, and below it the mark of what was changed to get there. */
final class LadderRail extends Pane {

    static final double WIDTH = 38;
    private static final double FIRST_RAIL = 4;
    private static final double SECOND_RAIL = 29;
    private static final double RUNG_AT = 9;
    private static final double MARK_AT = 50;

    private final Region first = rail();
    private final Region second = rail();
    private final Rectangle rung = new Rectangle(0, RUNG_AT, 34, 5);
    private final Label mark = new Label();

    LadderRail(boolean last) {
        setMinWidth(WIDTH);
        setPrefWidth(WIDTH);
        first.setLayoutX(FIRST_RAIL);
        second.setLayoutX(SECOND_RAIL);
        rung.setArcWidth(2);
        rung.setArcHeight(2);
        StackPane place = new StackPane(mark);
        place.setAlignment(Pos.CENTER);
        place.setLayoutX(FIRST_RAIL);
        place.setLayoutY(MARK_AT - 10);
        place.setPrefSize(SECOND_RAIL - FIRST_RAIL, 20);
        getChildren().addAll(first, second, rung, place);
        heightProperty().addListener((o, was, is) -> {
            double high = last ? RUNG_AT + 8 : is.doubleValue();
            first.resize(1.5, high);
            second.resize(1.5, high);
        });
    }

    private static Region rail() {
        Region rail = new Region();
        rail.getStyleClass().add("ladder-rail");
        rail.setManaged(false);
        return rail;
    }

    /** Shows a rung in that colour that was reached by such a step. */
    void show(Paint colour, Step step) {
        rung.setFill(colour);
        mark.getStyleClass().setAll("label", "ladder-mark", "step-" + step.name().toLowerCase(Locale.ROOT));
        mark.setText(switch (step) {
            case ONE_THING -> "✓";
            case REPEAT -> "=";
            case SEVERAL_THINGS -> "×";
            case FIRST, APART -> "";
        });
    }

    /** {@return a rung that is not pulled yet: grain, since it is meant and not done} */
    static Node proposed(Theme theme) {
        Rectangle rung = new Rectangle(0, RUNG_AT - 2, 34, 10);
        rung.setArcWidth(3);
        rung.setArcHeight(3);
        rung.setFill(FxColor.of(theme.color("stipple-ground")));
        rung.setStroke(FxColor.of(theme.color("accent")));
        Region first = rail();
        first.setLayoutX(FIRST_RAIL);
        Region second = rail();
        second.setLayoutX(SECOND_RAIL);
        Pane pane = new Pane(first, second, rung);
        pane.setMinWidth(WIDTH);
        pane.heightProperty().addListener((o, was, is) -> {
            first.setLayoutY(RUNG_AT);
            second.setLayoutY(RUNG_AT);
            first.resize(1.5, is.doubleValue() - RUNG_AT);
            second.resize(1.5, is.doubleValue() - RUNG_AT);
        });
        return pane;
    }
}
