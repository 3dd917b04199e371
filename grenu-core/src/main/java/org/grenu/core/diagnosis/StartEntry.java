package org.grenu.core.diagnosis;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a school says of the shot to begin with. */
public enum StartEntry {
    /** Dose in g. */
    DOSE_G,
    /** Dose as the share of the basket's range, 0 its least and 1 its most. */
    BASKET_SHARE,
    /** Beverage mass over dose. */
    RATIO,
    /** Water, °C. */
    TEMPERATURE_C,
    /** Pump on to pump off, s. */
    TIME_S,
    /** Extraction yield as dosed, %. */
    YIELD_PCT,
    /** Strength, %. */
    STRENGTH_PCT,
    /** Pressure, bar. */
    PRESSURE_BAR;

    /** {@return the name in a pack} */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Optional<StartEntry> find(String key) {
        return Arrays.stream(values()).filter(entry -> entry.key().equals(key)).findFirst();
    }
}
