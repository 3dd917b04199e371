package org.grenu.desktop.entry;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import javafx.beans.Observable;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.library.Change;
import org.grenu.library.HistoryEntry;

/** Corrections with their old value, time and reason; each can be reverted, which is a correction itself. */
public final class HistorySection extends Section {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm")
            .withZone(ZoneId.systemDefault());
    private static final int AT_ONCE = 8;

    private final HistoryViewModel model;
    private final VBox list = new VBox(5);
    private boolean all;

    /** The history of that model, whose list has that id. */
    public HistorySection(HistoryViewModel model, String id) {
        super("Corrections");
        this.model = model;
        list.setId(id);
        getChildren().add(list);
        model.entries().addListener((Observable o) -> show());
        show();
    }

    private void show() {
        int count = model.entries().size();
        remark().setText(count == 0 ? "none yet" : Integer.toString(count));
        list.getChildren().clear();
        model.entries()
                .stream()
                .limit(all ? Integer.MAX_VALUE : AT_ONCE)
                .forEach(entry -> list.getChildren().add(line(entry)));
        if (!all && count > AT_ONCE) {
            list.getChildren().add(showsAll(count));
        }
    }

    private Button showsAll(int count) {
        Button more = new Button("All " + count);
        more.getStyleClass().add(Styles.LINK);
        more.setOnAction(event -> {
            all = true;
            show();
        });
        return more;
    }

    /** What happened to the thing itself, beside its entries. */
    private static String life(Change change) {
        return switch (change.key()) {
            case Change.LOG -> change.after().isEmpty() ? "log taken away" : "log given";
            case Change.STATE -> change.before() + " → " + change.after();
            default -> change.after().isEmpty() ? "put here" : "put into the bin";
        };
    }

    private Node line(HistoryEntry entry) {
        Change change = entry.change();
        boolean made = !change.ofEntry();
        Label what = new Label(made ? life(change)
                : model.title(entry) + ": " + value(model.shown(entry, change.before())) + " → "
                        + value(model.shown(entry, change.after())));
        what.setWrapText(true);
        Hint.on(what, model.shown(entry, change.before()) + " → " + model.shown(entry, change.after()));
        Label when = new Label(when(entry.madeAt()) + (entry.reason().isEmpty() ? "" : " · " + entry.reason()));
        when.getStyleClass().add(Styles.MUTED);
        when.setWrapText(true);
        HBox foot = new HBox(4, when);
        HBox.setHgrow(when, Priority.ALWAYS);
        if (!made && entry.reason().isEmpty()) {
            Button why = link("why-" + entry.id(), "Why?", "Write down why this was corrected");
            why.setOnAction(event -> ask(entry, foot));
            foot.getChildren().add(why);
        }
        if (model.revertible(entry)) {
            Button revert = link("revert-" + entry.id(), "Revert",
                    "Enters the old value again; this correction stays in the history");
            revert.setOnAction(event -> model.revert(entry, when(entry.madeAt())));
            foot.getChildren().add(revert);
        }
        return new VBox(0, what, foot);
    }

    private static Button link(String id, String words, String tip) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add(Styles.LINK);
        button.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(button, tip);
        return button;
    }

    private void ask(HistoryEntry entry, HBox foot) {
        TextField reason = new TextField();
        reason.setId("reason-" + entry.id());
        reason.getStyleClass().add(Styles.ENTRY);
        reason.setPromptText("why, then Enter");
        HBox.setHgrow(reason, Priority.ALWAYS);
        reason.setOnAction(event -> model.giveReason(entry, reason.getText()));
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
