package org.grenu.core.response;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * What is held equal between the shots that are compared. Another basis can give another answer, so each names its
 * own.
 */
public enum ComparisonBasis {
    /** The shots as they came, at what was set. */
    EQUAL_SETTING("setting", Optional.empty()),
    /** After the same time: cup mass read off each shot's own curve, what has no curve by regression on the time. */
    EQUAL_TIME("time", Optional.of(StandardResponse.TIME_PUMP_ON_TO_PUMP_OFF)),
    /**
     * In the same beverage mass: times read off each shot's own curve, what has no curve by regression on the mass.
     */
    EQUAL_BEVERAGE_MASS("beverage mass", Optional.of(StandardResponse.BEVERAGE)),
    /** At the same peak resistance, by regression. */
    EQUAL_RESISTANCE("resistance", Optional.of(StandardResponse.PEAK_RESISTANCE));

    private final String what;
    private final Optional<StandardResponse> heldEqual;

    ComparisonBasis(String what, Optional<StandardResponse> heldEqual) {
        this.what = what;
        this.heldEqual = heldEqual;
    }

    /** {@return the basis with that name in commands} */
    public static Optional<ComparisonBasis> find(String key) {
        return Arrays.stream(values()).filter(basis -> basis.key().equals(key)).findFirst();
    }

    /** {@return the name in files and commands, such as {@code equal-time}} */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** {@return in words, such as {@code at equal time}} */
    public String words() {
        return "at equal " + what;
    }

    /** {@return what is held equal, where that is a measure} */
    public Optional<StandardResponse> heldEqual() {
        return heldEqual;
    }
}
