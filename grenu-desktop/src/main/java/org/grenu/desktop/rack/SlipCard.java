package org.grenu.desktop.rack;

import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.scene.transform.Scale;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.theme.Theme;
import org.grenu.library.ShotSummary;

/**
 * A slip, which shows one shot after another while the rack is scrolled. It is drawn and not made of labels: to style
 * twenty nodes
 * of each row anew takes longer than a frame.
 */
final class SlipCard extends HBox {

    private static final double PICK_WIDTH = 26;

    private final Rectangle tab = new Rectangle(5, 22);
    private final Drawing drawing = new Drawing();
    private final StackPane body = new StackPane(drawing);
    private ShotSummary shot;
    private SlipText text;
    private Color color;
    private Theme theme;
    /** Only made where shots are compared. */
    private CheckBox pick;

    SlipCard() {
        tab.setTranslateY(10);
        body.getStyleClass().add(Styles.SLIP_BODY);
        body.setAlignment(Pos.BOTTOM_RIGHT);
        HBox.setHgrow(body, Priority.ALWAYS);
        getChildren().addAll(tab, body);
    }

    void show(ShotSummary shown, SlipText words, Color colour, Theme light) {
        shot = shown;
        text = words;
        color = colour;
        theme = light;
        tab.setFill(colour);
        drawing.paint();
    }

    /** {@return whether all its numbers are shown whole} */
    boolean numbersFit() {
        return text == null || SlipPaint.needed(text) <= drawing.getWidth();
    }

    /** Offers to let the shot take part in the comparison. */
    void offerToPick(boolean picked, Consumer<ShotSummary> toggle) {
        if (pick == null) {
            makePick();
        }
        ShotSummary offered = shot;
        pick.setId("pick-" + shot.number());
        pick.setSelected(picked);
        pick.setAccessibleText("Compare shot " + shot.number());
        pick.setOnAction(event -> toggle.accept(offered));
    }

    private void makePick() {
        pick = new CheckBox();
        pick.getStyleClass().add(Styles.SLIP_PICK);
        pick.setFocusTraversable(false);
        pick.setMinWidth(Region.USE_PREF_SIZE);
        body.getChildren().add(pick);
        drawing.paint();
    }

    void offerNothing() {
        if (pick != null) {
            body.getChildren().remove(pick);
            pick = null;
            drawing.paint();
        }
    }

    /** The drawn part, as wide as there is room, with as many pixels as it is shown with. */
    private final class Drawing extends Region {

        private final Canvas canvas = new Canvas(0, SlipPaint.HEIGHT);
        private final Scale toSize = new Scale(1, 1, 0, 0);

        Drawing() {
            setMinSize(0, SlipPaint.HEIGHT);
            setPrefSize(0, SlipPaint.HEIGHT);
            setMaxHeight(SlipPaint.HEIGHT);
            canvas.getTransforms().add(toSize);
            getChildren().add(canvas);
        }

        @Override
        protected void layoutChildren() {
            if (canvas.getWidth() != getWidth() * magnified()) {
                paint();
            }
        }

        private double magnified() {
            return Math.max(1, getLocalToSceneTransform().getMxx());
        }

        void paint() {
            double times = magnified();
            canvas.setWidth(getWidth() * times);
            canvas.setHeight(SlipPaint.HEIGHT * times);
            toSize.setX(1 / times);
            toSize.setY(1 / times);
            if (text != null && getWidth() > 0) {
                GraphicsContext g = canvas.getGraphicsContext2D();
                g.setTransform(times, 0, 0, times, 0, 0);
                new SlipPaint(g, theme, getWidth()).paint(text, shot.digest().miniature(), color,
                        pick == null ? 0 : PICK_WIDTH);
            }
        }
    }
}
