package org.grenu.desktop.shell;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.input.KeyCombination;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.action.Actions;

/** The page of keys in the documentation. */
final class KeyTable {

    /** Keys that mean something at one place only, where no action stands behind them. */
    private static final List<String[]> PLACES = List.of(
            new String[] {"in the rack", "↑ ↓ Page Up Page Down Home End",
                    "walk through the shots, outside of texts everywhere in Read"},
            new String[] {"in the rack", "Delete", "put the shot into the bin"},
            new String[] {"in the rack", "Space", "pick the shot for comparing, or put it back (in Compare)"},
            new String[] {"in Read", "← →, with Shift", "move the hairline by 0.1 s, by 1 s"},
            new String[] {"on the strips", "+ − 0", "zoom, show all"},
            new String[] {"on the strips", "Ctrl ← →", "move along"},
            new String[] {"on the strips", "Alt ← →", "move the phase border nearest to the hairline"},
            new String[] {"on the strips", "N", "note at the hairline"},
            new String[] {"on the strips", "G", "hold other shots against this one"},
            new String[] {"on the effects", "arrow keys", "from effect to effect"},
            new String[] {"on the curves", "arrow keys", "move the hairline"},
            new String[] {"in an entry", "Enter, Esc", "store it, take the typing back"},
            new String[] {"in an empty entry", "Down, Enter", "offer and take what stood there last"},
            new String[] {"over the window", "Esc", "close what lies on top"});

    private KeyTable() {
    }

    static String markdown(Actions actions) {
        StringBuilder page = new StringBuilder("""
                # Keys

                Made from the program's own list of actions; a test holds it against them. Everything here is also found by a few letters
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
        PLACES.forEach(place -> page.append("| ").append(String.join(" | ", place)).append(" |\n"));
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
