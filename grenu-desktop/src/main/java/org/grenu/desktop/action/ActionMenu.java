package org.grenu.desktop.action;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Styles;

/** A menu of actions; what is not possible when it opens is grey. */
public class ActionMenu extends MenuButton {

    private final Supplier<List<List<Action>>> sections;

    /** A menu of the sections that there are when it opens, with a line between two. */
    public ActionMenu(String id, String title, Supplier<List<List<Action>>> sections) {
        super(title);
        this.sections = sections;
        setId(id);
        setMnemonicParsing(false);
        getStyleClass().add(Styles.ACTION);
        setMinWidth(Region.USE_PREF_SIZE);
        fill();
        setOnShowing(event -> fill());
    }

    private void fill() {
        List<MenuItem> items = new ArrayList<>();
        for (List<Action> section : sections.get()) {
            if (!items.isEmpty() && !section.isEmpty()) {
                items.add(new SeparatorMenuItem());
            }
            section.forEach(action -> items.add(item(action)));
        }
        getItems().setAll(items);
    }

    private static MenuItem item(Action action) {
        MenuItem item = new MenuItem(
                action.keys().isEmpty() ? action.label() : action.label() + "   " + action.keyText());
        item.setId(action.id());
        item.setMnemonicParsing(false);
        item.setDisable(action.whyNot().get().isPresent());
        item.setOnAction(event -> action.invoke());
        return item;
    }
}
