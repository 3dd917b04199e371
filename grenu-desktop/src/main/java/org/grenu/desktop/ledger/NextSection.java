package org.grenu.desktop.ledger;

import javafx.scene.control.Label;
import org.grenu.core.diagnosis.NextStep;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** The one thing to do next, and why. */
final class NextSection extends Section {

    private final LedgerViewModel model;
    private final Label change = new Label();
    private final Label reason = new Label();

    NextSection(LedgerViewModel model) {
        super("Next");
        this.model = model;
        getStyleClass().add(Styles.NEXT);
        change.setId("next");
        change.getStyleClass().add(Styles.HEADING);
        change.setWrapText(true);
        reason.getStyleClass().add(Styles.MUTED);
        reason.setId("next-reason");
        reason.setWrapText(true);
        getChildren().addAll(change, reason);
        model.openProperty().addListener((o, was, is) -> show());
        model.coffeeAnswered().addListener(observable -> show());
        show();
    }

    private void show() {
        NextStep next = model.next();
        change.setText(next == null ? "" : next.change());
        reason.setText(next == null ? "" : next.reason());
        remark().setText(next == null ? "" : next.school());
    }
}
