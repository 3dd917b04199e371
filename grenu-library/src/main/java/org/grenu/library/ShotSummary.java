package org.grenu.library;

import org.grenu.core.curve.CurveDigest;
import org.grenu.core.record.Masses;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;

/**
 * A stored shot without its samples: what a list or a map needs.
 *
 * @param id       key in the library
 * @param number   as people call it, counted in the order of import
 * @param written its record as it was written down
 * @param record    its record with what it leaves open and its coffee and gear tell
 * @param state    how far its life has come
 * @param log      fingerprint of its log; empty while it has none
 * @param digest   what its log says, in short; without a log, what the record says of the log's moments
 */
public record ShotSummary(long id, int number, ShotRecord written, ShotRecord record, ShotState state, String log,
        CurveDigest digest) {

    /** A logged shot whose coffee and gear are not on the shelf. */
    public ShotSummary(long id, int number, ShotRecord written, CurveDigest digest) {
        this(id, number, written, written, ShotState.RECORDED, "?", digest);
    }

    /** {@return whether it has a log} */
    public boolean logged() {
        return !log.isEmpty();
    }

    /** {@return masses and strength as far as known} */
    public Masses masses() {
        return Masses.of(record, digest.beverage());
    }
}
