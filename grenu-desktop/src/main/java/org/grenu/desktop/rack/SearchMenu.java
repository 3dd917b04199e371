package org.grenu.desktop.rack;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.library.ShotSummary;

/** Searches that are kept, the one for what worked, and what can be done with the shots that are shown. */
final class SearchMenu extends MenuButton {

    private final RackViewModel model;
    private final RackActions actions;

    SearchMenu(RackViewModel model, RackActions actions) {
        this.model = model;
        this.actions = actions;
        setId("search-menu");
        setGraphic(Icon.MORE.node());
        getStyleClass().addAll(Styles.QUIET, Styles.SEARCH_MENU);
        setAccessibleText("Searches, and what to do with the shots shown");
        setTooltip(new Tooltip("Searches, and what to do with the shots shown"));
        getItems().add(new MenuItem());
        setOnShowing(event -> fill());
    }

    private void fill() {
        List<MenuItem> items = new ArrayList<>();
        MenuItem worked = item("what-worked", "What worked for this coffee on this grinder",
                () -> model.whatWorked().ifPresent(model.filterProperty()::set));
        worked.setDisable(model.whatWorked().isEmpty());
        items.add(worked);
        String typed = model.filterProperty().get().strip();
        boolean kept = model.savedSearches().contains(typed);
        MenuItem save = item("save-search",
                typed.isEmpty() ? "Keep a search: type one first" : (kept ? "Forget “" : "Keep “") + typed + "”",
                model::saveSearch);
        save.setDisable(typed.isEmpty());
        items.add(save);
        if (!model.savedSearches().isEmpty()) {
            items.add(new SeparatorMenuItem());
            model.savedSearches().forEach(query -> items.add(item("", query, () -> model.filterProperty().set(query))));
        }
        items.add(new SeparatorMenuItem());
        List<ShotSummary> shown = model.shown();
        String these = shown.size() == 1 ? "the shot shown" : "the " + shown.size() + " shots shown";
        items.add(item("edit-shown", "Edit " + these + "…", () -> actions.edit(shown)));
        items.add(item("bin-shown", "Put " + these + " into the bin", () -> actions.bin(shown)));
        items.add(item("open-bin", "Bin…", actions::openBin));
        getItems().setAll(items);
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        if (!id.isEmpty()) {
            item.setId(id);
        }
        item.setOnAction(event -> action.run());
        return item;
    }
}
