/**
 * A picture of what matters about each thing on the shelf: a bag's life, a grinder's settings, a valve's flow. Front
 * doors:
 * {@link org.grenu.figures.shelf.ShelfFigures} makes the figure, {@link org.grenu.figures.shelf.ShelfFigure} paints
 * it.
 */
package org.grenu.figures.shelf;
