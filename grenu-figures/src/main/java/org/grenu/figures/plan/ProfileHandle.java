package org.grenu.figures.plan;

import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.quantity.DecimalText;

/**
 * What can be taken hold of on the strips.
 *
 * @param kind    what it changes
 * @param step    of the profile
 * @param exit    which of the step's exits; −1 for none
 * @param channel strip that it stands on
 * @param x       place, px
 * @param y       place, px
 */
public record ProfileHandle(Kind kind, int step, int exit, Channel channel, double x, double y) {

    /** What a handle changes. */
    public enum Kind {
        /** The value held. */
        LEVEL,
        /** How long the way there takes, and the value. */
        RAMP,
        /** The corridor. */
        TOLERANCE,
        /** Most of the other quantity. */
        LIMIT,
        /** The water's temperature. */
        WATER,
        /** A condition that ends the step. */
        EXIT,
        /** The time limit. */
        TIME
    }

    private static final double MOST = 30;
    private static final double COLDEST = 60;
    private static final double HOTTEST = 100;
    private static final double MOST_SECONDS = 300;
    private static final double MOST_GRAMS = 400;

    /** {@return whether both are the same handle, wherever they stand} */
    public boolean same(ProfileHandle other) {
        return other != null && kind == other.kind && step == other.step && exit == other.exit;
    }

    /** {@return its number in that profile} */
    public double value(Profile profile) {
        ProfileStep of = profile.steps().get(step);
        return switch (kind) {
            case LEVEL -> of.to();
            case RAMP -> of.rampSeconds();
            case TOLERANCE -> of.tolerance();
            case LIMIT -> of.limit().orElse(0);
            case WATER -> of.water().orElse(0);
            case EXIT, TIME -> of.exits().get(exit).value();
        };
    }

    /** {@return the profile with this handle's number at that, within what a profile may hold} */
    public Profile set(Profile profile, double value) {
        ProfileStep of = profile.steps().get(step);
        double rounded = Math.rint(value * 10) / 10;
        return profile.with(step, switch (kind) {
            case LEVEL -> of.at(within(rounded, 0, MOST));
            case RAMP -> of.over(within(rounded, 0, MOST_SECONDS));
            case TOLERANCE -> of.within(within(rounded, 0.1, MOST));
            case LIMIT -> of.limited(OptionalDouble.of(within(rounded, 0.1, MOST)));
            case WATER -> of.brewedAt(OptionalDouble.of(within(rounded, COLDEST, HOTTEST)));
            case EXIT, TIME -> of.exiting(exit, within(rounded, 0.1, most(of.exits().get(exit).kind())));
        });
    }

    private static double most(Exit.Kind kind) {
        return kind == Exit.Kind.MASS ? MOST_GRAMS
                : kind == Exit.Kind.TIME || kind == Exit.Kind.AFTER_DRIP ? MOST_SECONDS : MOST;
    }

    private static double within(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }

    /** {@return what it is, for who cannot see it, such as “main, until 22 g”} */
    public String words(Profile profile) {
        ProfileStep of = profile.steps().get(step);
        String unit = channel == Channel.PRESSURE ? " bar" : " mL/s";
        String number = DecimalText.exact(value(profile));
        return of.name() + ", " + switch (kind) {
            case LEVEL -> number + unit;
            case RAMP -> "over " + number + " s";
            case TOLERANCE -> "±" + number + unit;
            case LIMIT -> "at most " + number + unit;
            case WATER -> "water at " + number + " °C";
            case EXIT, TIME -> "until " + of.exits().get(exit).told();
        };
    }
}
