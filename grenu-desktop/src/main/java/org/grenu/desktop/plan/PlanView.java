package org.grenu.desktop.plan;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.Observable;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.control.FirstShown;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** The work surface of Plan. */
public final class PlanView extends BorderPane {

    private final DialInViewModel model;
    private final ComboBox<String> coffee = new ComboBox<>();
    private final ObjectProperty<PlanTab> tab;
    private boolean showing;

    /**
     * The plan of those models.
     *
     * @param fileToSave  asks for a place to save a file of that suggested name
     * @param filesToOpen asks for files with profiles
     */
    public PlanView(PlanRoom room, Appearance appearance, Function<String, Optional<Path>> fileToSave,
            Supplier<List<Path>> filesToOpen) {
        this.model = room.dialIn();
        this.tab = room.tab();
        setId("plan");
        getStyleClass().add(Styles.WORK);
        setTop(titleRow());
        StackPane centre = new StackPane();
        FirstShown.behindIn(centre, tab.isEqualTo(PlanTab.DIAL_IN),
                () -> new DialInView(model, room.next(), appearance));
        FirstShown.behindIn(centre, tab.isEqualTo(PlanTab.PROFILES),
                () -> new ProfilesView(room.profiles(), appearance, fileToSave, filesToOpen));
        setCenter(centre);
        model.desk().shots().addListener((Observable o) -> offer());
        model.desk().shelfProperty().addListener((o, was, is) -> offer());
        model.coffeeProperty().addListener((o, was, is) -> offer());
        offer();
    }

    private Node titleRow() {
        Label title = new Label("Plan");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label words = new Label("Coffee");
        words.getStyleClass().add(Styles.MUTED);
        coffee.setId("plan-coffee");
        coffee.setEditable(true);
        coffee.getStyleClass().addAll(Styles.PICK, "pick-or-type");
        coffee.setPromptText("Name a coffee");
        coffee.setPrefWidth(210);
        coffee.setAccessibleText("Coffee that is dialled in; type a new name to put it on the shelf");
        coffee.setOnAction(event -> chosen());
        HBox tabs = new HBox(2);
        tabs.setAlignment(Pos.CENTER_LEFT);
        ToggleGroup group = new ToggleGroup();
        for (PlanTab one : PlanTab.values()) {
            tabs.getChildren().add(tab(one, group));
        }
        HBox row = new HBox(12, title, tabs, gap, words, coffee);
        words.visibleProperty().bind(tab.isEqualTo(PlanTab.DIAL_IN));
        coffee.visibleProperty().bind(tab.isEqualTo(PlanTab.DIAL_IN));
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add(Styles.TITLE_ROW);
        return row;
    }

    private ToggleButton tab(PlanTab one, ToggleGroup group) {
        ToggleButton button = new ToggleButton(one.title());
        button.setId("plan-" + one.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        button.getStyleClass().setAll(Styles.CHOICE, "plan-tab");
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setToggleGroup(group);
        button.setSelected(tab.get() == one);
        button.setOnAction(event -> {
            button.setSelected(true);
            tab.set(one);
        });
        tab.addListener((o, was, is) -> button.setSelected(is == one));
        return button;
    }

    private void chosen() {
        String name = coffee.getValue() == null ? "" : coffee.getValue().strip();
        if (showing || name.isEmpty() || name.equals(model.coffeeProperty().get())) {
            return;
        }
        if (model.coffees().contains(name)) {
            model.choose(name);
        } else {
            model.desk()
                    .onShelf()
                    .add(ShelfKind.COFFEE, name, Entries.NONE,
                            item -> model.choose(item.name()));
        }
    }

    private void offer() {
        showing = true;
        coffee.getItems().setAll(model.coffees());
        coffee.setValue(model.coffeeProperty().get().isEmpty() ? null : model.coffeeProperty().get());
        showing = false;
    }
}
