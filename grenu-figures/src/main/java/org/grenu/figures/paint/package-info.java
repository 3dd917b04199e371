/**
 * The tools of all painters: curves on pixels or as vectors, the grain that marks what is intended, axes, words.
 * Knows the theme, no figure.
 */
package org.grenu.figures.paint;
