package org.grenu.desktop.ledger;

import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** The profile step by step: how long each took, why it ended, how far it was off what was meant. */
final class ProfileSection extends Section {

    private final GridPane grid = new GridPane();

    ProfileSection(LedgerViewModel model) {
        super("Planned against actual");
        remark().setText("off by, rms · within");
        grid.setId("profile-run");
        grid.setHgap(8);
        grid.setVgap(2);
        ColumnConstraints ending = new ColumnConstraints();
        ending.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(), right(), ending, right(), right());
        getChildren().add(grid);
        managedProperty().bind(visibleProperty());
        model.text().addListener((o, was, is) -> show(is == null ? List.of() : is.steps()));
        show(model.text().get() == null ? List.of() : model.text().get().steps());
    }

    private static ColumnConstraints right() {
        ColumnConstraints column = new ColumnConstraints();
        column.setHalignment(HPos.RIGHT);
        return column;
    }

    private void show(List<LedgerText.Step> steps) {
        setVisible(!steps.isEmpty());
        grid.getChildren().clear();
        for (int i = 0; i < steps.size(); i++) {
            LedgerText.Step step = steps.get(i);
            Label ending = new Label(step.ending());
            ending.getStyleClass().addAll(Styles.CAPTION, step.alarmed() ? Styles.FAULTY : Styles.MUTED);
            ending.setWrapText(true);
            grid.addRow(i, number(step.name()), number(step.length()), ending, number(step.off()),
                    number(step.inside()));
        }
    }

    private static Label number(String words) {
        Label label = new Label(words);
        label.setMinWidth(USE_PREF_SIZE);
        return label;
    }
}
