/**
 * The figure of one shot: its channels as stacked strips over one time axis. The layout is plain geometry that the
 * painter and the window's hairline share. Front doors: {@link org.grenu.figures.read.ReadFigure} and
 * {@link org.grenu.figures.read.StripPainter}.
 */
package org.grenu.figures.read;
