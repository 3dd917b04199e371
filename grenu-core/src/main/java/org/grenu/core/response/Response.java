package org.grenu.core.response;

import java.util.Optional;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;

/** What a comparison asks about. */
public sealed interface Response permits StandardResponse, OwnResponse, ShownResponse {

    /** {@return the name in files and commands} */
    String key();

    /** {@return the name on screen, with its basis or convention} */
    String title();

    /** {@return its unit, empty when it has none} */
    String unit();

    /** {@return the unit of a difference: points for a share in percent} */
    default String differenceUnit() {
        return unit().equals("%") ? "points" : unit();
    }

    /**
     * {@return half the width of the zone in which a difference makes none in practice, in its unit; editable by
     * the user}
     */
    double usualMargin();

    /** {@return the shot's value; empty when unknown} */
    Optional<Measured> of(MeasuredShot shot);

    /** {@return the response told in those units; itself where they change nothing} */
    default Response in(DisplayUnits units) {
        return this;
    }
}
