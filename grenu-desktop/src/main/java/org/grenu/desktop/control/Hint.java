package org.grenu.desktop.control;

import javafx.scene.control.Control;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/**
 * What a control says when the pointer rests on it. The tooltip, which is a window with a scene of its own, is made
 * when the pointer first comes: a page has some hundred of them, of which few are ever read.
 */
public final class Hint {

    private final Control control;
    private String words;

    private Hint(Control control) {
        this.control = control;
        control.addEventHandler(MouseEvent.MOUSE_ENTERED, event -> dress());
    }

    /** Gives the control these words; none when they are empty. */
    public static void on(Control control, String words) {
        Hint hint = (Hint) control.getProperties().computeIfAbsent(Hint.class, key -> new Hint(control));
        hint.words = words;
        control.setAccessibleHelp(words.isEmpty() ? null : words);
        if (control.getTooltip() != null) {
            hint.dress();
        }
    }

    private void dress() {
        if (words.isEmpty()) {
            control.setTooltip(null);
        } else if (control.getTooltip() == null) {
            control.setTooltip(new Tooltip(words));
        } else {
            control.getTooltip().setText(words);
        }
    }
}
