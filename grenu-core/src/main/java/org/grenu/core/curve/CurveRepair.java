package org.grenu.core.curve;

/** One kind of fault: finds it in a log and offers the log without it. Implementations are stateless. */
interface CurveRepair {

    /** {@return the kind of fault this one looks for} */
    RepairKind kind();

    /**
     * {@return the log after this repair with what was found; the same log and no repairs when nothing was}
     *
     * @param apply false to report what is found and leave the log as it is
     */
    RepairedLog repair(ShotLog log, boolean apply);
}
