package org.grenu.core.study;

import org.grenu.core.curve.CurveMeasures;

/**
 * Everything measured from a shot.
 *
 * @param curve  what the log says
 * @param masses what the record and the log say together about masses and strength
 */
public record ShotMeasures(CurveMeasures curve, Masses masses) {

    /** {@return the measures of that shot} */
    public static ShotMeasures of(Shot shot) {
        CurveMeasures curve = CurveMeasures.of(shot.log(), shot.sheet().curveSettings());
        return new ShotMeasures(curve, Masses.of(shot.sheet(), curve.beverage()));
    }
}
