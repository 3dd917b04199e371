package org.grenu.library;

import java.nio.file.Path;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;

/** Adds shots and edits the first one until it is killed, saying after each step what is stored. */
final class EndlessWriter {

    private EndlessWriter() {
    }

    public static void main(String[] arguments) {
        try (Library library = Library.open(Path.of(arguments[0]))) {
            int shots = Stored.shots(library).size();
            int edits = Stored.depth(library).undoable();
            while (true) {
                if (shots == 0 || edits % 5 == 4) {
                    Stored.add(library, "shot.csv", new byte[5000], shot(++shots));
                    System.out.println(shots + " " + edits + " .");
                }
                ShotSummary first = Stored.shots(library).get(0);
                double dose = doseAfter(++edits);
                library.write(tx -> tx.journal()
                        .make(first.id(), RecordEdit.of(first.record(), RecordField.DOSE, "" + dose)));
                System.out.println(shots + " " + edits + " .");
            }
        }
    }

    static double doseAfter(int edits) {
        return 10 + edits * 0.001;
    }

    private static Shot shot(int number) {
        double[] time = new double[300];
        double[] mass = new double[300];
        for (int i = 0; i < time.length; i++) {
            time[i] = i * 0.1;
            mass[i] = Math.max(0, i - 60) * 0.2 + number;
        }
        return new Shot(ShotRecord.EMPTY.with(RecordField.DOSE, doseAfter(0)),
                new ShotLog(Samples.of(time), Map.of(Channel.CUP_MASS, Samples.of(mass))));
    }
}
