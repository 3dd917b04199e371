package org.grenu.core.shelf;

import org.grenu.core.hydraulics.Water;

/**
 * What an altitude allows.
 *
 * @param airKilopascal  pressure of the standard atmosphere, kPa
 * @param boilingCelsius temperature at which water boils in the open, °C
 * @param highestSet     highest sensible set temperature, °C: the boiling point, down to the next half degree. Hotter
 *                       water flashes to steam where it leaves the group
 */
public record SiteHeat(double airKilopascal, double boilingCelsius, double highestSet) {

    /** {@return for that altitude, m, in [−1000, 9000]} */
    public static SiteHeat at(double metres) {
        double boiling = Water.boilingPoint(metres);
        return new SiteHeat(Water.airPressure(metres), boiling, Math.floor(boiling * 2) / 2);
    }

    /** {@return the temperature in °F} */
    public static double fahrenheit(double celsius) {
        return celsius * 9 / 5 + 32;
    }
}
