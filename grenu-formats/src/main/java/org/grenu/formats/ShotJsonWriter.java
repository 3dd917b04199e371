package org.grenu.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.grenu.core.numbers.Samples;
import org.grenu.core.strength.Reading;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;

/** Writes a shot as Grenu's shot JSON; see docs/formats.md. Reading it back gives an equal shot. */
public final class ShotJsonWriter {

    private static final ObjectMapper JSON = new ObjectMapper();

    private ShotJsonWriter() {
    }

    /** {@return the file's text} */
    public static String write(Shot shot) {
        ObjectNode root = JSON.createObjectNode();
        root.put("format", ShotJsonReader.FORMAT);
        root.put("version", ShotJsonReader.VERSION);
        record(root.putObject("record"), shot.record());
        channels(root, shot);
        try {
            return JSON.writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void channels(ObjectNode root, Shot shot) {
        ObjectNode units = root.putObject("units");
        ObjectNode channels = root.putObject("channels");
        units.put(ShotJsonReader.TIME, "s");
        samples(channels.putArray(ShotJsonReader.TIME), shot.log().time());
        shot.log().channels().forEach((channel, values) -> {
            units.put(channel.key(), channel.unit().symbol());
            samples(channels.putArray(channel.key()), values);
        });
    }

    private static void record(ObjectNode node, ShotRecord record) {
        for (RecordField field : RecordField.values()) {
            if (record.has(field)) {
                entry(node, field, record);
            }
        }
        if (!record.extras().isEmpty()) {
            ObjectNode extras = node.putObject(ShotJsonReader.EXTRAS);
            record.extras().forEach(extras::put);
        }
    }

    private static void entry(ObjectNode node, RecordField field, ShotRecord record) {
        switch (field.kind()) {
            case NUMBER -> node.put(field.key(), record.number(field).getAsDouble());
            case NUMBER_LIST -> record.numbers(field).forEach(node.withArrayProperty(field.key())::add);
            case READING_LIST -> readings(node.withArrayProperty(field.key()), record);
            case FLAG -> node.put(field.key(), record.flag(field));
            default -> node.put(field.key(), record.entry(field).orElseThrow());
        }
    }

    /** A number where only the value is known, else the reading's text. */
    private static void readings(ArrayNode array, ShotRecord record) {
        for (Reading reading : record.readings()) {
            if (reading.equals(Reading.of(reading.value()))) {
                array.add(reading.value());
            } else {
                array.add(reading.text());
            }
        }
    }

    private static void samples(ArrayNode array, Samples values) {
        for (int i = 0; i < values.size(); i++) {
            if (Double.isNaN(values.get(i))) {
                array.addNull();
            } else {
                array.add(values.get(i));
            }
        }
    }
}
