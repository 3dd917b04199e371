package org.grenu.desktop.entry;

import javafx.beans.value.ObservableValue;
import javafx.scene.control.Label;
import org.grenu.core.entry.Field;
import org.grenu.core.quantity.DisplayUnits;

/** The name of an entry, with the unit that it is shown and typed in. */
public final class FieldLabel {

    private FieldLabel() {
    }

    /** {@return the label; it follows the units} */
    public static Label of(Field field, ObservableValue<DisplayUnits> units) {
        Label label = new Label();
        label.textProperty().bind(units.map(shown -> words(field.title(), field.unit(), shown)));
        return label;
    }

    static String words(String title, String unit, DisplayUnits units) {
        return unit.isEmpty() ? title : title + ", " + units.symbol(unit);
    }
}
