package org.grenu.library;

import java.nio.file.Path;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.study.SheetEdit;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;

/** Adds shots and edits the first one until it is killed, saying after each step what is stored. */
final class EndlessWriter {

    private EndlessWriter() {
    }

    public static void main(String[] arguments) {
        try (Library library = Library.open(Path.of(arguments[0]))) {
            int shots = library.summaries().size();
            int edits = library.editDepth().undoable();
            while (true) {
                if (shots == 0 || edits % 5 == 4) {
                    library.add("shot.csv", new byte[5000], shot(++shots));
                    System.out.println(shots + " " + edits + " .");
                }
                ShotSummary first = library.summaries().get(0);
                library.apply(first.id(), SheetEdit.of(first.sheet(), SheetField.DOSE, "" + doseAfter(++edits)));
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
        return new Shot(ShotSheet.EMPTY.with(SheetField.DOSE, doseAfter(0)),
                new ShotLog(Samples.of(time), Map.of(Channel.CUP_MASS, Samples.of(mass))));
    }
}
