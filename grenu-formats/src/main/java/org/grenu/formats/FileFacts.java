package org.grenu.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;

/**
 * What a foreign file tells of its shot beside the samples: entries and dates in remarks before the table, in values
 * beside JSON arrays, in time stamps, and in the file's name. What the record says already is left alone; each thing
 * taken over says where it stood.
 */
public final class FileFacts {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Pattern PAIR = Pattern.compile("\\s*([^:=;]{2,40}?)\\s*[:=]\\s*([^;]+)");
    private static final Pattern STAMP = Pattern
            .compile("(?m)^[^\\n]{0,120}?(20\\d\\d-\\d\\d-\\d\\d[T ]\\d\\d:\\d\\d(:\\d\\d)?)");
    private static final int REMARK_LINES = 30;
    private static final int LONGEST_VALUE = 200;

    private final String file;
    private final String text;
    private final List<String> said = new ArrayList<>();
    private ShotRecord record;

    private FileFacts(String file, String text, ShotRecord record) {
        this.file = file;
        this.text = text;
        this.record = record;
    }

    /** {@return the shots of that file with what it tells of them} */
    public static List<ParsedShot> complete(String file, String text, List<ParsedShot> shots) {
        return shots.stream().map(parsed -> complete(file, text, parsed, shots.size() == 1)).toList();
    }

    private static ParsedShot complete(String file, String text, ParsedShot parsed, boolean alone) {
        FileFacts facts = new FileFacts(file, text, parsed.shot().record());
        if (alone && !ShotReader.own(text)) {
            facts.written().forEach(facts::enter);
            facts.moment(RecordField.PULLED_AT, "the first time stamp", facts::firstStamp);
        }
        if (!ShotReader.own(text)) {
            facts.moment(RecordField.PULLED_AT, "the file’s name", () -> WrittenMoment.inFileName(file));
        }
        if (facts.record.entry(RecordField.FILE).isEmpty()) {
            facts.record = facts.record.with(RecordField.FILE, name(file));
        }
        List<String> all = new ArrayList<>(parsed.assumptions());
        all.addAll(facts.said);
        return new ParsedShot(new Shot(facts.record, parsed.shot().log()), all);
    }

    private static String name(String file) {
        return file.substring(Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1);
    }

    private Map<String, String> written() {
        String start = text.stripLeading();
        return start.startsWith("{") ? besideArrays() : remarks();
    }

    /** “# Date: 15.05.2024 09:10; dose = 18 g” in lines before the first row of numbers. */
    private Map<String, String> remarks() {
        Map<String, String> pairs = new LinkedHashMap<>();
        text.lines()
                .limit(REMARK_LINES)
                .filter(line -> line.startsWith("#") || line.startsWith("//") || line.startsWith("%"))
                .forEach(line -> {
                    for (String part : line.replaceFirst("^[#/%\\s]+", "").split(";")) {
                        Matcher pair = PAIR.matcher(part);
                        if (pair.matches()) {
                            pairs.putIfAbsent(pair.group(1).strip(), pair.group(2).strip());
                        }
                    }
                });
        return pairs;
    }

    private Map<String, String> besideArrays() {
        Map<String, String> pairs = new LinkedHashMap<>();
        try {
            gather(JSON.readTree(text), 0, pairs);
        } catch (IOException broken) {
            return Map.of();
        }
        return pairs;
    }

    private static void gather(JsonNode node, int depth, Map<String, String> pairs) {
        node.properties().forEach(field -> {
            JsonNode value = field.getValue();
            if (value.isValueNode() && !value.isNull()) {
                pairs.putIfAbsent(field.getKey(), value.asText());
            } else if (value.isObject() && depth < 3) {
                gather(value, depth + 1, pairs);
            }
        });
    }

    private void enter(String name, String value) {
        EntryHeading heading = EntryHeading.parse(name);
        Optional<EntryHeading.Meaning> meaning = heading.meaning();
        if (meaning.isEmpty() || value.length() > LONGEST_VALUE) {
            return;
        }
        String place = "“" + name + "” in the file";
        if (meaning.get() instanceof EntryHeading.Day
                || meaning.get() instanceof EntryHeading.Entry entry && entry.field() == RecordField.PULLED_AT) {
            moment(RecordField.PULLED_AT, place, () -> WrittenMoment.find(value));
        } else if (meaning.get() instanceof EntryHeading.TimeOfDay) {
            timeOfDay(value, place);
        } else if (meaning.get() instanceof EntryHeading.Entry entry) {
            entered(entry.field(), heading.inUnit(entry.field(), value), place);
        } else if (meaning.get() instanceof EntryHeading.ShotName) {
            entered(RecordField.NAME, value, place);
        } else if (meaning.get() instanceof EntryHeading.StrengthReading) {
            entered(RecordField.READINGS, value, place);
            if (heading.inBrix()) {
                entered(RecordField.REFRACTOMETER_READS, "brix", place);
            }
        }
    }

    /** Beside a day that stands elsewhere in the file. */
    private void timeOfDay(String value, String place) {
        Optional<WrittenMoment> day = record.entry(RecordField.PULLED_AT).flatMap(WrittenMoment::find);
        Optional<LocalTime> clock = WrittenMoment.clock(value);
        if (day.isPresent() && day.get().time().isEmpty() && clock.isPresent()) {
            String whole = day.get().with(clock).entry();
            record = record.with(RecordField.PULLED_AT, whole);
            said.add(RecordField.PULLED_AT.title() + " " + whole.replace('T', ' ') + ", the time from " + place + ".");
        }
    }

    private void moment(RecordField field, String place, Supplier<Optional<WrittenMoment>> moment) {
        if (record.entry(field).isEmpty()) {
            moment.get().ifPresent(found -> entered(field, found.entry(), place));
        }
    }

    private void entered(RecordField field, String value, String place) {
        if (record.entry(field).isPresent()) {
            return;
        }
        try {
            record = record.with(field, value);
            said.add(field.title() + " " + record.entry(field).orElse("").replace('T', ' ') + ", from " + place + ".");
        } catch (RefusedEntry notPossible) {
            said.add(field.title() + " was not taken from " + place + ": " + notPossible.getMessage());
        }
    }

    private Optional<WrittenMoment> firstStamp() {
        Matcher stamp = STAMP.matcher(text);
        return stamp.find() ? WrittenMoment.find(stamp.group(1)) : Optional.empty();
    }
}
