package org.grenu.core.quantity;

/** What a unit measures. Units convert only within one quantity: mass and volume are never mixed. */
public enum Quantity {
    TIME, PRESSURE, MASS, MASS_FLOW, VOLUME_FLOW, TEMPERATURE, LENGTH, VOLUME, NUMBER, RESISTANCE, RESISTANCE_SQUARED
}
