package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.List;

/** Runs every repair in the order in which one needs the other: clock, silence, sensors, scale. */
public final class CurveRepairs {

    private static final List<CurveRepair> IN_ORDER = List.of(new TimeOrderRepair(), new ClippedSensor(),
            new ScaleFreezeRepair(), new SilenceRepair(), new PressureSpikeRepair(), new PressureOffsetRepair(),
            new CupChangeRepair(), new KnockRepair(), new TareRepair(), new ScaleLagRepair());

    private CurveRepairs() {
    }

    /** {@return the log with its repairs} */
    public static RepairedLog repair(ShotLog raw, CurveSettings settings) {
        ShotLog log = raw;
        List<Repair> found = new ArrayList<>();
        for (CurveRepair repair : IN_ORDER) {
            RepairedLog step = repair.repair(log, settings);
            log = step.log();
            found.addAll(step.repairs());
        }
        return new RepairedLog(log, found);
    }
}
