package org.grenu.core.rig;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;

/** What the rig writes down, column by column, before it is rounded to what its instruments show. */
final class RigLog {

    enum Column {
        TIME, PRESSURE, PUMP_FLOW, MASS, TEMPERATURE, STEP
    }

    private final List<double[]> rows = new ArrayList<>();
    private double[][] columns;

    void add(RigPull.Sample sample) {
        rows.add(new double[] {sample.seconds(), sample.pressure(), sample.flow(), sample.mass(), sample.celsius(),
                sample.step()});
    }

    /** {@return the column itself: changes show in the log} */
    double[] column(Column column) {
        if (columns == null) {
            columns = new double[Column.values().length][rows.size()];
            for (int i = 0; i < rows.size(); i++) {
                for (int c = 0; c < columns.length; c++) {
                    columns[c][i] = rows.get(i)[c];
                }
            }
        }
        return columns[column.ordinal()];
    }

    int size() {
        return column(Column.TIME).length;
    }

    /** Takes rows out as if they had never been logged. */
    void remove(int from, int count) {
        int end = Math.min(size(), from + count);
        for (int c = 0; c < columns.length; c++) {
            double[] kept = new double[columns[c].length - (end - from)];
            System.arraycopy(columns[c], 0, kept, 0, from);
            System.arraycopy(columns[c], end, kept, from, kept.length - from);
            columns[c] = kept;
        }
    }

    /** {@return the log as the instruments show it; with the machine's step numbers when asked for} */
    ShotLog rounded(boolean withSteps) {
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        channels.put(Channel.PRESSURE, rounded(Column.PRESSURE, 2));
        channels.put(Channel.PUMP_FLOW, rounded(Column.PUMP_FLOW, 2));
        channels.put(Channel.CUP_MASS, rounded(Column.MASS, 1));
        channels.put(Channel.TEMPERATURE, rounded(Column.TEMPERATURE, 1));
        if (withSteps) {
            channels.put(Channel.STEP, rounded(Column.STEP, 0));
        }
        return new ShotLog(rounded(Column.TIME, 2), channels);
    }

    private Samples rounded(Column column, int decimals) {
        double scale = StrictMath.pow(10, decimals);
        double[] values = column(column).clone();
        for (int i = 0; i < values.length; i++) {
            values[i] = Math.rint(values[i] * scale) / scale;
        }
        return Samples.of(values);
    }
}
