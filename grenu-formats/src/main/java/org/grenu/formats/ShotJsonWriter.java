package org.grenu.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.grenu.core.numbers.Samples;
import org.grenu.core.strength.Reading;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;

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
        record(root.putObject("record"), shot.sheet());
        ObjectNode units = root.putObject("units");
        ObjectNode channels = root.putObject("channels");
        units.put(ShotJsonReader.TIME, "s");
        samples(channels.putArray(ShotJsonReader.TIME), shot.log().time());
        shot.log().channels().forEach((channel, values) -> {
            units.put(channel.key(), channel.unit().symbol());
            samples(channels.putArray(channel.key()), values);
        });
        try {
            return JSON.writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void record(ObjectNode record, ShotSheet sheet) {
        for (SheetField field : SheetField.values()) {
            if (sheet.has(field)) {
                switch (field.kind()) {
                    case NUMBER -> record.put(field.key(), sheet.number(field).getAsDouble());
                    case NUMBER_LIST -> sheet.numbers(field).forEach(record.withArrayProperty(field.key())::add);
                    case READING_LIST -> readings(record.withArrayProperty(field.key()), sheet);
                    case FLAG -> record.put(field.key(), sheet.flag(field));
                    default -> record.put(field.key(), sheet.entry(field).orElseThrow());
                }
            }
        }
        if (!sheet.extras().isEmpty()) {
            ObjectNode extras = record.putObject(ShotJsonReader.EXTRAS);
            sheet.extras().forEach(extras::put);
        }
    }

    /** A number where only the value is known, else the reading's text. */
    private static void readings(ArrayNode array, ShotSheet sheet) {
        for (Reading reading : sheet.readings()) {
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
