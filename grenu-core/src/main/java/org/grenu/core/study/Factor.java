package org.grenu.core.study;

import java.util.Optional;
import java.util.OptionalDouble;

/** What can be told apart by colour, and compared. */
public enum Factor {
    GRIND("Grind", SheetField.GRIND),
    TEMPERATURE("Temperature", SheetField.TEMPERATURE),
    PROFILE("Profile", SheetField.PROFILE),
    COFFEE("Coffee", SheetField.COFFEE),
    DAY("Day", SheetField.PULLED_AT);

    private final String title;
    private final SheetField field;

    Factor(String title, SheetField field) {
        this.title = title;
        this.field = field;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }

    /** {@return whether its levels are numbers with an order} */
    public boolean numeric() {
        return field.kind() == FieldKind.NUMBER;
    }

    /** {@return the shot's level as a number, when the factor is numeric and the level known} */
    public OptionalDouble number(ShotSheet sheet) {
        return sheet.number(field);
    }

    /** {@return the shot's level in words, empty when unknown} */
    public Optional<String> level(ShotSheet sheet) {
        if (this == DAY) {
            return sheet.pulledAt().map(moment -> moment.toLocalDate().toString());
        }
        return sheet.entry(field);
    }
}
