package org.grenu.desktop.ledger;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import org.grenu.desktop.control.EntryGrid;
import org.grenu.desktop.control.Hint;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.Completeness;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.control.Fold;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.entry.ChoiceEntry;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.entry.FieldLabel;
import org.grenu.desktop.entry.Suggestions;
import org.grenu.desktop.entry.TasteEntry;

/**
 * What is written down about the shot: first what changed since the one before, then the usual and the user's own
 * entries, and all others folded.
 */
final class RecordSection extends Section {

    private static final Map<RecordField, String> EXPLAINED = Map.ofEntries(
            Map.entry(RecordField.PROFILE_STEPS,
                    "Such as: soak: pressure 2.4 ±0.4, flow at most 4 until 2 s after drip or 25 s; main: pressure 9 "
                            + "over 3 s ±0.6"),
            Map.entry(RecordField.PHASES,
                    "Such as: wetting 0; soak 4.2; ramp 22.6; empty: found in the curves. Drag the borders on the "
                            + "strips."),
            Map.entry(RecordField.MOMENT_NOTES,
                    "Such as: 12.5 first blond streak; N on the strips notes something at the hairline"),
            Map.entry(RecordField.SCALE_LAG, "How late the scale's values reach the log; empty: found from the log"),
            Map.entry(RecordField.TASTE, "Words such as sour, thin, bitter, ashy: rules look for them"),
            Map.entry(RecordField.ROASTED_ON, "Such as 2026-04-27; unknown is not zero days"),
            Map.entry(RecordField.STUDY, "One study or several, with semicolons between"),
            Map.entry(RecordField.ARM, "One arm, or study: arm for each study, with semicolons between"),
            Map.entry(RecordField.FAULT_ON_PURPOSE, "yes: pulled faulty on purpose; such a shot is left out of means"),
            Map.entry(RecordField.DWELL, "How long the loaded holder stood in the hot group before the pump came on"));

    private final LedgerViewModel model;
    private final Map<RecordField, EntryField> editors = new EnumMap<>(RecordField.class);
    private final Map<RecordGroup, Fold> folds = new EnumMap<>(RecordGroup.class);
    private final OwnEntries own;
    private final Label score = new Label();
    private final Label changed = new Label();
    private final Button takeOver = new Button();
    private final Label caffeine = new Label();
    private final Label cryogens = new Label(
            "Dry ice and liquid nitrogen: cold burns, suffocation in closed rooms, burst closed vessels. Never "
                    + "swallow; only with training and ventilation.");

    /** @param copyPrevious shows what copying from the previous shot would write */
    RecordSection(LedgerViewModel model, Runnable copyPrevious) {
        super("Record");
        this.model = model;
        own = new OwnEntries(model);
        score.setId("completeness");
        score.getStyleClass().add(Styles.MUTED);
        score.setWrapText(true);
        changed.setId("changed-since");
        changed.setWrapText(true);
        takeOver.setId("take-over");
        takeOver.getStyleClass().add(Styles.ACTION);
        Hint.on(takeOver, "Fills what is unknown here with what was set up for the previous shot (Ctrl L)");
        takeOver.setOnAction(event -> copyPrevious.run());
        takeOver.managedProperty().bind(takeOver.visibleProperty());
        cryogens.getStyleClass().addAll(Styles.MUTED, Styles.GUARD);
        cryogens.setWrapText(true);
        cryogens.managedProperty().bind(cryogens.visibleProperty());
        caffeine.setId("caffeine");
        caffeine.getStyleClass().addAll(Styles.MUTED, Styles.GUARD_QUIET);
        caffeine.setWrapText(true);
        caffeine.managedProperty().bind(caffeine.textProperty().isNotEmpty());
        caffeine.visibleProperty().bind(caffeine.managedProperty());
        getChildren().addAll(changed, takeOver);
        getChildren().addAll(score, grid(RecordGroup.USUAL.fields()), caffeine, own);
        for (RecordGroup group : RecordGroup.values()) {
            if (group == RecordGroup.BEANS) {
                getChildren().add(cryogens);
            }
            if (group != RecordGroup.USUAL) {
                Fold fold = new Fold(group.title(), "fold-" + group.name().toLowerCase(Locale.ROOT),
                        () -> grid(group.fields()));
                folds.put(group, fold);
                getChildren().add(fold);
            }
        }
        remark().getStyleClass().add(Styles.MUTED);
        model.openProperty().addListener((o, was, is) -> show());
        model.unitsProperty().addListener((o, was, is) -> show());
        show();
    }

