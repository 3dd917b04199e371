package org.grenu.desktop.importing;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import java.util.function.DoubleConsumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Hint;
import org.grenu.core.quantity.DecimalText;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.formats.mapping.ColumnRole;
import org.grenu.formats.mapping.MappingGuess;
import org.grenu.formats.mapping.ShotSplit;
import org.grenu.formats.mapping.TableMapping;
import org.grenu.formats.mapping.TableShape;

/** Where a person says what a log's columns mean, and sees at once what that makes of it. */
public final class MappingPanel extends BorderPane {

    private final MappingViewModel model;
    private final BiConsumer<String, String> save;
    private final Label title = new Label();
    private final VBox table = new VBox(4);
    private final VBox columns = new VBox(2);
    private final MappingStrips strips;
    private final TextField name = new TextField();
    private final Button take = new Button("Import");
    private final Label problem = new Label();

    /**
     * The panel of that model; it shows itself when a log is opened.
     *
     * @param save asks where, and saves a text under a suggested name
     */
    public MappingPanel(MappingViewModel model, Appearance appearance, BiConsumer<String, String> save) {
        this.model = model;
        this.save = save;
        this.strips = new MappingStrips(appearance);
        setId("mapping-panel");
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(1160, 700);
        setMinWidth(860);
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setId("mapping-title");
        problem.setId("mapping-problem");
        problem.getStyleClass().add(Styles.REFUSAL);
        problem.setWrapText(true);
        ScrollPane scroll = new ScrollPane(columns);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox left = new VBox(8, title, table, scroll, problem);
        left.setPrefWidth(580);
        left.setMinWidth(560);
        setLeft(left);
        setCenter(strips);
        setBottom(foot());
        setVisible(false);
        managedProperty().bind(visibleProperty());
        model.sourceProperty().addListener((o, was, is) -> setVisible(is != null));
        model.previewProperty().addListener((o, was, is) -> show(is));
    }

    private Node foot() {
        makeName();
        Button keep = Buttons.action("mapping-keep", "Keep mapping", () -> model.keep(name.getText()));
        keep.disableProperty().bind(name.textProperty().isEmpty());
        Button share = share();
        makeTake();
        Button cancel = Buttons.action("mapping-cancel", "Cancel", () -> model.putAway());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox foot = new HBox(8, name, keep, share, gap, cancel, take);
        foot.setAlignment(Pos.CENTER_LEFT);
        return new VBox(8, taken(), foot);
    }

    /** What to do where another mapping has the name already. */
    private Node taken() {
        Label words = new Label();
        words.setId("mapping-taken");
        words.getStyleClass().add(Styles.REFUSAL);
        HBox line = new HBox(8, words, Buttons.action("mapping-replace", "Replace it", model::replaceTaken),
                Buttons.action("mapping-beside", "Keep both", model::keepBeside),
                Buttons.action("mapping-leave", "Leave it", model::leaveTaken));
        line.setAlignment(Pos.CENTER_LEFT);
        line.setVisible(false);
        line.managedProperty().bind(line.visibleProperty());
        model.takenProperty().addListener((o, was, is) -> {
            line.setVisible(is != null);
            words.setText(
                    is == null ? "" : "A mapping called “" + is.name() + "” is kept already and reads otherwise.");
        });
        return line;
    }

    private void makeName() {
        name.setId("mapping-name");
        name.setPromptText("Name, such as the logger's");
        name.setPrefWidth(210);
        name.setAccessibleText("Name of the mapping");
        name.getStyleClass().add(Styles.ENTRY);
    }

    private Button share() {
        return Buttons.action("mapping-save", "Save as file…",
                () -> save.accept((name.getText().isBlank() ? "mapping" : name.getText().strip()) + ".json",
                        model.asFile(name.getText())));
    }

    private void makeTake() {
        take.setId("mapping-import");
        take.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        take.setOnAction(event -> model.importAll());
    }

    private void show(MappingPreview preview) {
        take.setDisable(preview == null || preview.problem().isPresent());
        if (preview == null) {
            showReading();
            return;
        }
        showRead(preview);
    }

    private void showReading() {
        title.setText("Reading…");
        table.getChildren().clear();
        columns.getChildren().clear();
        strips.show(List.of());
    }

    private void showRead(MappingPreview preview) {
        title.setText(model.sourceProperty().get().name());
        if (name.getText().isEmpty() || !preview.mapping().name().isEmpty()) {
            name.setText(preview.mapping().name().isEmpty() ? name.getText() : preview.mapping().name());
        }
        problem.setText(preview.problem().orElse(""));
        take.setText(preview.shots() == 0 ? "Import"
                : preview.shots() == 1 ? "Import 1 shot" : "Import " + preview.shots() + " shots");
        table.getChildren().setAll(shape(preview), split(preview));
        columns.getChildren().clear();
        preview.mapping().columns().forEach(rule -> columns.getChildren().add(new MappingColumn(rule, preview, model)));
        strips.show(preview.figures());
    }

