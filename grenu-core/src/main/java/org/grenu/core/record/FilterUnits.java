package org.grenu.core.record;

import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.entry.TypedNumber;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;

/**
 * In what unit a number in a filter is meant: the one that stands behind it, or else the one its field is shown in.
 *
 * @param kept  the unit that a field of that name is kept in; empty for none
 * @param shown units that the reader sees
 */
public record FilterUnits(UnaryOperator<String> kept, DisplayUnits shown) {

    /** Plain numbers, in the units that all is kept in. */
    public static final FilterUnits PLAIN = new FilterUnits(name -> "", DisplayUnits.CANONICAL);

    /** Of plain numbers; in another unit what is shown with two decimals counts as equal. */
    private static final double ROUNDING = 1e-9;

    /** {@return what is typed for that field in the unit it is kept in; empty where it is no number of it} */
    OptionalDouble number(String name, String typed) {
        String unit = kept.apply(name);
        try {
            TypedNumber number = TypedNumber.parse(shown.meant(unit, typed), unit);
            return number.estimated() ? OptionalDouble.empty() : OptionalDouble.of(number.value());
        } catch (RefusedEntry otherThing) {
            return OptionalDouble.empty();
        }
    }

    /**
     * {@return how far apart numbers of that field may lie and still be called equal to what is typed, in the unit it
     * is kept in}
     */
    double near(String name, String typed) {
        String meant = shown.meant(kept.apply(name), typed);
        String unit = meant.replaceFirst("^[-+\u2212\\d.,\\s]+", "");
        return unit.isEmpty() ? ROUNDING
                : Math.abs(number(name, "1.005" + unit).orElse(ROUNDING) - number(name, "1" + unit).orElse(0));
    }

    /** {@return what is typed for that field with its unit, where another reader might see it in another} */
    String withUnit(String name, String typed) {
        String unit = kept.apply(name);
        return DisplayUnits.varies(unit) && DecimalText.parse(typed).isPresent() ? typed + shown.symbol(unit) : typed;
    }
}
