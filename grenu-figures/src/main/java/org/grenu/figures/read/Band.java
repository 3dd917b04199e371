package org.grenu.figures.read;

import org.grenu.core.curve.UniformCurve;

/** What lies between two curves on one grid. */
public record Band(UniformCurve low, UniformCurve high) {
}
