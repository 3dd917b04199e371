package org.grenu.desktop.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.Observable;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.shelf.ShelfFigure;
import org.grenu.figures.theme.Theme;

/** The work surface of the Shelf: a sort of things at the top, below it a picture of each. */
public final class ShelfView extends BorderPane {

    private static final int MOST_OFFERED = 6;

    private final ShelfViewModel model;
    private final Appearance appearance;
    private final VBox list = new VBox(8);
    private final TextField name = new TextField();
    private final Label refusal = new Label();
    private final HBox rest = new HBox(6);
    private List<RulePack> offered = List.of();
    private ComboBox<Optional<RulePack>> restChoice;
    private final FlowPane offers = new FlowPane(6, 4);
    private final Label teaching = new Label();

    /** The shelf of that model. */
    public ShelfView(ShelfViewModel model, Appearance appearance) {
        this.model = model;
        this.appearance = appearance;
        getStyleClass().add(Styles.WORK);
        setId("shelf");
        ScrollPane scroll = scrolled();
        setTop(new VBox(kinds(), adding()));
        setCenter(scroll);
        model.cards().addListener((Observable o) -> show());
        model.chosenProperty().addListener((o, was, is) -> mark());
        model.kindProperty().addListener((o, was, is) -> kindChanged());
        appearance.themeProperty().addListener((o, was, is) -> show());
        show();
    }

    private ScrollPane scrolled() {
        list.setPadding(new Insets(4, 14, 24, 14));
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add(Styles.SHELF_LIST);
        return scroll;
    }

    private void kindChanged() {
        list.getChildren().clear();
        teachWhereEmpty();
        offer();
    }

    private Node kinds() {
        Label title = new Label("Shelf");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        title.setMinWidth(Region.USE_PREF_SIZE);
        FlowPane tabs = new FlowPane(2, 0);
        ToggleGroup group = new ToggleGroup();
        for (ShelfKind kind : ShelfKind.values()) {
            if (kind == ShelfKind.BAG) {
                continue;
            }
            ToggleButton tab = new ToggleButton(kind == ShelfKind.COFFEE ? "Coffees and bags" : kind.title());
            tab.setId("kind-" + kind.key());
            tab.getStyleClass().setAll(Styles.CHOICE);
            tab.setToggleGroup(group);
            tab.setSelected(model.kindProperty().get() == kind);
            tab.setOnAction(event -> {
                tab.setSelected(true);
                model.kindProperty().set(kind);
            });
            model.kindProperty().addListener((o, was, is) -> tab.setSelected(is == kind));
            tabs.getChildren().add(tab);
        }
        HBox.setHgrow(tabs, Priority.ALWAYS);
        HBox line = new HBox(12, title, tabs);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add(Styles.TITLE_ROW);
        return line;
    }

    private Node adding() {
        name.setId("shelf-name");
        name.getStyleClass().add(Styles.ENTRY);
        name.setMinWidth(104);
        name.setPrefWidth(210);
        name.setOnAction(event -> add(name.getText()));
        Button add = new Button("Put on the shelf");
        add.setId("shelf-add");
        add.getStyleClass().add(Styles.ACTION);
        add.setMinWidth(Region.USE_PREF_SIZE);
        add.setOnAction(event -> add(name.getText()));
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setId("shelf-refusal");
        offers.setAlignment(Pos.CENTER_LEFT);
        offers.setMinWidth(0);
        offers.setPrefWrapLength(0);
        HBox.setHgrow(offers, Priority.ALWAYS);
        Label words = new Label("Rest window");
        words.getStyleClass().add(Styles.MUTED);
        words.setMinWidth(Region.USE_PREF_SIZE);
        model.desk().settingsProperty().addListener((o, was, is) -> follow());
        rest.getChildren().setAll(words, restChoice());
        rest.setAlignment(Pos.CENTER_LEFT);
        rest.managedProperty().bind(rest.visibleProperty());
        HBox line = new HBox(6, name, add, offers, refusal, rest);
        line.setAlignment(Pos.CENTER_LEFT);
        line.setPadding(new Insets(0, 14, 6, 14));
        return line;
    }

    private ComboBox<Optional<RulePack>> restChoice() {
        offered = model.restSchools();
        List<Optional<RulePack>> schools = new ArrayList<>(List.of(Optional.empty()));
        offered.forEach(pack -> schools.add(Optional.of(pack)));
        ComboBox<Optional<RulePack>> choice = Choices.of("rest-school", "School of the rest window", schools,
                model.restSchool(), school -> school.map(RulePack::title).orElse("no school"), model::chooseRest);
        choice.setMinWidth(104);
        choice.setPrefWidth(150);
        restChoice = choice;
        return choice;
    }

