package org.grenu.core.compare;

import org.grenu.core.curve.UniformCurve;
import org.grenu.core.response.MeasuredShot;

/**
 * A shot's curve along a common axis.
 *
 * @param shot  the shot
 * @param curve along the axis, at whole multiples of the axis's step
 */
public record AlignedCurve(MeasuredShot shot, UniformCurve curve) {
}
