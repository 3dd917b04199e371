package org.grenu.desktop.action;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.input.KeyCombination;

/**
 * Something the program does when the user says so.
 *
 * @param id      for the button or item that says it
 * @param label   a few words, as on a button
 * @param meaning what it does, as a tooltip has it
 * @param keys    any of which do it; the first is the one that is told
 * @param whyNot  why it is not possible now, with the remedy; empty while it is
 * @param run     does it
 */
public record Action(String id, String label, String meaning, List<KeyCombination> keys,
        Supplier<Optional<String>> whyNot, Runnable run) {

    public Action {
        keys = List.copyOf(keys);
    }

    /** {@return an action without a key that is always possible} */
    public static Action of(String id, String label, String meaning, Runnable run) {
        return new Action(id, label, meaning, List.of(), Optional::empty, run);
    }

    /** {@return this action on those keys, written such as {@code Shortcut+Shift+Z}} */
    public Action on(String... combinations) {
        return new Action(id, label, meaning,
                List.of(combinations).stream().map(KeyCombination::keyCombination).toList(), whyNot, run);
    }

    /** {@return this action where something may stand in the way} */
    public Action unless(Supplier<Optional<String>> reason) {
        return new Action(id, label, meaning, keys, reason, run);
    }

    /** {@return the first of its keys, such as {@code Ctrl Shift Z}; empty without one} */
    public String keyText() {
        return keys.isEmpty() ? "" : keys.get(0).getDisplayText().replace("+", " ");
    }

    /** {@return its meaning with its key} */
    public String tooltip() {
        return keys.isEmpty() ? meaning : meaning + " (" + keyText() + ")";
    }

    /** Does it where that is possible now; {@return why it was not} */
    public Optional<String> invoke() {
        Optional<String> reason = whyNot.get();
        if (reason.isEmpty()) {
            run.run();
        }
        return reason;
    }
}
