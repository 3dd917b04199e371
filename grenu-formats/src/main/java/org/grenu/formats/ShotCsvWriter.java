package org.grenu.formats;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;

/** Writes a shot as Grenu's shot CSV; see docs/formats.md. Reading it back gives an equal shot. */
public final class ShotCsvWriter {

    private ShotCsvWriter() {
    }

    /** {@return the file's text, lines ended by a line feed} */
    public static String write(Shot shot) {
        StringBuilder out = new StringBuilder("# " + Preamble.MARK + ": " + Preamble.VERSION + "\n");
        for (RecordField field : RecordField.values()) {
            shot.record().entry(field).ifPresent(entry -> preambleLine(out, field.key(), entry));
        }
        shot.record().extras().forEach((key, value) -> preambleLine(out, key, value));
        List<Map.Entry<Channel, Samples>> channels = List.copyOf(shot.log().channels().entrySet());
        out.append("time [s]");
        channels.forEach(channel -> out.append(',').append(heading(channel.getKey())));
        out.append('\n');
        rows(shot, channels, out);
        return out.toString();
    }

    private static void rows(Shot shot, List<Map.Entry<Channel, Samples>> channels, StringBuilder out) {
        for (int i = 0; i < shot.log().size(); i++) {
            out.append(DecimalText.toTheLastBit(shot.log().time().get(i)));
            for (Map.Entry<Channel, Samples> channel : channels) {
                double value = channel.getValue().get(i);
                out.append(',').append(Double.isNaN(value) ? "" : DecimalText.toTheLastBit(value));
            }
            out.append('\n');
        }
    }

    private static void preambleLine(StringBuilder out, String key, String value) {
        out.append("# ").append(key).append(": ").append(Preamble.escaped(value)).append('\n');
    }

    private static String heading(Channel channel) {
        String unit = channel.unit().symbol();
        return channel.title().toLowerCase(Locale.ROOT) + (unit.isEmpty() ? "" : " [" + unit + "]");
    }
}
