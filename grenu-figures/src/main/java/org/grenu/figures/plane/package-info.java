/**
 * The map of a study: extraction yield against brew ratio, with curves of equal strength and the target window.
 * Front doors: {@link org.grenu.figures.plane.PlaneFigure} and {@link org.grenu.figures.plane.PlanePainter}.
 */
package org.grenu.figures.plane;
