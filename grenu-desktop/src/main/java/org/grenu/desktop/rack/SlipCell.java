package org.grenu.desktop.rack;

import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import org.grenu.core.curve.Samples;
import org.grenu.desktop.control.FxColor;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.desk.Workspace;
import org.grenu.library.ShotSummary;

/** A row of the rack: a day's heading or a slip. */
final class SlipCell extends ListCell<RackRow> {

    private final Appearance appearance;
    private final StudyDesk desk;
    private final PickedShots picked;
    private final ObservableValue<Workspace> workspace;

    SlipCell(Appearance appearance, StudyDesk desk, PickedShots picked, ObservableValue<Workspace> workspace) {
        this.desk = desk;
        this.picked = picked;
        this.workspace = workspace;
        this.appearance = appearance;
        setPrefWidth(0);
    }

    @Override
    protected void updateItem(RackRow row, boolean empty) {
        super.updateItem(row, empty);
        getStyleClass().remove(Styles.SLIP_DAY);
        setText(null);
        setGraphic(null);
        setAccessibleText(null);
        setDisable(false);
        if (empty || row == null) {
            return;
        }
        if (row instanceof RackRow.DayHeading heading) {
            getStyleClass().add(Styles.SLIP_DAY);
            setGraphic(day(heading));
        } else if (row instanceof RackRow.Slip slip) {
            setGraphic(slip(slip.shot()));
        }
    }

    private static Node day(RackRow.DayHeading heading) {
        Label day = label(heading.day(), Styles.HEADING);
        Label count = label(heading.shots() == 1 ? "1 shot" : heading.shots() + " shots", Styles.MUTED);
        BorderPane line = new BorderPane();
        line.setLeft(day);
        line.setRight(count);
        return line;
    }

    private Node slip(ShotSummary shot) {
        SlipText text = SlipText.of(shot, appearance.colourByProperty().get(),
                desk.settingsProperty().get().convention());
        Color color = FxColor.of(appearance.scale().get().color(shot.sheet(), appearance.themeProperty().get()));
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        setAccessibleText("Shot " + text.number() + ", " + text.masses() + ", " + text.time() + ", extraction yield "
                + (text.yield().isEmpty() ? "unknown" : text.yield() + " " + text.expanded() + " percent as dosed"));
        Label masses = label(text.masses(), Styles.SLIP_MASSES);
        Label time = label(text.time().isEmpty() ? "" : "· " + text.time(), Styles.SLIP_MASSES);
        HBox first = new HBox(4, masses, time);
        HBox second = text.yield().isEmpty()
                ? new HBox(4, label("EY " + text.missing(), Styles.MUTED, Styles.CAPTION))
                : new HBox(4, label("EY", Styles.MUTED), label(text.yield(), Styles.STRONG), label(text.expanded(), Styles.MUTED));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label number = label(text.number(), Styles.MUTED);
        number.setMinWidth(Region.USE_PREF_SIZE);
        second.getChildren().addAll(gap, number);
        VBox words = new VBox(1, first, second);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox top = new HBox(8, miniature(shot.digest().miniature(), color), words);
        VBox slip = new VBox(5, top, workspace.getValue() == Workspace.COMPARE ? new HBox(chips(text, color), pick(shot)) : chips(text, color));
        slip.getStyleClass().add(Styles.SLIP_BODY);
        Rectangle tab = new Rectangle(5, 22, color);
        tab.setTranslateY(10);
        HBox row = new HBox(tab, slip);
        HBox.setHgrow(slip, Priority.ALWAYS);
        return row;
    }

    /** Whether the shot takes part in the comparison. */
    private Node pick(ShotSummary shot) {
        CheckBox box = new CheckBox();
        box.setId("pick-" + shot.number());
        box.getStyleClass().add(Styles.SLIP_PICK);
        box.setSelected(picked.contains(shot));
        box.setFocusTraversable(false);
        box.setAccessibleText("Compare shot " + shot.number());
        box.setMinWidth(Region.USE_PREF_SIZE);
        box.setOnAction(event -> picked.toggle(shot));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox end = new HBox(gap, box);
        end.setMinWidth(26);
        HBox.setHgrow(end, Priority.ALWAYS);
        return end;
    }

    private static Node chips(SlipText text, Color color) {
        HBox chips = new HBox(9);
        for (int i = 0; i < text.chips().size(); i++) {
            Label chip = label(text.chips().get(i), Styles.CHIP);
            if (i == 0) {
                chip.getStyleClass().add(Styles.STRONG);
                chip.setGraphic(new Circle(3.2, color));
                chip.setGraphicTextGap(5);
            }
            chip.setMinWidth(i == 0 ? Region.USE_PREF_SIZE : 0);
            chips.getChildren().add(chip);
        }
        if (!text.fault().isEmpty()) {
            Label fault = label("faulty", Styles.CHIP, Styles.FAULTY);
            fault.setMinWidth(Region.USE_PREF_SIZE);
            chips.getChildren().add(fault);
        }
        chips.setPadding(new Insets(0, 0, 0, 1));
        return chips;
    }

    /** The pressure strip, too small for axes: only its shape is to be seen. */
    private static Node miniature(Samples points, Color color) {
        return Miniature.of(points, color, 52, 30);
    }

    private static Label label(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        label.setTextOverrun(OverrunStyle.ELLIPSIS);
        return label;
    }
}