    private Node shape(MappingPreview preview) {
        HBox line = new HBox(6);
        line.setAlignment(Pos.CENTER_LEFT);
        if (preview.mapping().shape() instanceof TableShape.Lines lines) {
            ComboBox<Character> delimiter = Choices.of("mapping-delimiter", "What separates the cells",
                    List.of('\t', ';', ',', '|'), lines.delimiter(),
                    c -> c == '\t' ? "tab" : c == ';' ? "semicolon" : c == ',' ? "comma" : String.valueOf(c),
                    c -> reshape(new TableShapeEdit(lines).delimiter(c)));
            ComboBox<
                    Character> mark = Choices.of("mapping-mark", "Decimal mark", List.of('.', ','), lines.decimalMark(),
                            c -> c == '.' ? "point" : "comma", c -> reshape(new TableShapeEdit(lines).mark(c)));
            TextField heading = number("mapping-heading", Integer.toString(lines.headingLine()),
                    "Line of the heading, 0 for none",
                    typed -> reshape(new TableShapeEdit(lines).heading((int) typed)));
            TextField first = number("mapping-first", Integer.toString(lines.firstLine()), "Line of the first row",
                    typed -> reshape(new TableShapeEdit(lines).first((int) typed)));
            line.getChildren()
                    .addAll(new Label("Cells by"), delimiter, new Label("decimal"), mark, new Label("heading in line"),
                            heading,
                            new Label("rows from"), first);
        } else if (preview.mapping().shape() instanceof TableShape.Json json) {
            TextField path = new TextField(json.path());
            path.setId("mapping-path");
            path.setAccessibleText("Path of the table in the JSON");
            path.setPromptText("root");
            path.getStyleClass().add(Styles.ENTRY);
            path.setPrefWidth(260);
            path.setOnAction(event -> model.change(new TableShape.Json(path.getText().strip())));
            line.getChildren().addAll(new Label("Table at path"), path);
        }
        return new VBox(2, line, reason(preview, MappingGuess.SHAPE));
    }

    private Node split(MappingPreview preview) {
        TableMapping mapping = preview.mapping();
        ComboBox<ShotSplit.Kind> kind = Choices.of("mapping-split", "How shots are told apart",
                List.of(ShotSplit.Kind.values()), mapping.split().kind(),
                ShotSplit.Kind::title,
                chosen -> model.change(new ShotSplit(chosen, chosen == ShotSplit.Kind.GAP ? 20 : 0)));
        HBox line = new HBox(6, new Label("Shots"), kind);
        line.setAlignment(Pos.CENTER_LEFT);
        addGap(mapping, line);
        TextField rate = rate(mapping);
        line.getChildren().addAll(new Label("· samples per second without a time column"), rate);
        return new VBox(2, line, reason(preview, MappingGuess.SPLIT));
    }

    private void addGap(TableMapping mapping, HBox line) {
        if (mapping.split().kind() == ShotSplit.Kind.GAP) {
            line.getChildren()
                    .addAll(number("mapping-gap", DecimalText.exact(mapping.split().seconds()),
                            "Pause that begins a new shot, s",
                            typed -> model.change(new ShotSplit(ShotSplit.Kind.GAP, typed))), new Label("s"));
        }
    }

    private TextField rate(TableMapping mapping) {
        TextField rate = number("mapping-rate",
                mapping.rate().isPresent() ? DecimalText.exact(mapping.rate().getAsDouble()) : "",
                "Samples per second, where there is no time column",
                typed -> model.change(typed > 0 ? OptionalDouble.of(typed) : OptionalDouble.empty()));
        rate.setPromptText("none");
        rate.setDisable(mapping.find(new ColumnRole.Time()).isPresent());
        return rate;
    }

    private void reshape(Optional<TableShape> shape) {
        shape.ifPresent(model::change);
    }

    private static Label reason(MappingPreview preview, String key) {
        Label why = new Label(preview.reasons().getOrDefault(key, ""));
        why.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        return why;
    }

    static TextField number(String id, String shown, String meaning, DoubleConsumer typed) {
        TextField field = new TextField(shown);
        field.setId(id);
        field.setAccessibleText(meaning);
        Hint.on(field, meaning);
        field.getStyleClass().add(Styles.ENTRY);
        field.setPrefWidth(46);
        field.setOnAction(event -> DecimalText.parse(field.getText().isBlank() ? "0" : field.getText())
                .ifPresentOrElse(typed::accept, () -> field.setText(shown)));
        return field;
    }
}
