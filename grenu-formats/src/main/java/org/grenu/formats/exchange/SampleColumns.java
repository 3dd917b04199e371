package org.grenu.formats.exchange;

import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.Shot;

/** A shot's samples while they are read. */
final class SampleColumns {

    private static final int MOST_SAMPLES = 500_000;

    private final int shot;
    private final List<Channel> channels;
    private final List<double[]> rows = new ArrayList<>();

    SampleColumns(int shot, List<Channel> channels) {
        this.shot = shot;
        this.channels = channels;
    }

    int shot() {
        return shot;
    }

    void add(NamedCsvRecord row) {
        if (rows.size() >= MOST_SAMPLES) {
            throw new RefusedEntry("Shot " + shot + " has more than " + MOST_SAMPLES + " samples.");
        }
        double[] values = new double[channels.size() + 1];
        values[0] = value(row, "time_s").orElseThrow(() -> new RefusedEntry("The time of a sample is missing."));
        for (int i = 0; i < channels.size(); i++) {
            values[i + 1] = value(row, channels.get(i).key()).orElse(Double.NaN);
        }
        rows.add(values);
    }

    private static OptionalDouble value(NamedCsvRecord row, String column) {
        String text = row.getField(column);
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        double number = Double.parseDouble(text);
        if (!Double.isFinite(number)) {
            throw new RefusedEntry("“" + column + "” holds " + text + ", which is no measurement.");
        }
        return OptionalDouble.of(number);
    }

    ShotLog log() {
        Map<Channel, Samples> columns = new EnumMap<>(Channel.class);
        for (int i = 0; i < channels.size(); i++) {
            columns.put(channels.get(i), column(i + 1));
        }
        return new ShotLog(column(0), columns);
    }

    private Samples column(int index) {
        double[] values = new double[rows.size()];
        for (int i = 0; i < values.length; i++) {
            values[i] = rows.get(i)[index];
        }
        return Samples.of(values);
    }
}
