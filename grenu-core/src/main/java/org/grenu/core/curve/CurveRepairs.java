package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Runs every repair in the order in which one needs the other: clock, knock, tare. */
public final class CurveRepairs {

    private static final List<CurveRepair> IN_ORDER = List.of(new TimeOrderRepair(), new KnockRepair(), new TareRepair());

    private CurveRepairs() {
    }

    /**
     * {@return the log with its repairs}
     *
     * @param off the kinds that the user switched off; still reported, not applied
     */
    public static RepairedLog repair(ShotLog raw, Set<RepairKind> off) {
        ShotLog log = raw;
        List<Repair> found = new ArrayList<>();
        for (CurveRepair repair : IN_ORDER) {
            RepairedLog step = repair.repair(log, !off.contains(repair.kind()));
            log = step.log();
            found.addAll(step.repairs());
        }
        return new RepairedLog(log, found);
    }
}
