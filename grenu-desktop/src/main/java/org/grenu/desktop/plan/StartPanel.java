package org.grenu.desktop.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.recipe.Proposed;
import org.grenu.core.recipe.StartRecipe;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.OverlayPanel;
import org.grenu.desktop.control.Styles;

/** What a coffee is begun with: each number with what it rests on, and what other schools say; all can be changed. */
public final class StartPanel extends OverlayPanel {

    private static final List<String> SERVED = List.of("", "straight", "milk", "long");
    private static final List<Field> NUMBERS = List.of(RecordField.DOSE_TARGET, RecordField.BEVERAGE_TARGET,
            RecordField.TEMPERATURE, RecordField.GRIND, RecordField.PROFILE, ShelfField.AIM_TIME_FROM,
            ShelfField.AIM_TIME_TO, ShelfField.AIM_YIELD_FROM, ShelfField.AIM_YIELD_TO, ShelfField.AIM_STRENGTH_FROM,
            ShelfField.AIM_STRENGTH_TO);

    /** What they rest on stands beside the lower end. */
    private static final Set<Field> UPPER_ENDS = Set.of(ShelfField.AIM_TIME_TO, ShelfField.AIM_YIELD_TO,
            ShelfField.AIM_STRENGTH_TO);
    private static final double TALLEST = 580;
    private static final int MOST_OTHERS = 2;

    private final TargetViewModel target;
    private final Label title = new Label();
    private final Label setUp = new Label();
    private final Label warnings = new Label();
    private final Label refusal = new Label();
    private final GridPane grid = new GridPane();
    private final Map<Field, TextField> fields = new LinkedHashMap<>();
    private final Button keep = button("start-keep", "Put it on the shelf", this::keep);
    private final Button empty = button("start-empty", "Begin empty", () -> fields.values().forEach(TextField::clear));
    private ComboBox<String> served;
    /** Null while it is being worked out. */
    private StartRecipe start;

    /** The panel for that target's recipe. */
    public StartPanel(TargetViewModel target) {
        super("start-panel", 760);
        this.target = target;
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        setUp.getStyleClass().add(Styles.MUTED);
        setUp.setWrapText(true);
        warnings.setId("start-warnings");
        warnings.getStyleClass().add(Styles.GUARD);
        warnings.setWrapText(true);
        warnings.managedProperty().bind(warnings.textProperty().isNotEmpty());
        warnings.visibleProperty().bind(warnings.managedProperty());
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setId("start-refusal");
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        columns();
        getChildren().addAll(head(), setUp, warnings, scrolled(grid, TALLEST), refusal, foot());
    }

    private void columns() {
        grid.setHgap(12);
        grid.setVgap(6);
        grid.setPadding(new Insets(4, 10, 4, 0));
        ColumnConstraints because = new ColumnConstraints();
        because.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints()
                .addAll(new ColumnConstraints(140), new ColumnConstraints(92), because);
    }

    private Node head() {
        Label words = new Label("Served");
        words.getStyleClass().add(Styles.MUTED);
        served = Choices.of("start-served", "How it is served", SERVED, "",
                kind -> kind.isEmpty() ? "not said" : kind, this::propose);
        HBox head = new HBox(8, title, gap(), words, served);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private Node foot() {
        keep.getStyleClass().add(Styles.PRIMARY);
        Hint.on(empty, "Nothing is filled in; type your own");
        HBox foot = new HBox(8, keep, empty, gap(), close("start-close"));
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }

    /** Works the proposals out and shows them. */
    public void open() {
        setVisible(true);
        title.setText("Start recipe for " + target.dialIn().coffeeProperty().get());
        served.setValue("");
        propose("");
    }

    private void propose(String kind) {
        begun(null);
        setUp.setText("Looking through the shots of this library …");
        warnings.setText("");
        grid.getChildren().clear();
        fields.clear();
        target.start(kind, this::proposed);
    }

    private void begun(StartRecipe found) {
        start = found;
        refusal.setText("");
        keep.setDisable(found == null);
        empty.setDisable(found == null);
    }

    private void proposed(StartRecipe found) {
        begun(found);
        String gear = start.entries()
                .stream()
                .filter(entry -> !NUMBERS.contains(entry.field()) && entry.because().equals("the set-up"))
                .filter(entry -> entry.field() != RecordField.COFFEE)
                .map(Proposed::value)
                .collect(Collectors.joining(" · "));
        setUp.setText(gear.isEmpty() ? "No gear is known yet: name it in the first shot, or put it on the shelf."
                : "On " + gear);
        warnings.setText(String.join("\n", start.warnings()));
        show();
    }

    private void show() {
        grid.getChildren().clear();
        fields.clear();
        int row = 0;
        for (Field field : NUMBERS) {
            row = add(field, row);
        }
    }

    private int add(Field field, int row) {
        Label name = new Label(
                field.title() + (field.unit().isEmpty() ? "" : ", " + target.units().symbol(field.unit())));
        name.setWrapText(true);
        name.setPadding(new Insets(4, 0, 0, 0));
        TextField typed = new TextField(
                start.of(field)
                        .map(Proposed::value)
                        .map(value -> target.units().shown(field.unit(), value))
                        .orElse(""));
        typed.setId("start-" + field.key().replace('_', '-'));
        typed.getStyleClass().add(Styles.ENTRY);
        typed.setPromptText("unknown");
        typed.setAccessibleText(field.title());
        fields.put(field, typed);
        Node because = UPPER_ENDS.contains(field) ? caption("")
                : start.of(field).map(this::because).orElseGet(() -> caption(""));
        grid.addRow(row, name, typed, because);
        GridPane.setValignment(name, VPos.TOP);
        GridPane.setValignment(typed, VPos.TOP);
        return row + 1;
    }

    private Node because(Proposed entry) {
        List<Node> lines = new ArrayList<>();
        Label rests = new Label(switch (entry.source()) {
            case HISTORY -> "This library: ";
            case SCHOOL -> "School: ";
            case PRACTICE -> "Common practice: ";
        } + entry.because());
        rests.setWrapText(true);
        rests.setPadding(new Insets(4, 0, 0, 0));
        lines.add(rests);
        entry.others()
                .stream()
                .limit(MOST_OTHERS)
                .forEach(other -> lines
                        .add(caption(other.value() + ": " + other.because() + " (" + other.school() + ")")));
        if (entry.others().size() > MOST_OTHERS) {
            Label more = caption((entry.others().size() == MOST_OTHERS + 1 ? "1 more school"
                    : (entry.others().size() - MOST_OTHERS) + " more schools"));
            Hint.on(more, entry.others()
                    .stream()
                    .skip(MOST_OTHERS)
                    .map(other -> other.value() + " (" + other.school() + ")")
                    .collect(Collectors.joining("\n")));
            lines.add(more);
        }
        return new VBox(1, lines.toArray(Node[]::new));
    }

    private static Label caption(String text) {
        Label label = new Label(text);
        label.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        label.setWrapText(true);
        return label;
    }

    private void keep() {
        try {
            Entries card = start.card();
            for (Map.Entry<Field, TextField> one : fields.entrySet()) {
                card = card.with(one.getKey(), target.units().meant(one.getKey().unit(), one.getValue().getText()));
            }
            target.keep(card.with(ShelfField.AIM_SOURCE, TargetViewModel.source(start)));
            setVisible(false);
        } catch (RefusedEntry refused) {
            refusal.setText(refused.getMessage());
        }
    }
}
