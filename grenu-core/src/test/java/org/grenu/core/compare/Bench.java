package org.grenu.core.compare;

import java.util.Locale;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/** Shots for tests: a record, and a log too short to say anything. */
final class Bench {

    static final ShotLog SILENT = new ShotLog(Samples.of(0, 1, 2, 3), Map.of(Channel.PRESSURE, Samples.of(0, 0, 0, 0)));

    private Bench() {
    }

    static ShotRecord record(double dose, double beverage, double strength) {
        return ShotRecord.EMPTY.with(RecordField.DOSE, dose)
                .with(RecordField.BEVERAGE, beverage)
                .with(RecordField.READINGS, String.format(Locale.ROOT, "%1$.3f; %1$.3f; %1$.3f", strength));
    }

    static MeasuredShot shot(String name, ShotRecord record) {
        return new MeasuredShot(name, record, ShotMeasures.of(new Shot(record, SILENT)));
    }
}
