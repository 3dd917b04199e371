package org.grenu.core.compare;

import java.util.Optional;
import org.grenu.core.response.MeasuredShot;

/**
 * What the model leaves over of one shot.
 *
 * @param shot     the shot
 * @param value    its response
 * @param residual response less prediction, in the response's unit
 * @param leverage share with which it draws its own prediction, in [0, 1]
 * @param outlierP chance that the farthest of so many shots lies as far from the model of the others as this one
 *                 (deleted residual,
 *                 Bonferroni); NaN where none is left to judge by
 * @param block    the block it belongs to
 */
public record RowResidual(MeasuredShot shot, double value, double residual, double leverage, double outlierP,
        Optional<String> block) {

    /** {@return whether it lies further from the others than chance explains} */
    public boolean farOut() {
        return outlierP <= Question.ALPHA;
    }
}
