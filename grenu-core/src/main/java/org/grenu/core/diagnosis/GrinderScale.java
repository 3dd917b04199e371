package org.grenu.core.diagnosis;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * A grinder's scale and where it stands. The finest setting may be the smaller or the larger number.
 *
 * @param finest   setting
 * @param coarsest setting
 * @param set      where it stands
 */
record GrinderScale(double finest, double coarsest, double set) {

    private static final double SAME = 1e-9;

    /** {@return the scale of the shot's grinder; empty where its ends or its setting are not written down} */
    static Optional<GrinderScale> of(ShotRecord record) {
        OptionalDouble finest = record.number(RecordField.FINEST);
        OptionalDouble coarsest = record.number(RecordField.COARSEST);
        OptionalDouble set = record.number(RecordField.GRIND);
        return finest.isPresent() && coarsest.isPresent() && set.isPresent()
                ? Optional.of(new GrinderScale(finest.getAsDouble(), coarsest.getAsDouble(), set.getAsDouble()))
                : Optional.empty();
    }

    /** {@return how far the setting lies beyond either end, 0 within} */
    double beyond() {
        return Math.max(0, Math.max(Math.min(finest, coarsest) - set, set - Math.max(finest, coarsest)));
    }

    /** {@return whether it cannot be set finer} */
    boolean atFinest() {
        return (set - finest) * Math.signum(coarsest - finest) <= SAME;
    }

    /** {@return whether it cannot be set coarser} */
    boolean atCoarsest() {
        return (coarsest - set) * Math.signum(coarsest - finest) <= SAME;
    }
}
