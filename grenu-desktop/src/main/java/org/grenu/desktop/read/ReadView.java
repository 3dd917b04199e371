package org.grenu.desktop.read;

import java.awt.Color;
import java.util.function.IntConsumer;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.FirstShown;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;

/** The workspace for reading one shot: its title, its strips, and what was done to its log. */
public final class ReadView extends BorderPane {

    private final Label title = new Label();
    private static final double FILE_WIDTH = 150;

    private final Label file = new Label();
    private final Label recipe = new Label();
    private final Label fault = new Label();
    private final StripsPane strips;

    /** Shows what the model reads. */
    public ReadView(ReadViewModel model, NotebookViewModel notebook, IntConsumer step, StudyDesk desk,
            Appearance appearance, Runnable chooseLog, Node... menus) {
        getStyleClass().add(Styles.WORK);
        ObjectBinding<Color> treatment = treatment(desk, appearance);
        strips = new StripsPane(model, appearance.themeProperty(), treatment);
        setId("read");
        setTop(titleRow(step, menus));
        NotebookView written = new NotebookView(notebook, chooseLog);
        FootBar foot = new FootBar(model, desk);
        showEither(notebook, written, foot);
        StackPane surface = new StackPane(strips);
        FirstShown.inFrontIn(surface, written);
        setCenter(surface);
        setBottom(foot);
        desk.openProperty().addListener((o, was, is) -> describe(model));
        desk.settingsProperty().addListener((o, was, is) -> describe(model));
        describe(model);
    }

    private static ObjectBinding<Color> treatment(StudyDesk desk, Appearance appearance) {
        return Bindings.createObjectBinding(() -> desk.openProperty().get() == null
                ? appearance.themeProperty().get().color("muted")
                : appearance.scale()
                        .get()
                        .color(desk.openProperty().get().summary().record(), appearance.themeProperty().get()),
                desk.openProperty(), appearance.scale(), appearance.themeProperty());
    }

    private void showEither(NotebookViewModel notebook, Node written, Node foot) {
        written.visibleProperty().bind(notebook.unloggedProperty());
        strips.visibleProperty().bind(notebook.unloggedProperty().not());
        foot.visibleProperty().bind(strips.visibleProperty());
        foot.managedProperty().bind(foot.visibleProperty());
    }

    /** {@return the strips, for the keys that reach them from anywhere} */
    public StripsPane strips() {
        return strips;
    }

    private Node titleRow(IntConsumer step, Node... menus) {
        makeTitle();
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        file.setId("shot-file");
        file.getStyleClass().addAll(Styles.CAPTION, Styles.MUTED);
        file.setMaxWidth(FILE_WIDTH);
        file.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        file.managedProperty().bind(file.textProperty().isNotEmpty());
        VBox named = new VBox(title, file);
        named.setAlignment(Pos.CENTER_LEFT);
        named.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(10, named, recipe, fault, gap, neighbour("‹", "Newer shot (Up)", () -> step.accept(-1)),
                neighbour("›", "Older shot (Down)", () -> step.accept(1)));
        row.getChildren().addAll(menus);
        row.getStyleClass().add(Styles.TITLE_ROW);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void makeTitle() {
        title.setId("shot-title");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setMinWidth(Region.USE_PREF_SIZE);
        recipe.getStyleClass().addAll(Styles.MUTED, Styles.RECIPE);
        fault.getStyleClass().addAll(Styles.FAULTY, Styles.RECIPE);
    }

    private static Button neighbour(String sign, String tip, Runnable go) {
        Button button = new Button(sign);
        button.getStyleClass().add(Styles.QUIET);
        Hint.on(button, tip);
        button.setAccessibleText(tip);
        button.setFocusTraversable(false);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> go.run());
        return button;
    }

    private void describe(ReadViewModel model) {
        title.setText(model.title());
        file.setText(model.file());
        Hint.on(file, model.file().isEmpty() ? "" : "The log came in " + model.file());
        recipe.setText(model.recipe());
        Hint.on(recipe, model.recipe());
        fault.setText(model.fault().isEmpty() ? "" : "faulty: " + model.fault());
        Hint.on(fault, model.fault());
    }
}
