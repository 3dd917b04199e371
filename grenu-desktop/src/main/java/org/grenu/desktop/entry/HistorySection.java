package org.grenu.desktop.entry;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Change;
import org.grenu.library.HistoryEntry;

/** Corrections with their old value, time and reason; each can be reverted, which is a correction itself. */
public class HistorySection extends Section {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm").withZone(ZoneId.systemDefault());
    private static final int AT_ONCE = 8;

    private final StudyDesk desk;
    private final UnaryOperator<String> titles;
    private final Supplier<Callable<List<HistoryEntry>>> reading;
    private final VBox list = new VBox(5);
    private boolean all;

    /**
     * The history of something.
     *
     * @param changing when to read it anew
     * @param titles   gives an entry's name on screen
     * @param reading  makes the work that reads it, which runs off the interface thread
     */
    protected HistorySection(StudyDesk desk, ObservableValue<?> changing, UnaryOperator<String> titles, Supplier<Callable<List<HistoryEntry>>> reading) {
        super("Corrections");
        this.desk = desk;
        this.titles = titles;
        this.reading = reading;
        list.setId("history");
        getChildren().add(list);
        changing.addListener((o, was, is) -> read());
        read();
    }

    private void read() {
        desk.background().run(reading.get(), this::show, desk::failed);
    }

    private void show(List<HistoryEntry> entries) {
        List<HistoryEntry> shown = entries.stream().filter(entry -> !entry.undone()).toList();
        remark().setText(shown.isEmpty() ? "none yet" : Integer.toString(shown.size()));
        list.getChildren().clear();
        shown.stream().limit(all ? Integer.MAX_VALUE : AT_ONCE).forEach(entry -> list.getChildren().add(line(entry)));
        if (!all && shown.size() > AT_ONCE) {
            Button more = new Button("All " + shown.size());
            more.getStyleClass().add(Styles.LINK);
            more.setOnAction(event -> {
                all = true;
                read();
            });
            list.getChildren().add(more);
        }
    }

    private Node line(HistoryEntry entry) {
        Change change = entry.change();
        boolean made = change.key().equals(Change.BINNED);
        Label what = new Label(made ? change.after().isEmpty() ? "put here" : "put into the bin"
                : titles.apply(change.key()) + ": " + value(change.before()) + " → " + value(change.after()));
        what.setWrapText(true);
        what.setTooltip(new Tooltip(change.before() + " → " + change.after()));
        Label when = new Label(when(entry.madeAt()) + (entry.reason().isEmpty() ? "" : " · " + entry.reason()));
        when.getStyleClass().add(Styles.MUTED);
        when.setWrapText(true);
        HBox foot = new HBox(4, when);
        HBox.setHgrow(when, Priority.ALWAYS);
        if (!made && entry.reason().isEmpty()) {
            Button why = new Button("Why?");
            why.setId("why-" + entry.id());
            why.getStyleClass().add(Styles.LINK);
            why.setMinWidth(Region.USE_PREF_SIZE);
            why.setTooltip(new Tooltip("Write down why this was corrected"));
            why.setOnAction(event -> ask(entry, foot));
            foot.getChildren().add(why);
        }
        if (!made) {
            Button revert = new Button("Revert");
            revert.setId("revert-" + entry.id());
            revert.getStyleClass().add(Styles.LINK);
            revert.setMinWidth(Region.USE_PREF_SIZE);
            revert.setTooltip(new Tooltip("Enters the old value again; this correction stays in the history"));
            revert.setOnAction(event -> desk.change(titles.apply(change.key()) + " reverted", List.of(change.inverse()), "reverted the correction of " + when(entry.madeAt())));
            foot.getChildren().add(revert);
        }
        return new VBox(0, what, foot);
    }

    private void ask(HistoryEntry entry, HBox foot) {
        TextField reason = new TextField();
        reason.setId("reason-" + entry.id());
        reason.getStyleClass().add(Styles.ENTRY);
        reason.setPromptText("why, then Enter");
        HBox.setHgrow(reason, Priority.ALWAYS);
        reason.setOnAction(event -> desk.background().run(() -> {
            desk.library().giveReason(entry.id(), reason.getText());
            return reason.getText();
        }, given -> read(), desk::failed));
        foot.getChildren().setAll(reason);
        reason.requestFocus();
    }

    private static String when(Instant at) {
        return WHEN.format(at);
    }

    private static String value(String text) {
        return text.isEmpty() ? "unknown" : text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
