package org.grenu.core.diagnosis;

import java.util.Optional;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** Looks at one shot and says at most one thing. */
@FunctionalInterface
interface Rule {

    Optional<Finding> look(ShotSheet sheet, ShotMeasures measures);
}
