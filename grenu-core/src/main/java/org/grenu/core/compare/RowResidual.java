package org.grenu.core.compare;

import java.util.Optional;

/**
 * What the model leaves over of one shot.
 *
 * @param shot     the shot
 * @param value    its response
 * @param residual response less prediction, in the response's unit
 * @param leverage share with which it draws its own prediction, in [0, 1]
 * @param block    the block it belongs to
 */
public record RowResidual(ComparedShot shot, double value, double residual, double leverage, Optional<String> block) {
}
