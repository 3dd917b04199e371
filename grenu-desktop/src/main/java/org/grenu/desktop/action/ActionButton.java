package org.grenu.desktop.action;

import javafx.scene.control.Button;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;

/** A button for an action. */
public final class ActionButton extends Button {

    private ActionButton(Action action) {
        setId(action.id());
        Hint.on(this, action.tooltip());
        setAccessibleText(action.tooltip());
        setMinWidth(Region.USE_PREF_SIZE);
        setOnAction(event -> action.invoke());
    }

    /** {@return a button that says it in words} */
    public static ActionButton words(Action action) {
        ActionButton button = new ActionButton(action);
        button.setText(action.label());
        button.getStyleClass().add(Styles.ACTION);
        return button;
    }

    /** {@return a button that shows it} */
    public static ActionButton icon(Action action, Icon icon) {
        ActionButton button = new ActionButton(action);
        button.setGraphic(icon.node());
        button.getStyleClass().add(Styles.QUIET);
        return button;
    }

    /** {@return this button, with a picture beside its words} */
    public ActionButton with(Icon icon) {
        setGraphic(icon.node());
        return this;
    }
}
