package org.grenu.desktop.rack;

import java.util.List;
import javafx.application.Platform;
import javafx.beans.Observable;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.IndexedCell;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.TextField;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.grenu.desktop.control.Hint;
import org.grenu.core.record.Factor;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.desktop.action.ActionMenu;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.Suggestions;

/** The column of slips with its filter and legend. */
public final class RackView extends VBox {

    private static final double NUDGE_PIXELS = 40;
    private static final int MOST_NUDGES = 12;

    private final RackViewModel model;
    private final StudyDesk desk;
    private final Appearance appearance;
    private final ListView<RackRow> list = new ListView<>();
    private final TextField filter = new TextField();
    private final TreatmentLegend legend = new TreatmentLegend();
    private final PickedShots picked;
    private final ObservableValue<Boolean> picking;
    private final RackActions actions;
    private boolean following;

    /** The rack of that desk; its slips can be picked while that says so. */
    public RackView(RackViewModel model, StudyDesk desk, Appearance appearance, PickedShots picked,
            ObservableValue<Boolean> picking, RackActions actions) {
        this.actions = actions;
        this.picked = picked;
        this.picking = picking;
        this.model = model;
        this.desk = desk;
        this.appearance = appearance;
        getStyleClass().add(Styles.RACK);
        setSpacing(8);
        getChildren().addAll(filterField(), colourBy(), countAndLegend(), picking(), listWithEmptyText(), conventions(),
                foot(desk));
        followChanges();
        recolour();
    }

    private void followChanges() {
        appearance.scale().addListener((o, was, is) -> recolour());
        appearance.themeProperty().addListener((o, was, is) -> recolour());
        // The rows stay equal when their times are counted otherwise.
        desk.settingsProperty().addListener((o, was, is) -> list.refresh());
        desk.openProperty().addListener((o, was, is) -> follow());
    }

    /** Puts the caret into the filter. */
    public void focusFilter() {
        filter.requestFocus();
        filter.selectAll();
    }

    /** Puts the focus on the slips. */
    public void focusSlips() {
        list.requestFocus();
    }