    /** {@return the fields of the usual entries that are unknown, and of the user's own that the shot before has} */
    List<TextField> unknown() {
        return Stream
                .concat(RecordGroup.USUAL.fields().stream().map(editors::get).map(EntryField::field), own.expected())
                .filter(field -> field.getText().isBlank())
                .toList();
    }

    private void show() {
        OpenShot open = model.open();
        if (open == null) {
            return;
        }
        showCompleteness(open);
        changed.setText(changes());
        offerCopies();
        folds.forEach((group, fold) -> fold.summarise(group.summary(open, model.units())));
        caffeine.setText(model.caffeine().orElse(""));
        cryogens.setVisible(model.cryogenic());
    }

    private void showCompleteness(OpenShot open) {
        Completeness complete = Completeness.of(open.summary().record());
        remark().setText(complete.known() + " of " + complete.counted() + " known");
        score.setText(complete.missing().isEmpty() ? "Complete: every entry that others need is known."
                : "Unknown: " + complete.missing()
                        .stream()
                        .map(field -> Title.inSentence(field.title()))
                        .collect(Collectors.joining(", ")) + ".");
    }

    private void offerCopies() {
        int offered = model.offered();
        takeOver.setVisible(offered > 0);
        takeOver.setText(offered == 1 ? "Copy 1 entry from the previous shot"
                : "Copy " + offered + " entries from the previous shot");
    }

    private String changes() {
        if (model.before().isEmpty()) {
            return "No previous shot to compare with.";
        }
        List<SetUp.Changed> changed = model.changed();
        String since = "since shot " + model.before().get().number();
        return changed.isEmpty()
                ? (model.offered() > 0 ? "Nothing known was set up differently "
                        : "Nothing was set up differently ") + since + "."
                : (changed.size() == 1 ? "One thing changed " : changed.size() + " things changed ") + since + ": "
                        + changed.stream().map(this::words).collect(Collectors.joining("; ")) + ".";
    }

    private String words(SetUp.Changed change) {
        DisplayUnits units = model.units();
        return (Title.inSentence(change.title()) + " " + units.shown(change.unit(), change.before()) + " → "
                + units.shown(change.unit(), change.now()) + " " + units.symbol(change.unit())).strip();
    }

    private EntryGrid grid(List<RecordField> fields) {
        EntryGrid grid = new EntryGrid();
        for (int i = 0; i < fields.size(); i++) {
            RecordField field = fields.get(i);
            Label name = name(field);
            grid.addRow(i, name, editor(field));
        }
        return grid;
    }

    private Label name(RecordField field) {
        Label name = FieldLabel.of(field, model.unitsProperty());
        name.setPadding(new Insets(4, 0, 0, 0));
        Hint.on(name, field.title());
        GridPane.setValignment(name, VPos.TOP);
        return name;
    }

    private Node editor(RecordField field) {
        if (field.kind() == FieldKind.FLAG) {
            return new ChoiceEntry(model.entry(field), field.key(), List.of("yes", "no"));
        }
        if (field == RecordField.TASTING) {
            return new TasteEntry(model.entry(field), field.key());
        }
        if (field.kind() == FieldKind.CHOICE) {
            return new ChoiceEntry(model.entry(field), field.key(), field.choices());
        }
        EntryField entry = new EntryField(model.entry(field), field.key()).hinting("unknown");
        editors.put(field, entry);
        Suggestions.on(entry, typed -> typed.isBlank() || !field.kind().free() ? List.of()
                : field == RecordField.STUDY ? Suggestions.amongParts(model.earlier().known(field), typed)
                        : Suggestions.among(model.earlier().known(field), typed),
                () -> model.earlier().last(field),
                field.kind() == FieldKind.MOMENT ? "↓ now" : Suggestions.LAST);
        return EXPLAINED.containsKey(field) ? entry.explained(EXPLAINED.get(field)) : entry;
    }
}
