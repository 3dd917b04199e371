package org.grenu.core.diagnosis;

import java.util.Optional;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/**
 * What facts are read off.
 *
 * @param record    the shot's record
 * @param measures what was measured from it
 * @param before   the record of the shot pulled before it, when there is one
 */
public record ShotContext(ShotRecord record, ShotMeasures measures, Optional<ShotRecord> before) {
}
