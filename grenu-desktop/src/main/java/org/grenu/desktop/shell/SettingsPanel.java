package org.grenu.desktop.shell;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.grenu.app.settings.Display;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Unit;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;

/** How shots are timed and shown, and which schools speak. Every choice counts at once. */
final class SettingsPanel extends VBox {

    private static final double UNIT_WIDTH = 74;
    private static final double AUTHOR_WIDTH = 260;

    private final StudyDesk desk;

    SettingsPanel(StudyDesk desk) {
        super(10);
        this.desk = desk;
        setId("settings-panel");
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(760, 620);
        Button close = Buttons.action("settings-close", "Close", () -> setVisible(false));
        SchoolsSection schools = new SchoolsSection(desk);
        VBox.setVgrow(schools, Priority.ALWAYS);
        getChildren().addAll(row(heading("Settings of this library"), close), convention(), display(), author(),
                schools);
        setVisible(false);
        managedProperty().bind(visibleProperty());
        visibleProperty().addListener((o, was, is) -> schools.fill());
    }

    /** Shows the panel, or puts it away. */
    void toggle() {
        setVisible(!isVisible());
    }

    private Node convention() {
        return line(new Label("A shot's time is counted from"), choice("convention", "Time convention of the study",
                List.of(TimeConvention.values()), TimeConvention::title, StudySettings::convention,
                (now, chosen) -> now.with(chosen)));
    }

    private Node display() {
        return line(new Label("Temperatures are shown in"),
                narrow(choice("temperature", "Unit of temperatures", DisplayUnits.TEMPERATURES, Unit::symbol,
                        now -> now.units().temperature(),
                        (now, chosen) -> in(now, new DisplayUnits(chosen, now.units().pressure())))),
                new Label("pressures in"),
                narrow(choice("pressure", "Unit of pressures", DisplayUnits.PRESSURES, Unit::symbol,
                        now -> now.units().pressure(),
                        (now, chosen) -> in(now, new DisplayUnits(now.units().temperature(), chosen)))),
                new Label("and everything at"),
                narrow(choice("text-size", "Text size, percent", Display.TEXT_SIZES, percent -> percent + " %",
                        now -> now.display().textSize(),
                        (now, chosen) -> now.with(now.display().withTextSize(chosen)))));
    }

    private Node author() {
        TextField author = new TextField(desk.settingsProperty().get().author());
        author.setId("settings-author");
        author.setPromptText("nobody: who pulled the shots is named");
        author.setAccessibleText("Name that stands over reports");
        author.getStyleClass().add(Styles.ENTRY);
        author.setPrefWidth(AUTHOR_WIDTH);
        Runnable keep = () -> {
            StudySettings now = desk.settingsProperty().get();
            if (!now.author().equals(author.getText().strip())) {
                desk.choose(now.withAuthor(author.getText()));
            }
        };
        author.setOnAction(event -> keep.run());
        author.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                keep.run();
            }
        });
        desk.settingsProperty().addListener((o, was, is) -> author.setText(is.author()));
        return line(new Label("Reports are by"), author);
    }

    /** Wide enough for a unit: by itself it keeps room for the widest word of any choice. */
    private static Node narrow(ChoiceBox<?> choice) {
        choice.setPrefWidth(UNIT_WIDTH);
        choice.setMinWidth(UNIT_WIDTH);
        return choice;
    }

    private static StudySettings in(StudySettings now, DisplayUnits units) {
        return now.with(now.display().in(units));
    }

    private static Node line(Node... nodes) {
        HBox line = new HBox(6, nodes);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    /** A choice that follows the settings, and changes them. */
    private <T> ChoiceBox<T> choice(String id, String meaning, List<T> values, Function<T, String> title,
            Function<StudySettings, T> read, BiFunction<StudySettings, T, StudySettings> change) {
        ChoiceBox<T> choice = new ChoiceBox<>(FXCollections.observableArrayList(values));
        choice.setId("settings-" + id);
        choice.setAccessibleText(meaning);
        choice.setConverter(titled(title));
        choice.setValue(read.apply(desk.settingsProperty().get()));
        choice.valueProperty()
                .addListener((o, was, is) -> desk.choose(change.apply(desk.settingsProperty().get(), is)));
        desk.settingsProperty().addListener((o, was, is) -> choice.setValue(read.apply(is)));
        return choice;
    }

    private static <T> StringConverter<T> titled(Function<T, String> title) {
        return new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : title.apply(value);
            }

            @Override
            public T fromString(String string) {
                throw new UnsupportedOperationException("a choice is never typed");
            }
        };
    }

    private static Label heading(String words) {
        Label label = new Label(words);
        label.getStyleClass().add(Styles.HEADING);
        return label;
    }

    private static HBox row(Node left, Node right) {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(8, left, gap, right);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
