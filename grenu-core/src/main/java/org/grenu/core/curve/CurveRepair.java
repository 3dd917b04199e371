package org.grenu.core.curve;

/** Finds one or some kinds of fault in a log and offers the log without them. Implementations are stateless. */
interface CurveRepair {

    /**
     * {@return the log after this repair with what was found; the same log and no repairs when nothing was}
     *
     * @param settings says which kinds are switched off: they are reported, and the log is left as it is
     */
    RepairedLog repair(ShotLog log, CurveSettings settings);
}
