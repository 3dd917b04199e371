/** The picture of a series of strength readings. Front door: {@link org.grenu.figures.strength.SeriesPainter}. */
package org.grenu.figures.strength;
