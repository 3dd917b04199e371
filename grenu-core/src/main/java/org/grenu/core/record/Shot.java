package org.grenu.core.record;

import org.grenu.core.curve.ShotLog;

/**
 * A shot: its record and its log as it was logged.
 */
public record Shot(ShotRecord record, ShotLog log) {

    /** {@return this shot with another record} */
    public Shot with(ShotRecord other) {
        return new Shot(other, log);
    }
}
