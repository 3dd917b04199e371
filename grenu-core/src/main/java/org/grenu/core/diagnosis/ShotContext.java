package org.grenu.core.diagnosis;

import java.util.Optional;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/**
 * What facts are read off.
 *
 * @param sheet    the shot's record
 * @param measures what was measured from it
 * @param before   the record of the shot pulled before it, when there is one
 */
public record ShotContext(ShotSheet sheet, ShotMeasures measures, Optional<ShotSheet> before) {
}
