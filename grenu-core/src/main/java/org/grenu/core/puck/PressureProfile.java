package org.grenu.core.puck;

/** What the simulated pump aims at. */
public enum PressureProfile {
    /** Full pressure at once. */
    STRAIGHT_NINE("Straight nine"),
    /** A soft soak until coffee appears, then full pressure, then a slow taper. */
    GENTLE_RAMP("Gentle ramp");

    private static final double SOAK_BAR = 2.4;
    private static final double FULL_BAR = 9.0;
    private static final double TAPERED_BAR = 5.5;
    private static final double TAPER_AFTER_GRAMS = 22;
    private static final double TAPER_PER_GRAM = 0.22;

    private final String title;

    PressureProfile(String title) {
        this.title = title;
    }

    /** {@return the name in records} */
    public String title() {
        return title;
    }

    /**
     * {@return the pressure aimed at, bar}
     *
     * @param sinceDrip s since coffee first appeared, negative before it
     * @param cupGrams  mass in the cup, g
     */
    double target(double sinceDrip, double cupGrams) {
        if (this == STRAIGHT_NINE) {
            return FULL_BAR;
        }
        if (sinceDrip < 2.0) {
            return SOAK_BAR;
        }
        double ramped = SOAK_BAR + (FULL_BAR - SOAK_BAR) * Math.min(1, (sinceDrip - 2.0) / 3.0);
        double tapered = FULL_BAR - TAPER_PER_GRAM * Math.max(0, cupGrams - TAPER_AFTER_GRAMS);
        return Math.min(ramped, Math.max(TAPERED_BAR, tapered));
    }
}
