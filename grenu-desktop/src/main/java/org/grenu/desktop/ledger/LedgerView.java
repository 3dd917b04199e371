package org.grenu.desktop.ledger;

import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.HistorySection;

/** The column of numbers at the right. */
public final class LedgerView extends ScrollPane {

    /**
     * The ledger of the shot that the desk has open.
     *
     * @param actions what it asks of the window
     */
    public LedgerView(LedgerViewModel model, StudyDesk desk, Appearance appearance, LedgerActions actions) {
        getStyleClass().add(Styles.LEDGER);
        VBox column = new VBox(new YieldSection(model), new MassesSection(model), new ReadingsSection(model, actions::takeReadings),
                new BudgetSection(model, appearance), new PlaneSection(model, appearance), new FindingsSection(model), new NextSection(model), new ProfileSection(model),
                new TimesSection(model),
                new RecordSection(model), new OwnEntriesSection(model), new AttachmentsSection(new AttachmentsViewModel(desk), actions), new HistorySection(model.history(), "history"));
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        column.visibleProperty().bind(desk.openProperty().isNotNull());
        column.managedProperty().bind(column.visibleProperty());
        setContent(column);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setFocusTraversable(false);
    }
}