    /** A school that was written or edited is offered as it is now. */
    private void follow() {
        if (offered.equals(model.restSchools())) {
            restChoice.setValue(model.restSchool());
        } else {
            rest.getChildren().set(1, restChoice());
        }
    }

    private void add(String wanted) {
        Optional<String> refused = model.add(model.kindProperty().get(), wanted);
        refusal.setText(refused.orElse(""));
        if (refused.isEmpty()) {
            name.clear();
        }
    }

    /** Names that shots use already need not be typed again. */
    private void offer() {
        ShelfKind kind = model.kindProperty().get();
        name.setPromptText("Name of " + ShelfViewModel.article(kind));
        name.setAccessibleText("Name of a new " + kind.one());
        refusal.setText("");
        rest.setVisible(kind == ShelfKind.COFFEE);
        offers.getChildren().clear();
        List<String> names = model.unshelved(kind);
        if (!names.isEmpty()) {
            sayOffered();
        }
        names.stream().limit(MOST_OFFERED).map(this::offered).forEach(offers.getChildren()::add);
    }

    private void sayOffered() {
        Label words = new Label("On shots, not yet here:");
        words.getStyleClass().add(Styles.MUTED);
        offers.getChildren().add(words);
    }

    private Button offered(String known) {
        Button offer = new Button(known);
        offer.getStyleClass().add(Styles.LINK);
        Hint.on(offer, "Put “" + known + "” on the shelf");
        offer.setOnAction(event -> add(known));
        return offer;
    }

    private void show() {
        list.getChildren().setAll(model.cards().stream().map(this::card).toList());
        teachWhereEmpty();
        mark();
        offer();
    }

    private void teachWhereEmpty() {
        if (model.nothingHere()) {
            list.getChildren().setAll(empty());
        }
    }

    private Node empty() {
        ShelfKind kind = model.kindProperty().get();
        teaching.setText("No " + kind.one() + " here yet. " + kind.keeps());
        teaching.setId("shelf-teaching");
        teaching.getStyleClass().setAll("label", Styles.PROSE);
        teaching.setWrapText(true);
        teaching.setMaxWidth(460);
        teaching.setPadding(new Insets(40, 0, 0, 0));
        return teaching;
    }

    private Node card(ShelfCard card) {
        Label title = new Label(card.item().name());
        title.getStyleClass().add(Styles.HEADING);
        Label version = new Label(card.item().versions().size() > 1 ? card.version().label()
                + card.version().since().map(day -> " · since " + day).orElse("") : "");
        version.getStyleClass().add(Styles.MUTED);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(8, title, version, gap);
        head.setAlignment(Pos.BASELINE_LEFT);
        if (card.item().kind() == ShelfKind.COFFEE) {
            Button bag = new Button("New bag");
            bag.setId("new-bag-" + card.item().id());
            bag.getStyleClass().add(Styles.LINK);
            bag.setOnAction(event -> model.addBag(card.item()));
            head.getChildren().add(bag);
        }
        VBox box = new VBox(8, head, new Picture(card.figure()));
        box.setId("card-" + card.item().id());
        box.getStyleClass().add(Styles.CARD);
        box.setUserData(card.item());
        box.setFocusTraversable(true);
        box.setAccessibleRole(AccessibleRole.BUTTON);
        box.setAccessibleText(card.item().name() + ": " + card.figure().words());
        box.setOnMousePressed(event -> {
            box.requestFocus();
            model.choose(card.item());
        });
        box.setOnKeyPressed(key -> {
            if (key.getCode() == KeyCode.ENTER || key.getCode() == KeyCode.SPACE) {
                model.choose(card.item());
                key.consume();
            }
        });
        VBox.setMargin(box, new Insets(0, 0, 0, card.item().kind() == ShelfKind.BAG ? 18 : 0));
        return box;
    }

    private void mark() {
        Chosen chosen = model.chosenProperty().get();
        list.getChildren().forEach(node -> {
            node.getStyleClass().remove(Styles.CURRENT);
            if (chosen != null && node.getUserData() instanceof ShelfItem item && item.id() == chosen.item().id()) {
                node.getStyleClass().add(Styles.CURRENT);
            }
        });
    }

    /** The painted part of a card. */
    private final class Picture extends Region {
        private final FigureImage image = new FigureImage();
        private final ShelfFigure figure;

        Picture(ShelfFigure figure) {
            this.figure = figure;
            setMinHeight(figure.height());
            setPrefHeight(figure.height());
            setMaxHeight(figure.height());
            getChildren().add(image);
            widthProperty().addListener((o, was, is) -> repaint());
        }

        private void repaint() {
            Theme theme = appearance.themeProperty().get();
            image.paint((g, pen, width, height) -> figure.paint(g, theme, width), Math.floor(getWidth()),
                    figure.height());
        }
    }

    /** {@return a field name as an id of the window} */
    static String id(String key) {
        return "shelf-" + key.toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
