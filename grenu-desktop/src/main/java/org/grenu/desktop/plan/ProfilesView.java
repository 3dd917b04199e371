package org.grenu.desktop.plan;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.core.profile.Profile;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.shelf.ProfileSketch;

/** Profiles: which there are, the one that is drawn on its strips, its steps in words. */
final class ProfilesView extends BorderPane {

    private static final Map<String, String> SHAPES = new LinkedHashMap<>();

    static {
        SHAPES.put("Straight", "main: pressure 9 ±0.5");
        SHAPES.put("Soak and rise",
                "soak: pressure 3 ±0.5 until 2 s after drip or 20 s; main: pressure 9 over 3 s ±0.5");
        SHAPES.put("Falling", "main: pressure 9 ±0.5 until 20 g; taper: pressure 9 to 6 over 10 s ±0.5");
    }

    private static final double CARD = 118;

    private final ProfilesViewModel model;
    private final Appearance appearance;
    private final HBox cards = new HBox(8);
    private final Label title = new Label();
    private final Label state = new Label();
    private static final String BEGIN = "A profile is drawn on the strips: what it holds as grain, and what ends each "
            + "step as a tab on the channel that it watches. Begin with one of the shapes under New, from the open "
            + "shot, or with a file.";

    private final Label empty = new Label();
    private final ProfileFiles files;

    ProfilesView(ProfilesViewModel model, Appearance appearance, Function<String, Optional<Path>> fileToSave,
            Supplier<List<Path>> filesToOpen) {
        this.model = model;
        this.appearance = appearance;
        this.files = new ProfileFiles(model, fileToSave, filesToOpen);
        setId("profiles");
        getStyleClass().add(Styles.WORK);
        ProfileEditor editor = new ProfileEditor(model, appearance);
        VBox.setVgrow(editor, Priority.ALWAYS);
        empty.getStyleClass().add(Styles.PROSE);
        empty.setId("profiles-empty");
        empty.setWrapText(true);
        empty.setPadding(new Insets(20, 14, 0, 14));
        empty.managedProperty().bind(empty.textProperty().isNotEmpty());
        setTop(new VBox(cardRow(), titleRow(), empty));
        setCenter(editor);
        setBottom(new StepsTable(model, editor::addStep));
        model.chosenProperty().addListener((o, was, is) -> show());
        appearance.themeProperty().addListener((o, was, is) -> show());
        show();
    }

    private Node cardRow() {
        cards.setPadding(new Insets(2, 14, 4, 14));
        cards.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new ScrollPane(cards);
        scroll.setFitToHeight(true);
        scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add(Styles.SHELF_LIST);
        scroll.setMinHeight(66);
        scroll.setFocusTraversable(false);
        return scroll;
    }

    private Node titleRow() {
        title.setId("profile-title");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setMinWidth(0);
        state.setId("profile-state");
        state.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        state.setMinWidth(0);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button from = Buttons.action("profile-from-shot", "From the open shot", model::fromOpenShot);
        Hint.on(from, "Reads steps off the curves of the shot that is open, and says what they do not follow");
        Button save = Buttons.action("profile-save", "Save as file…", files::save);
        save.disableProperty().bind(model.chosenProperty().isNull());
        HBox row = new HBox(8, title, gap, from, Buttons.action("profile-open", "Open file…", files::open), save);
        row.setAlignment(Pos.CENTER_LEFT);
        VBox both = new VBox(row, state);
        both.setPadding(new Insets(2, 14, 4, 14));
        return both;
    }

    private void show() {
        cards.getChildren().setAll(began());
        KnownProfile now = model.chosenProperty().get();
        for (KnownProfile profile : model.all()) {
            cards.getChildren().add(card(profile, now != null && now.name().equals(profile.name())));
        }
        title.setText(now == null ? "Profiles" : now.name() + ", version " + now.version());
        int shots = now == null ? 0 : now.shots().size();
        state.setText(now == null ? "" : now.used() ? (shots == 1 ? "1 shot was" : shots + " shots were")
                + " pulled by it: an edit begins version " + (now.version() + 1)
                : shots == 0 ? "no shot yet" : "no shot by this version yet; older ones stay with their " + shots
                        + " shots");
        empty.setText(now == null ? BEGIN + unknown() : "");
    }

    private String unknown() {
        String names = model.withoutSteps()
                .entrySet()
                .stream()
                .map(name -> "“" + name.getKey() + "” (" + name.getValue() + ")")
                .collect(Collectors.joining(", "));
        return names.isEmpty() ? ""
                : "\n\nShots name " + names
                        + ", but nowhere are the steps of that written down: read them off one of those "
                        + "shots, or type them in its record.";
    }

    private Node card(KnownProfile profile, boolean current) {
        Label name = new Label(profile.name());
        name.getStyleClass().add(Styles.STRONG);
        Label shots = new Label(profile.shots().size() == 1 ? "1 shot" : profile.shots().size() + " shots");
        shots.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        PaintedRow sketch = new PaintedRow(appearance.themeProperty(), 26, profile.name(),
                (g, theme, width) -> ProfileSketch.paint(g, theme, profile.profile(), width, 26));
        sketch.setPrefWidth(44);
        HBox inside = new HBox(8, sketch, new VBox(name, shots));
        inside.setAlignment(Pos.CENTER_LEFT);
        Button card = new Button();
        card.setId("profile-card-" + profile.name().replaceAll("\\W+", "-").toLowerCase(Locale.ROOT));
        card.setGraphic(inside);
        card.setAccessibleText(profile.name() + ", " + shots.getText());
        card.getStyleClass().setAll(Styles.CARD, "profile-card");
        if (current) {
            card.getStyleClass().add(Styles.CURRENT);
        }
        card.setMinWidth(CARD);
        card.setOnAction(event -> model.choose(profile.name()));
        return card;
    }

    /** Three shapes to begin with. */
    private Node began() {
        MenuButton menu = new MenuButton("New");
        menu.setId("profile-new");
        menu.getStyleClass().add(Styles.ACTION);
        menu.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(menu, "A new profile of one of three shapes");
        SHAPES.forEach((name, steps) -> {
            MenuItem shape = new MenuItem(name);
            shape.setId("profile-new-" + name.replaceAll("\\W+", "-").toLowerCase(Locale.ROOT));
            shape.setOnAction(event -> model.add(name, Profile.parse(steps)));
            menu.getItems().add(shape);
        });
        HBox box = new HBox(menu);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }
}
