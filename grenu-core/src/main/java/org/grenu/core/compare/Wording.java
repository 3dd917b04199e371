package org.grenu.core.compare;

import java.util.Locale;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;

/** How numbers of a comparison are put. */
public final class Wording {

    private Wording() {
    }

    /** {@return the effect with its interval and unit, such as {@code +0.62 ±0.21 points}; the value alone without one} */
    public static String change(Response response, Effect effect) {
        if (effect.estimate().isEmpty()) {
            return effect.verdict().words();
        }
        return (signed(effect) + " " + response.differenceUnit()).strip();
    }

    /** {@return the effect with its sign and interval, without unit} */
    public static String signed(Effect effect) {
        double value = effect.estimate().orElseThrow().value();
        String text = reported(value, effect.halfWidth());
        return value > 0 && text.chars().takeWhile(c -> c != '±').anyMatch(c -> c >= '1' && c <= '9') ? "+" + text : text;
    }

    /** {@return the value with half its interval, both to the digits that the interval supports} */
    public static String reported(double value, double halfWidth) {
        if (!(halfWidth > 0)) {
            return Reported.fixed(value, 2);
        }
        return Reported.of(Measured.independent(value, halfWidth / Measured.COVERAGE_FACTOR)).text();
    }

    /** {@return the number to two digits that tell} */
    public static String digits(double value) {
        return reported(value, value / 2).replaceFirst(" ±.*", "");
    }

    /** {@return what changed with its step, such as {@code Grind +0.2} or {@code Gentle ramp, not Straight nine}} */
    static String what(Effect effect) {
        String unit = effect.variable().unit();
        return effect.step().isPresent() ? effect.variable().title() + " " + effect.change() + (unit.isEmpty() ? "" : " " + unit) : effect.change();
    }

    /** {@return the title within a sentence: what it is by in brackets, such as {@code time (pump on to pump off)}} */
    static String within(String title) {
        int comma = title.indexOf(", ");
        return small(comma < 0 ? title : title.substring(0, comma) + " (" + title.substring(comma + 2) + ")");
    }

    static String small(String title) {
        return title.length() > 1 && Character.isUpperCase(title.charAt(1)) ? title : title.substring(0, 1).toLowerCase(Locale.ROOT) + title.substring(1);
    }
}
