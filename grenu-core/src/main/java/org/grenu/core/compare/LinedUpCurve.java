package org.grenu.core.compare;

import org.grenu.core.curve.UniformCurve;

/**
 * A shot's curve along a common axis.
 *
 * @param shot  the shot
 * @param curve along the axis, at whole multiples of the axis's step
 */
public record LinedUpCurve(ComparedShot shot, UniformCurve curve) {
}
