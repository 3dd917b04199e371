package org.grenu.formats.mapping;

import java.util.Optional;
import org.grenu.core.quantity.Unit;

/**
 * How one column is read: value = (cell · scale + offset), turned about when {@code negated}, in that unit.
 *
 * @param column  its heading, or its number from 1 where the table has none
 * @param role    what it holds
 * @param unit    of its numbers; empty where the role has none, or for clock times
 * @param negated whether its sign is turned
 * @param scale   not zero
 * @param offset  in the column's unit
 */
public record ColumnRule(String column, ColumnRole role, Optional<Unit> unit, boolean negated, double scale,
        double offset) {

    /** @throws IllegalArgumentException if a number is not usable */
    public ColumnRule {
        if (!Double.isFinite(scale) || scale == 0 || !Double.isFinite(offset)) {
            throw new IllegalArgumentException(
                    "Column “" + column + "”: the scale must be a number other than 0, the offset a number.");
        }
    }

    /** {@return a rule for that column as it stands} */
    public static ColumnRule of(String column, ColumnRole role, Optional<Unit> unit) {
        return new ColumnRule(column, role, unit, false, 1, 0);
    }

    double canonical(double cell) {
        double value = (negated ? -1 : 1) * (cell * scale + offset);
        return unit.map(u -> u.toCanonical(value)).orElse(value);
    }
}
