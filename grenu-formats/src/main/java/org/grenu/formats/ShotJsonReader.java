package org.grenu.formats;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;

/** Reads Grenu's shot JSON. */
final class ShotJsonReader {

    static final String FORMAT = "grenu-shot";
    static final int VERSION = 1;
    static final String TIME = "time";
    static final String EXTRAS = "extras";

    private static final String SEE = "See docs/formats.md for a shot JSON.";
    private static final ObjectMapper JSON = new ObjectMapper(JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder().maxNestingDepth(50).build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    private final String file;

    private ShotJsonReader(String file) {
        this.file = file;
    }

    static ParsedShot read(String file, String text) throws ImportFailure {
        return new ShotJsonReader(file).shot(text);
    }

    private ParsedShot shot(String text) throws ImportFailure {
        JsonNode root = parse(text);
        if (!root.isObject() || !FORMAT.equals(root.path("format").asText())) {
            throw failure("The JSON does not name itself a shot: “format” must be “" + FORMAT + "”.", SEE);
        }
        if (!root.path("version").isInt() || root.path("version").intValue() != VERSION) {
            throw failure("This is version " + root.path("version") + " of the shot format; this program reads version "
                    + VERSION + ".", "Open it with a newer Grenu.");
        }
        ShotRecord record = record(root.path("record"));
        return new ParsedShot(new Shot(record, log(root.path("channels"), root.path("units"))), List.of());
    }

    private JsonNode parse(String text) throws ImportFailure {
        try (JsonParser parser = JSON.createParser(text)) {
            return JSON.readTree(parser);
        } catch (JsonProcessingException broken) {
            int line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNr();
            throw new ImportFailure(file, Math.max(0, line),
                    "The JSON is broken: " + broken.getOriginalMessage().strip() + ".",
                    "Export the shot again, or mend the file at this line.");
        } catch (IOException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private ShotRecord record(JsonNode node) throws ImportFailure {
        ShotRecord.Builder record = new ShotRecord.Builder(ShotRecord.EMPTY);
        for (Map.Entry<String, JsonNode> entry : node.properties()) {
            try {
                take(record, entry);
            } catch (RefusedEntry refused) {
                throw failure("record." + entry.getKey() + ": " + refused.getMessage(),
                        "Correct the value or remove it.");
            }
        }
        return record.build();
    }

    private void take(ShotRecord.Builder record, Map.Entry<String, JsonNode> entry) throws ImportFailure {
        if (entry.getKey().equals(EXTRAS)) {
            for (Map.Entry<String, JsonNode> extra : entry.getValue().properties()) {
                record.extra(extra.getKey(), extra.getValue().asText());
            }
        } else {
            enter(record, entry.getKey(), entry.getValue());
        }
    }

    private static void enter(ShotRecord.Builder record, String key, JsonNode value) {
        if (value.isObject()) {
            throw new RefusedEntry("An object cannot be an entry.");
        }
        Optional<RecordField> field = RecordField.find(key);
        if (field.isPresent()) {
            record.text(field.get(), text(value));
        } else {
            record.extra(key, text(value));
        }
    }

    private static String text(JsonNode value) {
        return value.isArray()
                ? StreamSupport.stream(value.spliterator(), false)
                        .map(JsonNode::asText)
                        .collect(Collectors.joining("; "))
                : value.isNull() ? "" : value.asText();
    }

    private ShotLog log(JsonNode channels, JsonNode units) throws ImportFailure {
        if (!channels.path(TIME).isArray()) {
            throw failure("“channels.time” is missing or not an array.", SEE);
        }
        Samples time = samples(TIME, channels.path(TIME), unit(TIME, Quantity.TIME, units));
        Map<Channel, Samples> read = read(channels, units);
        try {
            return new ShotLog(time, read);
        } catch (IllegalArgumentException impossible) {
            throw failure("The channels do not fit together: " + impossible.getMessage() + ".",
                    "All arrays need one value or null per time.");
        }
    }

    private Map<Channel, Samples> read(JsonNode channels, JsonNode units) throws ImportFailure {
        Map<Channel, Samples> read = new EnumMap<>(Channel.class);
        for (Map.Entry<String, JsonNode> entry : channels.properties()) {
            Optional<Channel> channel = Channel.find(entry.getKey());
            if (channel.isPresent()) {
                Unit unit = unit(entry.getKey(), channel.get().quantity(), units);
                read.put(channel.get(), samples(entry.getKey(), entry.getValue(), unit));
            } else if (!entry.getKey().equals(TIME)) {
                throw failure("Channel “" + entry.getKey() + "” is not known.",
                        "Known: time, " + knownChannels() + ".");
            }
        }
        return read;
    }

    private static String knownChannels() {
        return Channel.ofLogs().stream().map(Channel::key).collect(Collectors.joining(", "));
    }

    private Unit unit(String name, Quantity quantity, JsonNode units) throws ImportFailure {
        if (quantity == Quantity.NUMBER) {
            return Unit.NUMBER;
        }
        String symbol = units.path(name).asText("");
        return Unit.find(symbol, quantity)
                .orElseThrow(() -> failure("“units." + name + "” is “" + symbol
                        + "”, which is not a known unit for it.", SEE));
    }

    private Samples samples(String name, JsonNode array, Unit unit) throws ImportFailure {
        if (!array.isArray() || array.size() > Limits.MOST_SAMPLES) {
            throw failure("“channels." + name + "” must be an array of at most " + Limits.MOST_SAMPLES + " numbers.",
                    SEE);
        }
        double[] values = new double[array.size()];
        for (int i = 0; i < values.length; i++) {
            values[i] = sample(name, array.get(i), i + 1, unit);
        }
        return Samples.of(values);
    }

    private double sample(String name, JsonNode value, int position, Unit unit) throws ImportFailure {
        boolean missing = value.isNull() && !name.equals(TIME);
        if (!missing && !(value.isNumber() && Double.isFinite(value.doubleValue()))) {
            throw failure(
                    "“channels." + name + "” holds " + value + " at position " + position
                            + ", which is not a number.",
                    "Correct it; null marks a missing sample of a channel, never of time.");
        }
        return missing ? Double.NaN : unit.toCanonical(value.doubleValue());
    }

    private ImportFailure failure(String reason, String remedy) {
        return new ImportFailure(file, 0, reason, remedy);
    }
}
