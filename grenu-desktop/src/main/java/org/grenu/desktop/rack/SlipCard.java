package org.grenu.desktop.rack;

import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import org.grenu.desktop.control.Styles;
import org.grenu.library.ShotSummary;

/** A slip's nodes, which show one shot after another while the rack is scrolled. */
final class SlipCard extends HBox {

    private static final int CHIPS = 4;

    private final Rectangle tab = new Rectangle(5, 22);
    private final Miniature miniature = new Miniature();
    private final Label masses = label(Styles.SLIP_MASSES);
    private final Label time = label(Styles.SLIP_MASSES);
    private final Label unknown = label(Styles.MUTED, Styles.CAPTION);
    private final Label ey = label(Styles.MUTED);
    private final Label yield = label(Styles.STRONG);
    private final Label expanded = label(Styles.MUTED);
    private final Label number = label(Styles.MUTED);
    private final Circle dot = new Circle(3.2);
    private final HBox chips = new HBox(9);
    private final Label faulty = label(Styles.CHIP, Styles.FAULTY);
    private final HBox line = new HBox(chips);
    /** Only made where shots are compared: every node of a row is styled while it is scrolled. */
    private CheckBox pick;

    SlipCard() {
        number.setMinWidth(Region.USE_PREF_SIZE);
        ey.setText("EY");
        faulty.setText("faulty");
        faulty.setMinWidth(Region.USE_PREF_SIZE);
        for (int i = 0; i < CHIPS; i++) {
            Label chip = label(Styles.CHIP);
            chip.setMinWidth(0);
            chips.getChildren().add(chip);
        }
        Label first = (Label) chips.getChildren().get(0);
        first.getStyleClass().add(Styles.STRONG);
        first.setGraphic(dot);
        first.setGraphicTextGap(5);
        first.setMinWidth(Region.USE_PREF_SIZE);
        chips.getChildren().add(faulty);
        chips.setPadding(new Insets(0, 0, 0, 1));
        VBox words = new VBox(1, new HBox(4, masses, time), new HBox(4, unknown, ey, yield, expanded, gap(), number));
        HBox.setHgrow(words, Priority.ALWAYS);
        VBox slip = new VBox(5, new HBox(8, miniature, words), line);
        slip.getStyleClass().add(Styles.SLIP_BODY);
        tab.setTranslateY(10);
        HBox.setHgrow(slip, Priority.ALWAYS);
        getChildren().addAll(tab, slip);
    }

    void show(ShotSummary shot, SlipText text, Color color) {
        tab.setFill(color);
        dot.setFill(color);
        miniature.show(shot.digest().miniature(), color);
        masses.setText(text.masses());
        show(time, !text.time().isEmpty(), "· " + text.time());
        boolean known = !text.yield().isEmpty();
        show(unknown, !known, "EY " + text.missing());
        show(ey, known, "EY");
        show(yield, known, text.yield());
        show(expanded, known, text.expanded());
        number.setText(text.number());
        for (int i = 0; i < CHIPS; i++) {
            show((Label) chips.getChildren().get(i), i < text.chips().size(), i < text.chips().size() ? text.chips().get(i) : "");
        }
        show(faulty, !text.fault().isEmpty(), "faulty");
    }

    /** Offers to let the shot take part in the comparison. */
    void offerToPick(ShotSummary shot, boolean picked, Consumer<ShotSummary> toggle) {
        if (pick == null) {
            pick = new CheckBox();
            pick.getStyleClass().add(Styles.SLIP_PICK);
            pick.setFocusTraversable(false);
            pick.setMinWidth(Region.USE_PREF_SIZE);
            HBox end = new HBox(gap(), pick);
            end.setMinWidth(26);
            HBox.setHgrow(end, Priority.ALWAYS);
            line.getChildren().add(end);
        }
        pick.setId("pick-" + shot.number());
        pick.setSelected(picked);
        pick.setAccessibleText("Compare shot " + shot.number());
        pick.setOnAction(event -> toggle.accept(shot));
    }

    void offerNothing() {
        if (pick != null) {
            pick = null;
            line.getChildren().remove(1);
        }
    }

    /** A hidden label keeps its text: one that is emptied would be styled anew. */
    private static void show(Label label, boolean is, String text) {
        if (is) {
            label.setText(text);
        }
        label.setVisible(is);
        label.setManaged(is);
    }

    private static Region gap() {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        return gap;
    }

    private static Label label(String... styles) {
        Label label = new Label();
        label.getStyleClass().addAll(styles);
        label.setTextOverrun(OverrunStyle.ELLIPSIS);
        return label;
    }
}
