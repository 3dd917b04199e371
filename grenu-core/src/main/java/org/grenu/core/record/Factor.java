package org.grenu.core.record;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DisplayUnits;

/** What can be told apart by colour, and compared. */
public sealed interface Factor permits RecordFactor, OwnFactor, ShownFactor {

    /** {@return the name in files and commands} */
    String key();

    /** {@return the name on screen} */
    String title();

    /** {@return the unit of a numeric factor, empty when it has none} */
    String unit();

    /** {@return whether its levels are numbers with an order} */
    boolean numeric();

    /** {@return the shot's level as a number, when the factor is numeric and the level known} */
    OptionalDouble number(ShotRecord record);

    /** {@return the shot's level in words, empty when unknown; of a numeric factor the plain number} */
    Optional<String> level(ShotRecord record);

    /** {@return the factor told in those units; itself where they change nothing} */
    default Factor in(DisplayUnits units) {
        return this;
    }
}
