package org.grenu.desktop.rack;

import org.grenu.library.ShotSummary;

/** A row of the rack. */
public sealed interface RackRow {

    /** The heading of a day. */
    record DayHeading(String day, int shots) implements RackRow {
    }

    /** A shot. */
    record Slip(ShotSummary shot) implements RackRow {
    }
}