    private Node filterField() {
        filter.setId("filter");
        filter.setPromptText("Filter: gentle ey>20");
        filter.setAccessibleText("Filter the shots");
        Hint.on(filter,
                "Words, field:value, grind:2.2-2.6, ey>20, age<14, finding:channel, unknown:taste; a minus takes out "
                        + "(Ctrl F)");
        filter.textProperty().bindBidirectional(model.filterProperty());
        filter.addEventFilter(KeyEvent.KEY_PRESSED, key -> {
            if (Suggestions.shownFor(filter)) {
                return;
            }
            if (key.getCode() == KeyCode.ESCAPE) {
                filter.clear();
                key.consume();
            } else if (key.getCode() == KeyCode.DOWN || key.getCode() == KeyCode.UP) {
                model.step(key.getCode() == KeyCode.DOWN ? 1 : -1);
                key.consume();
            }
        });
        HBox.setHgrow(filter, Priority.ALWAYS);
        Suggestions.on(filter, model::offers);
        HBox box = new HBox(6, Icon.SEARCH.node(), filter, searchMenu());
        box.getStyleClass().add(Styles.FILTER_BOX);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Node countAndLegend() {
        Label count = new Label();
        count.setId("count");
        count.getStyleClass().add(Styles.MUTED);
        count.textProperty().bind(model.countProperty());
        count.setMinWidth(Region.USE_PREF_SIZE);
        Label hint = new Label();
        hint.setId("filter-hint");
        hint.getStyleClass().add(Styles.CAPTION);
        hint.setMinWidth(0);
        hint.textProperty().bind(model.hintProperty());
        hint.textProperty().addListener((o, was, is) -> Hint.on(hint, is));
        hint.visibleProperty().bind(hint.textProperty().isNotEmpty());
        legend.visibleProperty().bind(hint.visibleProperty().not());
        StackPane beside = new StackPane(legend, hint);
        StackPane.setAlignment(hint, Pos.CENTER_LEFT);
        beside.setMinWidth(0);
        HBox.setHgrow(beside, Priority.ALWAYS);
        HBox line = new HBox(6, count, beside);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Node colourBy() {
        ChoiceBox<Factor> choice = new ChoiceBox<>();
        choice.setId("colour-by");
        // One by one: a list that is replaced would lose its choice for a moment.
        Runnable offer = desk.turns().of(() -> {
            List<OwnFactor> own = OwnFactor.all(desk.shots().stream().map(shot -> shot.record()).toList());
            choice.getItems()
                    .removeIf(factor -> factor instanceof OwnFactor && !own.contains(factor)
                            && !factor.equals(choice.getValue()));
            own.stream().filter(factor -> !choice.getItems().contains(factor)).forEach(choice.getItems()::add);
        });
        desk.shots().addListener((Observable o) -> offer.run());
        choice.getItems().setAll(RecordFactor.values());
        choice.setConverter(new StringConverter<>() {
            @Override
            public String toString(Factor factor) {
                return factor == null ? "" : factor.title();
            }

            @Override
            public Factor fromString(String title) {
                throw new IllegalStateException("the choice is not typed");
            }
        });
        choice.valueProperty().bindBidirectional(appearance.colourByProperty());
        choice.setAccessibleText("Colour the shots by");
        offer.run();
        Label words = new Label("Colour by");
        words.getStyleClass().add(Styles.MUTED);
        choice.setPrefWidth(108);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox line = new HBox(words, gap, choice);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Node searchMenu() {
        ActionMenu menu = new ActionMenu("search-menu", "", new SearchActions(model, actions)::sections);
        menu.setGraphic(Icon.MORE.node());
        menu.getStyleClass().remove(Styles.ACTION);
        menu.getStyleClass().addAll(Styles.QUIET, Styles.SEARCH_MENU);
        menu.setAccessibleText("Searches, and what to do with the shots shown");
        Hint.on(menu, "Searches, and what to do with the shots shown");
        return menu;
    }

    private Node listWithEmptyText() {
        makeList();
        Label nothing = emptyWords();
        StackPane stack = new StackPane(list, nothing);
        StackPane.setAlignment(nothing, Pos.TOP_CENTER);
        stack.getStyleClass().add(Styles.RACK_LIST);
        VBox.setVgrow(stack, Priority.ALWAYS);
        return stack;
    }

    private void makeList() {
        list.setId("rack");
        list.setItems(model.rows());
        list.setAccessibleText("Shots");
        SlipMenu menu = new SlipMenu(desk, picked, picking, actions);
        list.setCellFactory(view -> new SlipCell(appearance, desk, picked, picking, menu));
        list.setFocusTraversable(true);
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> chosen(was, is));
        list.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    }

    private Label emptyWords() {
        Label nothing = new Label();
        nothing.getStyleClass().add(Styles.EMPTY);
        nothing.setWrapText(true);
        nothing.setMouseTransparent(true);
        model.countProperty().addListener((o, was, is) -> nothing.setText(emptyText()));
        nothing.setText(emptyText());
        model.rows().addListener((Observable o) -> {
            nothing.setText(emptyText());
            Platform.runLater(this::follow);
        });
        return nothing;
    }

    /** A slip that is replaced by its edited self was not chosen by anybody. */
    private void chosen(RackRow was, RackRow is) {
        boolean itself = was instanceof RackRow.Slip old && is instanceof RackRow.Slip slip
                && old.shot().id() == slip.shot().id();
        if (!following && !itself && is instanceof RackRow.Slip slip) {
            model.open(slip.shot());
        }
    }

    private void pressed(KeyEvent key) {
        RackRow current = list.getSelectionModel().getSelectedItem();
        if (PlaceKey.WALK.is(key)) {
            model.step(step(key.getCode()));
            key.consume();
        } else if (PlaceKey.BIN.is(key) && current instanceof RackRow.Slip slip) {
            actions.bin(List.of(slip.shot()));
            key.consume();
        } else if (PlaceKey.PICK.is(key) && picking.getValue() && current instanceof RackRow.Slip slip) {
            picked.toggle(slip.shot());
            key.consume();
        }
    }

    private static int step(KeyCode code) {
        return switch (code) {
            case DOWN -> 1;
            case UP -> -1;
            case PAGE_DOWN -> 6;
            case PAGE_UP -> -6;
            case HOME -> -1_000_000;
            default -> 1_000_000;
        };
    }

    /** All that the filter shows, or none: so a search becomes a comparison. */
    private Node picking() {
        Label count = new Label();
        count.setId("picked");
        count.getStyleClass().add(Styles.MUTED);
        Button all = new Button("All shown");
        all.setId("pick-all");
        Hint.on(all, "Compare all shots that the filter shows, and no others");
        all.setOnAction(event -> picked.pickOnly(model.shown()));
        Button none = new Button("None");
        none.setId("pick-none");
        none.setOnAction(event -> picked.pickOnly(List.of()));
        all.getStyleClass().add(Styles.LINK);
        none.getStyleClass().add(Styles.LINK);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox line = new HBox(2, count, gap, all, none);
        line.setAlignment(Pos.CENTER_LEFT);
        Runnable tell = () -> {
            count.setText(picked.ids().size() + " picked");
            boolean comparing = picking.getValue();
            line.setVisible(comparing);
            line.setManaged(comparing);
            list.refresh();
        };
        picked.ids().addListener((Observable o) -> tell.run());
        picking.addListener((o, was, is) -> tell.run());
        tell.run();
        return line;
    }

    private String emptyText() {
        if (!model.rows().isEmpty()) {
            return "";
        }
        return model.filterProperty().get().isBlank() ? "No shots yet."
                : ("No shot passes the filter. " + model.misunderstood()).strip() + " Esc clears it.";
    }

    /** What the slips leave out for want of room. */
    private Node conventions() {
        Label words = new Label();
        words.setId("rack-conventions");
        words.textProperty()
                .bind(desk.settingsProperty()
                        .map(settings -> "Times: " + settings.convention().title() + " · EY: as dosed, k = 2"));
        words.getStyleClass().addAll(Styles.MUTED, Styles.RACK_FOOT);
        return words;
    }

    /** Where the shots are kept, so that nobody has to look for the file. */
    private static Node foot(StudyDesk desk) {
        String home = System.getProperty("user.home");
        String path = desk.path().toString();
        Label where = new Label("Library " + (path.startsWith(home) ? "~" + path.substring(home.length()) : path));
        where.setId("library-path");
        where.getStyleClass().addAll(Styles.MUTED, Styles.RACK_FOOT);
        where.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        Hint.on(where, path + "\nChoose another with --library.");
        where.setMaxWidth(Double.MAX_VALUE);
        return where;
    }

    private void follow() {
        int row = model.openRow();
        following = true;
        if (row < 0) {
            list.getSelectionModel().clearSelection();
        } else if (list.getSelectionModel().getSelectedIndex() != row) {
            list.getSelectionModel().select(row);
        }
        following = false;
        if (row >= 0) {
            reveal(row);
        }
    }

    /** Scrolls only when the row is not wholly in sight, and then takes a few rows above it along. */
    private void reveal(int row) {
        if (!(list.lookup(".virtual-flow") instanceof VirtualFlow<?> flow) || flow.getFirstVisibleCell() == null) {
            return;
        }
        if (!whole(flow, row)) {
            list.scrollTo(Math.max(0, row <= 1 ? 0 : row - 3));
            list.layout();
        }
        // The list guesses the heights of rows it has not shown yet, and so falls short of the last ones.
        for (int i = 0; i < MOST_NUDGES && !whole(flow, row); i++) {
            flow.scrollPixels(row <= flow.getFirstVisibleCell().getIndex() ? -NUDGE_PIXELS : NUDGE_PIXELS);
            list.layout();
        }
    }

    private boolean whole(VirtualFlow<?> flow, int row) {
        if (row < flow.getFirstVisibleCell().getIndex() || row > flow.getLastVisibleCell().getIndex()) {
            return false;
        }
        IndexedCell<?> cell = flow.getCell(row);
        return cell.getLayoutY() >= 0 && cell.getLayoutY() + cell.getHeight() <= flow.getHeight() + 1;
    }

    private void recolour() {
        legend.show(appearance.scale().get(), appearance.themeProperty().get());
        list.refresh();
    }
}
