/**
 * Figures as files: PNG at twice the size, SVG and PDF as vectors, all by the painters of the screen. Output is the
 * same
 * for the same figure. Front door: {@link org.grenu.figures.export.FigureExport}.
 */
package org.grenu.figures.export;
