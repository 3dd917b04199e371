package org.grenu.desktop.shelf;

import java.util.EnumSet;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.control.EntryGrid;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.ChoiceEntry;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.entry.FieldLabel;
import org.grenu.desktop.entry.RowsEntry;

/** The thing's entries, each edited where it stands. */
final class FieldsSection extends Section {

    /** Entries that have a section of their own. */
    private static final Set<
            ShelfField> ELSEWHERE = EnumSet.of(ShelfField.VALVE_RUNS, ShelfField.VALVE_SCHEDULE, ShelfField.DRIED);

    FieldsSection(ShelfViewModel model, ShelfKind kind) {
        super("Entries");
        remark().setText("empty means unknown");
        EntryGrid grid = new EntryGrid();
        int row = 0;
        for (Field field : kind.fields()) {
            if (field instanceof ShelfField own && ELSEWHERE.contains(own)) {
                continue;
            }
            Label name = FieldLabel.of(field, model.desk().units());
            name.setWrapText(true);
            name.setPadding(new Insets(4, 0, 0, 0));
            GridPane.setValignment(name, VPos.TOP);
            if (field.kind() == FieldKind.ROWS) {
                name.getStyleClass().add(Styles.MUTED);
                grid.add(name, 0, row++, 2, 1);
                grid.add(editor(model, field), 0, row++, 2, 1);
            } else {
                grid.addRow(row++, name, editor(model, field));
            }
        }
        getChildren().add(grid);
    }

    static Node editor(ShelfViewModel model, Field field) {
        String id = ShelfView.id(field.key());
        return switch (field.kind()) {
            case CHOICE -> new ChoiceEntry(model.entry(field), id, field.choices());
            case ROWS -> new RowsEntry(model.entry(field), field, id);
            default -> new EntryField(model.entry(field), id).hinting("unknown");
        };
    }
}
