package org.grenu.desktop.ledger;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.control.OverlayPanel;
import org.grenu.desktop.control.Styles;

/** Shows what copying from the previous shot would write, each to be left out, before it is written. */
public final class CopyPanel extends OverlayPanel {

    private static final double MOST_HEIGHT = 420;
    private static final double VALUE_WIDTH = 300;

    private final LedgerViewModel model;
    private final ObservableValue<DisplayUnits> units;
    private final Label title = new Label();
    private final GridPane rows = new GridPane();
    private final Button copy = new Button("Copy");
    private final Map<RecordEdit, CheckBox> boxes = new LinkedHashMap<>();
    private LedgerViewModel.Copy shown;

    /** The panel of that ledger. */
    public CopyPanel(LedgerViewModel model, ObservableValue<DisplayUnits> units) {
        super("copy-panel", 520);
        this.model = model;
        this.units = units;
        title.getStyleClass().add(Styles.HEADING);
        rows.setHgap(10);
        rows.setVgap(3);
        getChildren().addAll(title, scrolled(rows, MOST_HEIGHT), foot());
    }

    /** Shows what would be copied into the open shot, if there is anything. */
    public void open() {
        model.copy().ifPresent(this::show);
    }

    private void show(LedgerViewModel.Copy found) {
        shown = found;
        title.setText(found.edits().isEmpty()
                ? "Nothing is unknown in shot " + found.into() + " that shot " + found.from() + " could tell"
                : "From shot " + found.from() + " into shot " + found.into() + ", where it is unknown");
        rows.getChildren().clear();
        boxes.clear();
        for (RecordEdit edit : found.edits()) {
            CheckBox box = new CheckBox(edit.title());
            box.setId("copy-" + edit.key());
            box.setSelected(true);
            box.selectedProperty().addListener((o, was, is) -> count());
            Label value = new Label(value(edit));
            value.setMaxWidth(VALUE_WIDTH);
            value.getStyleClass().add(Styles.VALUE);
            boxes.put(edit, box);
            rows.addRow(boxes.size(), box, value);
        }
        count();
        setVisible(true);
        copy.requestFocus();
    }

    private String value(RecordEdit edit) {
        String unit = RecordField.find(edit.key()).map(RecordField::unit).orElse("");
        DisplayUnits shownIn = units.getValue();
        return (shownIn.shown(unit, edit.after()) + " " + shownIn.symbol(unit)).strip().replace('T', ' ');
    }

    private void count() {
        int chosen = chosen().size();
        copy.setText(chosen == 1 ? "Copy 1 entry" : "Copy " + chosen + " entries");
        copy.setDisable(chosen == 0);
    }

    private List<RecordEdit> chosen() {
        return boxes.entrySet().stream().filter(one -> one.getValue().isSelected()).map(Map.Entry::getKey).toList();
    }

    private Node foot() {
        copy.setId("copy-apply");
        copy.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        copy.setOnAction(event -> {
            model.takeOver(shown, chosen());
            setVisible(false);
        });
        copy.defaultButtonProperty().bind(Bindings.and(visibleProperty(), copy.disableProperty().not()));
        HBox foot = new HBox(8, gap(), close("copy-close"), copy);
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }
}
