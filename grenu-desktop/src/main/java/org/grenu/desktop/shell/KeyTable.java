package org.grenu.desktop.shell;

import java.util.stream.Collectors;
import javafx.scene.input.KeyCombination;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.action.Actions;
import org.grenu.desktop.control.PlaceKey;

/** The page of keys in the documentation. */
final class KeyTable {

    private KeyTable() {
    }

    static String markdown(Actions actions) {
        StringBuilder page = new StringBuilder("""
                # Keys

                Made from the program's own list of actions; a test holds it against them. Everything here is also \
                found by a few letters
                with Ctrl K, and what has no key of its own, too.

                | key | does |
                |---|---|
                """);
        actions.all()
                .filter(action -> !action.keys().isEmpty())
                .forEach(action -> page.append("| ")
                        .append(keys(action))
                        .append(" | ")
                        .append(action.meaning())
                        .append(" |\n"));
        page.append("\n| where | key | does |\n|---|---|---|\n");
        for (PlaceKey key : PlaceKey.values()) {
            page.append("| " + key.place().words() + " | " + key.shown() + " | " + key.meaning() + " |\n");
        }
        return page.toString();
    }

    private static String keys(Action action) {
        return action.keys()
                .stream()
                .map(KeyCombination::getDisplayText)
                .map(text -> text.replace("+", " "))
                .collect(Collectors.joining(", "));
    }
}
