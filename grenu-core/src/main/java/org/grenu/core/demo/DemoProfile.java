package org.grenu.core.demo;

import org.grenu.core.profile.Profile;

/** The profiles of the demo laboratory. */
public enum DemoProfile {
    /** Full pressure at once. */
    STRAIGHT_NINE("Straight nine", "main: pressure 9 ±0.6"),
    /** A soft soak until coffee appears, then full pressure, then a slow taper. */
    GENTLE_RAMP("Gentle ramp", "soak: pressure 2.4 ±0.5, flow at most 4.5 until 2 s after drip or 25 s; "
            + "ramp: pressure 8.8 over 3 s ±0.8 until pressure above 8.5 or 6 s; main: pressure 8.8 ±0.5 until 22 g; "
            + "taper: pressure 8.8 to 5.5 over 10 s ±0.5"),
    /** Even pump flow, the pressure follows the puck. */
    EVEN_FLOW("Even flow",
            "soak: pressure 3 ±0.6, flow at most 6 until 1 g or 20 s; main: flow 1.8 ±0.3, pressure at most 9.5"),
    /** Low pressure throughout, for long and coarse shots. */
    LOW_SIX("Low six", "main: pressure 6 ±0.5");

    private final String title;
    private final Profile profile;

    DemoProfile(String title, String text) {
        this.title = title;
        this.profile = Profile.parse(text);
    }

    /** {@return the name in records} */
    public String title() {
        return title;
    }

    /** {@return the steps} */
    public Profile profile() {
        return profile;
    }
}
