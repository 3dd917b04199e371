/**
 * Refractometer readings and what they say about a beverage's strength, with uncertainty and with the checks that
 * tell when a series should not be trusted. Front door: {@link org.grenu.core.strength.StrengthSeries}.
 */
package org.grenu.core.strength;
