package org.grenu.core.profile;

import java.util.Locale;
import org.grenu.core.quantity.DecimalText;

/**
 * One way in which a step ends.
 *
 * @param kind  what is watched
 * @param value the value that ends the step, in the kind's unit
 */
public record Exit(Kind kind, double value) {

    /** What ends a step. */
    public enum Kind {
        PRESSURE_ABOVE("pressure above", "bar"), PRESSURE_BELOW("pressure below", "bar"),
        FLOW_ABOVE("flow above", "mL/s"), FLOW_BELOW("flow below", "mL/s"),
        /** Cup mass. */
        MASS("", "g"),
        /** Seconds since the first drip. */
        AFTER_DRIP("", "s after drip"),
        /** Seconds since the step began: its time limit, when it has another exit too. */
        TIME("", "s");

        private final String before;
        private final String unit;

        Kind(String before, String unit) {
            this.before = before;
            this.unit = unit;
        }

        String before() {
            return before;
        }

        String unit() {
            return unit;
        }
    }

    /**
     * {@return whether this ends the step}
     *
     * @param now what is known at that moment; NaN for what is not
     */
    public boolean met(State now) {
        return switch (kind) {
            case PRESSURE_ABOVE -> now.pressure >= value;
            case PRESSURE_BELOW -> now.pressure <= value;
            case FLOW_ABOVE -> now.flow >= value;
            case FLOW_BELOW -> now.flow <= value;
            case MASS -> now.mass >= value;
            case AFTER_DRIP -> now.sinceDrip >= value;
            case TIME -> now.inStep >= value - 1e-9;
        };
    }

    /** {@return as it is written in a profile} */
    public String text() {
        String number = DecimalText.exact(value);
        return kind.before.isEmpty() ? number + " " + kind.unit : kind.before + " " + number;
    }

    /** {@return as it is told when it has ended a step, such as {@code pressure above 8.5 bar}} */
    public String told() {
        String end = kind == Kind.MASS ? " in cup" : "";
        return kind.before.isEmpty() ? text() + end : kind.before + " " + DecimalText.exact(value) + " " + kind.unit;
    }

    /** {@return the exit written so}
     *
     * @throws IllegalArgumentException if it is not one; the message says what can be written
     */
    static Exit parse(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        for (Kind kind : Kind.values()) {
            String number = null;
            if (!kind.before.isEmpty() && plain.startsWith(kind.before + " ")) {
                number = plain.substring(kind.before.length()).strip().replaceAll("\\s*(bar|ml/s)$", "");
            } else if (kind.before.isEmpty() && plain.endsWith(" " + kind.unit)) {
                number = plain.substring(0, plain.length() - kind.unit.length()).strip();
            }
            if (number != null && DecimalText.parse(number).isPresent()) {
                return new Exit(kind, DecimalText.parse(number).getAsDouble());
            }
        }
        throw new IllegalArgumentException(
                "“" + text.strip() + "” is not a way to end a step. Write it such as “8 s”, “22 g”, "
                        + "“2 s after drip”, “pressure above 8.5”, “flow below 1”.");
    }

    /**
     * What the exits look at.
     *
     * @param inStep    s since the step began
     * @param pressure  bar
     * @param flow      pump side, mL/s
     * @param mass      in the cup, g
     * @param sinceDrip s since the first drip, negative before it
     */
    public record State(double inStep, double pressure, double flow, double mass, double sinceDrip) {
    }
}
