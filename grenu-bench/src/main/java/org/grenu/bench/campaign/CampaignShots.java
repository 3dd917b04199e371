package org.grenu.bench.campaign;

import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;

/** Small shots, each with a log of its own. */
final class CampaignShots {

    static final double DOSE = 18;
    private static final int ROWS = 200;

    private CampaignShots() {
    }

    /** {@return the shot of that number} */
    static Shot shot(int number) {
        double[] time = new double[ROWS];
        double[] mass = new double[ROWS];
        double[] pressure = new double[ROWS];
        for (int i = 0; i < ROWS; i++) {
            time[i] = i * 0.1;
            mass[i] = Math.max(0, i - 60) * 0.25 + number / 1024.0;
            pressure[i] = Math.min(9, i * 0.3);
        }
        return new Shot(ShotRecord.EMPTY.with(RecordField.DOSE, DOSE).with(RecordField.NOTE, "shot " + number),
                new ShotLog(Samples.of(time),
                        Map.of(Channel.CUP_MASS, Samples.of(mass), Channel.PRESSURE, Samples.of(pressure))));
    }
}
