package org.grenu.desktop.ledger;

import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.grenu.core.study.SheetField;
import org.grenu.desktop.control.Styles;

/** What else is written down about the shot; the factors that colour the rack among it. */
final class RecordSection extends Section {

    private static final List<SheetField> FIELDS = List.of(SheetField.COFFEE, SheetField.GRINDER, SheetField.GRIND, SheetField.TEMPERATURE,
            SheetField.PROFILE, SheetField.MACHINE, SheetField.PULLED_AT, SheetField.OPERATOR, SheetField.FAULT, SheetField.NOTE);

    RecordSection(LedgerViewModel model) {
        super("Record");
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(3);
        ColumnConstraints value = new ColumnConstraints();
        value.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(102), value);
        for (int i = 0; i < FIELDS.size(); i++) {
            SheetField field = FIELDS.get(i);
            Label name = new Label(field.unit().isEmpty() ? field.title() : field.title() + ", " + field.unit());
            name.setPadding(new Insets(4, 0, 0, 0));
            GridPane.setValignment(name, VPos.TOP);
            grid.addRow(i, name, new EntryField(model.entry(field), field.key()).hinting("unknown"));
        }
        remark().setText("empty means unknown");
        remark().getStyleClass().add(Styles.MUTED);
        getChildren().add(grid);
    }
}
