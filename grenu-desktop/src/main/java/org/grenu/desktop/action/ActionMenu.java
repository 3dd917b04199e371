package org.grenu.desktop.action;

import java.util.List;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Styles;

/** A menu of actions; what is not possible when it opens is grey. */
public final class ActionMenu extends MenuButton {

    /** A menu of those sections, with a line between two. */
    public ActionMenu(String id, String title, List<List<Action>> sections) {
        super(title);
        setId(id);
        getStyleClass().add(Styles.ACTION);
        setMinWidth(Region.USE_PREF_SIZE);
        for (List<Action> section : sections) {
            if (!getItems().isEmpty()) {
                getItems().add(new SeparatorMenuItem());
            }
            section.forEach(action -> getItems().add(item(action)));
        }
    }

    private MenuItem item(Action action) {
        MenuItem item = new MenuItem(action.label());
        item.setId(action.id());
        item.setMnemonicParsing(false);
        if (!action.keys().isEmpty()) {
            item.setText(action.label() + "   " + action.keyText());
        }
        item.setOnAction(event -> action.invoke());
        showingProperty().addListener((o, was, is) -> item.setDisable(action.whyNot().get().isPresent()));
        return item;
    }
}
