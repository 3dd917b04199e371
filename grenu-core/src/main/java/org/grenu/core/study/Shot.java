package org.grenu.core.study;

import org.grenu.core.curve.ShotLog;

/**
 * A shot: its record and its log as it was logged.
 */
public record Shot(ShotSheet sheet, ShotLog log) {

    /** {@return this shot with another record} */
    public Shot with(ShotSheet other) {
        return new Shot(other, log);
    }
}
