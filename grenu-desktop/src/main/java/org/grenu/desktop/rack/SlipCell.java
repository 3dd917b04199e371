package org.grenu.desktop.rack;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.control.FxColor;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.theme.Theme;
import org.grenu.library.ShotSummary;

/** A row of the rack: a day's heading or a slip. */
final class SlipCell extends ListCell<RackRow> {

    private final Appearance appearance;
    private final StudyDesk desk;
    private final PickedShots picked;
    private final ObservableValue<Boolean> picking;
    /** Made once and filled anew: to style new nodes for each row would take longer than a frame. */
    private final SlipCard card = new SlipCard();
    private final Label day = new Label();
    private final Label count = new Label();
    private final BorderPane heading = new BorderPane();
    private final StackPane stack = new StackPane(heading, card);

    SlipCell(Appearance appearance, StudyDesk desk, PickedShots picked, ObservableValue<Boolean> picking,
            SlipMenu menu) {
        this.desk = desk;
        this.picked = picked;
        this.picking = picking;
        this.appearance = appearance;
        day.getStyleClass().add(Styles.HEADING);
        count.getStyleClass().add(Styles.MUTED);
        heading.setLeft(day);
        heading.setRight(count);
        heading.setPadding(new Insets(6, 2, 1, 0));
        setPrefWidth(0);
        setGraphic(stack);
        setOnContextMenuRequested(event -> {
            if (getItem() instanceof RackRow.Slip slip) {
                menu.show(this, slip.shot(), event.getScreenX(), event.getScreenY());
            }
        });
    }

    @Override
    protected void updateItem(RackRow row, boolean empty) {
        super.updateItem(row, empty);
        if (!empty && row instanceof RackRow.DayHeading of) {
            day.setText(of.day());
            count.setText(of.shots() == 1 ? "1 shot" : of.shots() + " shots");
            show(heading, null);
        } else if (!empty && row instanceof RackRow.Slip slip) {
            SlipText text = SlipText.of(slip.shot(), desk, appearance.colourByProperty().get());
            fill(slip.shot(), text);
            show(card, spoken(text));
            Hint.on(this, told(slip.shot(), text));
        } else {
            show(null, null);
        }
    }

    private void show(Node shown, String accessible) {
        for (Node node : stack.getChildren()) {
            node.setVisible(node == shown);
            node.setManaged(node == shown);
        }
        if (shown != card) {
            Hint.on(this, "");
            card.offerNothing();
        }
        setAccessibleText(accessible);
    }

    private void fill(ShotSummary shot, SlipText text) {
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        Theme theme = appearance.themeProperty().get();
        card.show(shot, text, FxColor.of(appearance.scale().get().color(shot.record(), theme)), theme);
        if (picking.getValue()) {
            card.offerToPick(picked.contains(shot), picked::toggle);
        } else {
            card.offerNothing();
        }
    }

    /** What a slip has no room for: the log's file, and when it was pulled. */
    private static String told(ShotSummary shot, SlipText text) {
        return Stream.of(Optional.of("Shot " + shot.number()), shot.record().text(RecordField.FILE),
                shot.record().text(RecordField.NAME),
                shot.record().entry(RecordField.PULLED_AT).map(at -> "pulled " + at.replace('T', ' ')),
                Optional.of(String.join(" · ", text.chips())))
                .flatMap(Optional::stream)
                .filter(part -> !part.isBlank())
                .collect(Collectors.joining("\n"));
    }

    private static String spoken(SlipText text) {
        return "Shot " + text.number() + ", " + text.masses() + ", " + text.time() + ", extraction yield "
                + (text.yield().isEmpty() ? "unknown" : text.yield() + " " + text.expanded() + " percent as dosed")
                + ", " + String.join(", ", text.chips())
                + (text.fault().isEmpty() ? "" : ", faulty: " + text.fault());
    }
}
