package org.grenu.core.compare;

import java.util.List;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Title;
import org.grenu.core.response.Response;

/** How numbers of a comparison are put. */
public final class Wording {

    private Wording() {
    }

    /**
     * {@return the effect with its interval and unit, such as {@code +0.62 ±0.21 points}; the value alone without
     * one}
     */
    public static String change(Response response, Effect effect) {
        if (effect.estimate().isEmpty()) {
            return effect.verdict().words();
        }
        return (signed(effect) + " " + response.differenceUnit()).strip();
    }

    /**
     * {@return the effect with the 90 % interval that two one-sided tests rest on, such as {@code +0.12 ±0.15
     * points (90 %)}}
     */
    static String within90(Response response, Effect effect) {
        return (signed(effect, effect.equivalenceHalfWidth()) + " " + response.differenceUnit()).strip()
                + " (90 % interval)";
    }

    /** {@return the effect with its sign and interval, without unit} */
    public static String signed(Effect effect) {
        return signed(effect, effect.halfWidth());
    }

    private static String signed(Effect effect, double halfWidth) {
        double value = effect.estimate().orElseThrow().value();
        String text = reported(value, halfWidth);
        return value > 0 && text.chars().takeWhile(c -> c != '±').anyMatch(c -> c >= '1' && c <= '9') ? "+" + text
                : text;
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
    public static String what(Effect effect) {
        return effect.step().isPresent() ? effect.variable().title() + " " + effect.words() : effect.words();
    }

    /**
     * {@return the title within a sentence: what it is by in brackets, such as {@code time (pump on to pump off)}}
     */
    static String within(String title) {
        int comma = title.indexOf(", ");
        return small(comma < 0 ? title : title.substring(0, comma) + " (" + title.substring(comma + 2) + ")");
    }

    /** {@return such as "a, b and c"} */
    static String list(List<String> parts) {
        return parts.size() < 2 ? String.join("", parts)
                : String.join(", ", parts.subList(0, parts.size() - 1)) + " and " + parts.get(parts.size() - 1);
    }

    static String small(String title) {
        return Title.inSentence(title);
    }

    /** {@return what counts as no difference in practice, such as {@code ±0.5}; nobody has named a margin of zero} */
    public static String margin(double margin) {
        return margin > 0 ? "±" + DecimalText.exact(margin) : "no margin named";
    }
}
