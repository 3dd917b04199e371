package org.grenu.desktop.ledger;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.HistorySection;

/** The column of numbers at the right, with a line of its parts above it. */
public final class LedgerView extends VBox {

    private final ScrollPane scroll = new ScrollPane();
    private final RecordSection record;

    /**
     * The ledger of the shot that the desk has open.
     *
     * @param actions what it asks of the window
     */
    public LedgerView(LedgerViewModel model, StudyDesk desk, Appearance appearance, LedgerActions actions) {
        YieldSection yield = new YieldSection(model);
        FindingsSection findings = new FindingsSection(model);
        TimesSection times = new TimesSection(model);
        AttachmentsSection files = new AttachmentsSection(new AttachmentsViewModel(desk), actions);
        record = new RecordSection(model);
        VBox column = new VBox(yield, new MassesSection(model), new ReadingsSection(model, actions::takeReadings),
                new BudgetSection(model, appearance), new PlaneSection(model, appearance), findings, new NextSection(model), new ProfileSection(model),
                times, record, new OwnEntriesSection(model), files, new HistorySection(model.history(), "history"));
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        scroll.getStyleClass().add(Styles.LEDGER);
        scroll.setContent(column);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Map<String, Section> parts = new LinkedHashMap<>();
        parts.put("Numbers", yield);
        parts.put("Findings", findings);
        parts.put("Times", times);
        parts.put("Record", record);
        parts.put("Files", files);
        getChildren().addAll(parts(parts), scroll);
        getStyleClass().add(Styles.LEDGER_PAGE);
        column.visibleProperty().bind(desk.openProperty().isNotNull());
        column.managedProperty().bind(column.visibleProperty());
        getChildren().get(0).visibleProperty().bind(column.visibleProperty());
    }

    /** Shows the record and puts the caret into the first of its usual entries that is unknown. */
    public void toRecord() {
        scrollTo(record);
        record.focusUnknown();
    }

    private HBox parts(Map<String, Section> parts) {
        HBox line = new HBox(2);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add(Styles.LEDGER_PARTS);
        line.setMinHeight(USE_PREF_SIZE);
        parts.forEach((title, section) -> {
            Button link = new Button(title);
            link.setId("to-" + title.toLowerCase(Locale.ROOT));
            link.getStyleClass().add(Styles.LINK);
            link.setFocusTraversable(false);
            link.setOnAction(event -> scrollTo(section));
            if (section == record) {
                link.setTooltip(new Tooltip("Ctrl R goes on to the first entry that is unknown"));
            }
            line.getChildren().add(link);
        });
        return line;
    }

    private void scrollTo(Section section) {
        double room = scroll.getContent().getBoundsInLocal().getHeight() - scroll.getViewportBounds().getHeight();
        scroll.setVvalue(room <= 0 ? 0 : Math.min(1, section.getBoundsInParent().getMinY() / room));
    }
}
