package org.grenu.desktop.ledger;

import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.OpenShot;

/** What is worth saying about the shot, and the repairs to its log, each of which can be switched off. */
final class FindingsSection extends Section {

    private final LedgerViewModel model;
    private final VBox lines = new VBox(6);

    FindingsSection(LedgerViewModel model) {
        super("Findings");
        this.model = model;
        lines.setId("findings");
        getChildren().add(lines);
        model.openProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        OpenShot open = model.open();
        lines.getChildren().clear();
        if (open == null) {
            return;
        }
        open.findings().forEach(finding -> lines.getChildren().add(finding(finding)));
        showRepairs(open);
        remark().setText(lines.getChildren().isEmpty() ? "" : String.valueOf(lines.getChildren().size()));
        if (lines.getChildren().isEmpty()) {
            showNothing();
        }
    }

    private void showRepairs(OpenShot open) {
        for (RepairKind kind : RepairKind.values()) {
            open.repairs()
                    .stream()
                    .filter(r -> r.kind() == kind)
                    .findFirst()
                    .ifPresent(repair -> lines.getChildren().add(repair(repair)));
        }
    }

    private void showNothing() {
        Label nothing = new Label("Nothing stands out.");
        nothing.getStyleClass().add(Styles.MUTED);
        lines.getChildren().add(nothing);
    }

    /** A finding with a place on the curve is a button that shows it. */
    private Node finding(Finding finding) {
        Label mark = new Label(switch (finding.severity()) {
            case FAULT -> "◆";
            case CHECK -> "▲";
            case NOTE -> "●";
        });
        mark.getStyleClass().add("mark-" + finding.severity().name().toLowerCase(Locale.ROOT));
        mark.setMinWidth(USE_PREF_SIZE);
        Label statement = new Label(finding.statement());
        statement.getStyleClass().add("said-" + finding.severity().name().toLowerCase(Locale.ROOT));
        statement.setWrapText(true);
        Label evidence = new Label(finding.evidence() + (finding.evidence().isEmpty() ? "" : ". ") + finding.toTry());
        evidence.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        evidence.setWrapText(true);
        Label source = new Label(finding.school() + " · " + finding.confidenceWords()
                + (finding.atSeconds().isPresent()
                        ? " · show at " + Reported.fixed(finding.atSeconds().getAsDouble(), 1) + " s" : ""));
        source.getStyleClass().addAll(Styles.CAPTION, Styles.MUTED);
        source.setWrapText(true);
        VBox words = new VBox(statement, evidence, source);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox line = new HBox(7, mark, words);
        line.setAlignment(Pos.TOP_LEFT);
        line.setId("finding-" + finding.rule());
        finding.atSeconds().ifPresent(seconds -> clickable(line, finding, seconds));
        return line;
    }

    private void clickable(HBox line, Finding finding, double seconds) {
        line.getStyleClass().add(Styles.FINDING);
        line.setFocusTraversable(true);
        line.setAccessibleRole(AccessibleRole.BUTTON);
        line.setAccessibleText(finding.statement() + " Show its place on the curve.");
        line.setOnMouseClicked(event -> model.showAt(seconds));
        line.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.SPACE) {
                model.showAt(seconds);
                event.consume();
            }
        });
    }

    private Node repair(Repair repair) {
        CheckBox on = toggle(repair);
        VBox words = words(repair);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox line = new HBox(5, on, words);
        line.setAlignment(Pos.TOP_LEFT);
        return line;
    }

    private CheckBox toggle(Repair repair) {
        CheckBox on = new CheckBox();
        on.setId("repair-" + repair.kind().key());
        on.setSelected(repair.applied());
        on.setAccessibleText(repair.kind().title());
        Hint.on(on, "Switch this repair off to see the curve as logged");
        on.setOnAction(event -> model.switchRepair(repair.kind(), on.isSelected()));
        return on;
    }

    private VBox words(Repair repair) {
        String kind = repair.kind().title();
        Label statement = new Label(Character.toUpperCase(kind.charAt(0)) + kind.substring(1)
                + (repair.applied() ? "." : ": switched off."));
        statement.setWrapText(true);
        Label evidence = new Label(
                repair.evidence() + (many(repair) > 1 ? " (and " + (many(repair) - 1) + " more)" : ""));
        evidence.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        evidence.setWrapText(true);
        VBox words = new VBox(statement, evidence);
        words.getStyleClass().add(Styles.FINDING);
        words.setOnMouseClicked(event -> model.showAt((repair.fromSeconds() + repair.toSeconds()) / 2));
        return words;
    }

    private long many(Repair repair) {
        return model.open().repairs().stream().filter(other -> other.kind() == repair.kind()).count();
    }
}
