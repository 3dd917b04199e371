package org.grenu.desktop.ledger;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.NextLayout;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.SteadyScroll;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.HistorySection;

/** The column of numbers at the right, with a line of its parts above it. */
public final class LedgerView extends VBox {

    private final ScrollPane scroll = new ScrollPane();
    private final YieldSection made;
    private final MassesSection masses;
    private final ReadingsSection readings;
    private final RecordSection entries;

    /**
     * The ledger of the shot that the desk has open.
     *
     * @param actions what it asks of the window
     */
    public LedgerView(LedgerViewModel model, StudyDesk desk, Appearance appearance, LedgerActions actions) {
        made = new YieldSection(model, actions::calculate);
        FindingsSection findings = new FindingsSection(model);
        TimesSection times = new TimesSection(model);
        AttachmentsSection files = new AttachmentsSection(new AttachmentsViewModel(desk), actions);
        masses = new MassesSection(model);
        readings = new ReadingsSection(model, actions::takeReadings);
        entries = new RecordSection(model, actions::copyPrevious);
        VBox column = new VBox(made, masses, readings,
                new BudgetSection(model, appearance), new PlaneSection(model, appearance), findings);
        belowTheFold(column, List.of(new NextSection(model), new ProfileSection(model),
                times, entries, files, new HistorySection(model.history(), "history")));
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        scroll.getStyleClass().add(Styles.LEDGER);
        scroll.setContent(column);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        SteadyScroll.keep(scroll,
                () -> desk.openProperty().get() == null ? null : desk.openProperty().get().summary().id());
        Map<String, Section> parts = new LinkedHashMap<>();
        parts.put("Numbers", made);
        parts.put("Findings", findings);
        parts.put("Times", times);
        parts.put("Record", entries);
        parts.put("Files", files);
        getChildren().addAll(parts(parts), scroll);
        getStyleClass().add(Styles.LEDGER_PAGE);
        scroll.visibleProperty().bind(desk.openProperty().isNotNull());
        getChildren().get(0).visibleProperty().bind(scroll.visibleProperty());
    }

    /** What can only be scrolled to waits until the rest can be seen: it is half of the column. */
    private void belowTheFold(VBox column, List<Section> sections) {
        sceneProperty().addListener(new ChangeListener<>() {

            @Override
            public void changed(ObservableValue<? extends Scene> o, Scene was, Scene is) {
                sceneProperty().removeListener(this);
                NextLayout.then(is, () -> column.getChildren().addAll(sections));
            }
        });
    }

    /**
     * Puts the caret where the next thing is unknown: the dose, the readings, then the usual entries of the record;
     * all known, into the record.
     */
    public void fillIn() {
        List<TextField> unknown = Stream.of(masses.unknown(), readings.unknown(), entries.unknown())
                .flatMap(List::stream)
                .toList();
        if (unknown.isEmpty()) {
            scrollTo(entries);
            return;
        }
        int focused = unknown.indexOf(getScene().getFocusOwner());
        TextField next = unknown.get((focused + 1) % unknown.size());
        scrollTo(entries.unknown().contains(next) ? entries : made);
        next.requestFocus();
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
            link.setMinWidth(USE_PREF_SIZE);
            link.setOnAction(event -> scrollTo(section));
            line.getChildren().add(link);
        });
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button fill = new Button("Fill in");
        fill.setId("fill-in");
        fill.getStyleClass().addAll(Styles.LINK, Styles.STRONG);
        fill.setFocusTraversable(false);
        fill.setMinWidth(USE_PREF_SIZE);
        Hint.on(fill, "On to the next thing that is unknown: dose, readings, then the record (Ctrl R)");
        fill.setOnAction(event -> fillIn());
        line.getChildren().addAll(gap, fill);
        return line;
    }

    private void scrollTo(Section section) {
        double room = scroll.getContent().getBoundsInLocal().getHeight() - scroll.getViewportBounds().getHeight();
        scroll.setVvalue(room <= 0 ? 0 : Math.min(1, section.getBoundsInParent().getMinY() / room));
    }
}
