package org.grenu.desktop.ledger;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.grenu.core.study.SheetField;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** What else is written down about the shot; the factors that colour the rack among it. */
final class RecordSection extends Section {

    private static final Map<String, List<SheetField>> GROUPS = groups();

    private static final Map<SheetField, String> EXPLAINED = Map.of(
            SheetField.PROFILE_STEPS, "Such as: soak: pressure 2.4 ±0.4, flow at most 4 until 2 s after drip or 25 s; main: pressure 9 over 3 s ±0.6",
            SheetField.PHASES, "Such as: wetting 0; soak 4.2; ramp 22.6; empty: found in the curves. Drag the borders on the strips.",
            SheetField.MOMENT_NOTES, "Such as: 12.5 first blond streak; N on the strips notes something at the hairline",
            SheetField.SCALE_LAG, "How late the scale's values reach the log; empty: found from the log",
            SheetField.TASTE, "Words such as sour, thin, bitter, ashy: rules look for them",
            SheetField.ROASTED_ON, "Such as 2026-04-27; unknown is not zero days");

    private static Map<String, List<SheetField>> groups() {
        Map<String, List<SheetField>> groups = new LinkedHashMap<>();
        groups.put("", List.of(SheetField.COFFEE, SheetField.ROASTED_ON, SheetField.GRINDER, SheetField.GRIND, SheetField.PURGE,
                SheetField.TEMPERATURE, SheetField.PROFILE, SheetField.MACHINE, SheetField.MACHINE_VERSION, SheetField.WATER, SheetField.PULLED_AT,
                SheetField.OPERATOR, SheetField.ARM, SheetField.BLOCK, SheetField.TASTE,
                SheetField.FAULT, SheetField.FAULT_ON_PURPOSE, SheetField.NOTE));
        groups.put("What was meant", List.of(SheetField.PROFILE_STEPS, SheetField.DOSE_TARGET, SheetField.BEVERAGE_TARGET));
        groups.put("Basket, bed and place", List.of(SheetField.BASKET, SheetField.BASKET_CAPACITY, SheetField.BED_DIAMETER, SheetField.BED_DEPTH,
                SheetField.ALTITUDE));
        groups.put("What the log is told", List.of(SheetField.PUMP_ON, SheetField.PUMP_OFF, SheetField.SCALE_LAG, SheetField.PHASES,
                SheetField.MOMENT_NOTES));
        return groups;
    }

    RecordSection(LedgerViewModel model) {
        super("Record");
        GROUPS.forEach((title, fields) -> {
            if (!title.isEmpty()) {
                Label heading = new Label(title);
                heading.getStyleClass().add(Styles.MUTED);
                heading.setPadding(new Insets(6, 0, 0, 0));
                getChildren().add(heading);
            }
            getChildren().add(grid(model, fields));
        });
        remark().setText("empty means unknown");
        remark().getStyleClass().add(Styles.MUTED);
    }

    private static GridPane grid(LedgerViewModel model, List<SheetField> fields) {
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(3);
        ColumnConstraints value = new ColumnConstraints();
        value.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(118), value);
        for (int i = 0; i < fields.size(); i++) {
            SheetField field = fields.get(i);
            Label name = new Label(field.unit().isEmpty() ? field.title() : field.title() + ", " + field.unit());
            name.setPadding(new Insets(4, 0, 0, 0));
            GridPane.setValignment(name, VPos.TOP);
            EntryField entry = new EntryField(model.entry(field), field.key()).hinting("unknown");
            grid.addRow(i, name, EXPLAINED.containsKey(field) ? entry.explained(EXPLAINED.get(field)) : entry);
        }
        return grid;
    }
}
