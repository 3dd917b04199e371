package org.grenu.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.shelf.RecipeViewModel;

/** Makes the open shot a recipe, or lets it start from one. */
final class RecipeMenu extends MenuButton {

    private final Bench bench;

    RecipeMenu(Bench bench) {
        super("Recipe");
        this.bench = bench;
        setId("recipe-menu");
        getStyleClass().add(Styles.ACTION);
        setMinWidth(Region.USE_PREF_SIZE);
        disableProperty().bind(bench.desk().openProperty().isNull());
        getItems().add(new MenuItem());
        setOnShowing(event -> fill());
    }

    private void fill() {
        RecipeViewModel recipes = bench.recipes();
        List<MenuItem> items = new ArrayList<>();
        items.add(
                item("promote", "Promote to recipe “" + recipes.suggestedName() + "”", () -> recipes.promote(recipe -> {
                    bench.workspace().set(Workspace.SHELF);
                    bench.shelf().choose(recipe);
                })));
        List<ShelfItem> known = recipes.recipes();
        if (!known.isEmpty()) {
            items.add(new SeparatorMenuItem());
        }
        known.forEach(recipe -> items
                .add(item("start-" + recipe.id(), "Start from “" + recipe.name() + "”", () -> recipes.start(recipe))));
        getItems().setAll(items);
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }
}
