/**
 * Figures of the next shot: a response against the grind, a bag's doses, its age. Front door: {@code ResponsePainter}.
 */
package org.grenu.figures.plan;
