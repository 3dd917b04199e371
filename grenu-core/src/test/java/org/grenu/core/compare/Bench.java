package org.grenu.core.compare;

import java.util.Locale;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** Shots for tests: a record, and a log too short to say anything. */
final class Bench {

    static final ShotLog SILENT = new ShotLog(Samples.of(0, 1, 2, 3), Map.of(Channel.PRESSURE, Samples.of(0, 0, 0, 0)));

    private Bench() {
    }

    static ShotSheet sheet(double dose, double beverage, double strength) {
        return ShotSheet.EMPTY.with(SheetField.DOSE, dose)
                .with(SheetField.BEVERAGE, beverage)
                .with(SheetField.READINGS, String.format(Locale.ROOT, "%1$.3f; %1$.3f; %1$.3f", strength));
    }

    static MeasuredShot shot(String name, ShotSheet sheet) {
        return new MeasuredShot(name, sheet, ShotMeasures.of(new Shot(sheet, SILENT)));
    }
}
