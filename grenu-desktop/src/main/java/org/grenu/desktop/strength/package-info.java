/**
 * The guided series of strength readings: its steps, the readings as they come, and whether another would help. Front
 * doors:
 * {@link org.grenu.desktop.strength.SeriesView} and {@link org.grenu.desktop.strength.SeriesViewModel}.
 */
package org.grenu.desktop.strength;
