package org.grenu.library;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.ShotTimes;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.quantity.Measured;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.KnownEntries;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.jdbi.v3.core.Handle;

/** How records and digests lie in their tables. */
final class ShotRows {

    private static final ObjectMapper JSON = new ObjectMapper();
    /** Place of the entries that the user made up in {@link #selectSummaries}; the fields follow, then the digest. */
    static final int EXTRAS = 5;
    private static final RecordField[] FIELDS = RecordField.values();
    static final List<RecordField> ALL = List.of(FIELDS);
    static final String FIELD_COLUMNS = Arrays.stream(RecordField.values())
            .map(RecordField::key)
            .collect(Collectors.joining(", "));
    private static final String FIELD_PLACES = Arrays.stream(RecordField.values())
            .map(f -> ":" + f.key())
            .collect(Collectors.joining(", "));

    private ShotRows() {
    }

    /** {@return the fields that any shot has an entry in; to ask for the others of every shot takes a while} */
    static List<RecordField> used(Handle handle) {
        String counts = Arrays.stream(FIELDS).map(f -> "count(" + f.key() + ")").collect(Collectors.joining(", "));
        return handle.createQuery("SELECT " + counts + " FROM shot").map((row, context) -> {
            List<RecordField> used = new ArrayList<>();
            for (RecordField field : FIELDS) {
                if (row.getLong(1 + field.ordinal()) > 0) {
                    used.add(field);
                }
            }
            return used;
        }).one();
    }

    static String selectSummaries(List<RecordField> fields) {
        return "SELECT shot.id, shot.number, shot.state, coalesce(shot.log_digest, ''), shot.extras, "
                + fields.stream().map(f -> "shot." + f.key() + ", ").collect(Collectors.joining())
                + "d.algorithm, d.settings, d.miniature, d.miniature_count, d.peak_pressure_bar, "
                + "d.mean_pressure_bar, d.beverage_g AS curve_beverage_g, d.beverage_u_g AS curve_beverage_u_g, "
                + moments("on", "pump_on") + moments("onset", "pressure_onset") + moments("drip", "first_drip")
                + moments("off", "pump_off") + moments("last", "last_drip")
                + "1 FROM shot LEFT JOIN curve_digest d ON d.shot_id = shot.id";
    }

    private static String moments(String as, String column) {
        return String.format("d.%2$s_s AS %1$s_at, d.%2$s_u AS %1$s_u, d.%2$s_how AS %1$s_how, ", as, column);
    }

    static long insert(Tables tables, int number, ShotState state, Optional<Long> rawFile, Optional<String> digest,
            String now, ShotRecord record) {
        var insert = tables.handle()
                .createUpdate("INSERT INTO shot (number, state, raw_file_id, log_digest, imported_at, extras, "
                        + FIELD_COLUMNS
                        + ") VALUES (:number, :state, :raw, :digest, :now, :extras, " + FIELD_PLACES + ")")
                .bind("number", number)
                .bind("state", state.key())
                .bind("raw", rawFile.orElse(null))
                .bind("digest", digest.orElse(null))
                .bind("now", now)
                .bind("extras", extras(record));
        for (RecordField field : RecordField.values()) {
            insert.bind(field.key(), cell(record, field, tables.names()));
        }
        return insert.executeAndReturnGeneratedKeys("id").mapTo(Long.class).one();
    }

    /** Stores that field of the record; without one, the entries the user made up. */
    static void update(Tables tables, long id, Optional<RecordField> field, ShotRecord record) {
        tables.handle()
                .createUpdate(
                        "UPDATE shot SET " + field.map(RecordField::key).orElse("extras") + " = :value WHERE id = :id")
                .bind("value", field.isPresent() ? cell(record, field.get(), tables.names()) : extras(record))
                .bind("id", id)
                .execute();
    }

    private static Object cell(ShotRecord record, RecordField field, ShelfNames names) {
        if (field.kind() == FieldKind.NUMBER) {
            OptionalDouble number = record.number(field);
            return number.isPresent() ? number.getAsDouble() : null;
        }
        return record.entry(field).map(text -> names.stored(field, text)).orElse(null);
    }

    /**
     * {@return the record in that row} By the columns' places: to look each up by its name takes a hundred times as
     * long.
     *
     * @param extras place of the entries that the user made up, at once before the fields in their order; counted
     *               from 1
     */
    static ShotRecord record(ResultSet row, int extras, ShelfNames names) throws SQLException {
        return record(row, extras, ALL, names, new KnownEntries());
    }

    /** {@return likewise, of a row in which those fields follow} */
    static ShotRecord record(ResultSet row, int extras, List<RecordField> fields, ShelfNames names, KnownEntries known)
            throws SQLException {
        ShotRecord.Builder builder = new ShotRecord.Builder(ShotRecord.EMPTY, known);
        int place = extras;
        for (RecordField field : fields) {
            place++;
            read(row, place, field, builder, names);
        }
        ShotRecord record = builder.build();
        for (Map.Entry<String, String> extra : extras(row.getString(extras)).entrySet()) {
            record = withOwn(record, extra.getKey(), extra.getValue());
        }
        return record;
    }

    private static void read(ResultSet row, int place, RecordField field, ShotRecord.Builder builder, ShelfNames names)
            throws SQLException {
        if (field.kind() == FieldKind.NUMBER) {
            double number = row.getDouble(place);
            if (!row.wasNull()) {
                builder.number(field, number);
            }
        } else {
            String text = row.getString(place);
            if (text != null) {
                builder.text(field, names.shown(field, text));
            }
        }
    }

    /**
     * An entry that the user made up under a name that has since become a field's is that field's, where it can be.
     */
    private static ShotRecord withOwn(ShotRecord record, String key, String text) {
        Optional<RecordField> field = RecordField.find(key);
        if (field.isEmpty()) {
            return record.withExtra(key, text);
        }
        try {
            return record.has(field.get()) ? record.withExtra(key + "_own", text) : record.with(field.get(), text);
        } catch (RefusedEntry notThatField) {
            return record.withExtra(key + "_own", text);
        }
    }

    private static String extras(ShotRecord record) {
        try {
            return record.extras().isEmpty() ? null : JSON.writeValueAsString(record.extras());
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static Map<String, String> extras(String json) {
        try {
            return json == null ? Map.of() : JSON.readValue(json, new TypeReference<TreeMap<String, String>>() {});
        } catch (JsonProcessingException damaged) {
            throw new LibraryException("A shot's extra entries are damaged. Restore the library from a copy.", damaged);
        }
    }

    static void store(Handle handle, long id, CurveSettings settings, CurveDigest digest) {
        var insert = handle.createUpdate(
                "INSERT OR REPLACE INTO curve_digest (shot_id, algorithm, settings, pump_on_s, pump_on_u, pump_on_how, "
                        + "pressure_onset_s, pressure_onset_u, pressure_onset_how, "
                        + "first_drip_s, first_drip_u, first_drip_how, pump_off_s, pump_off_u, pump_off_how, "
                        + "last_drip_s, last_drip_u, "
                        + "last_drip_how, beverage_g, beverage_u_g, peak_pressure_bar, mean_pressure_bar, miniature, "
                        + "miniature_count) VALUES "
                        + "(:id, :algorithm, :settings, :on_s, :on_u, :on_how, :onset_s, :onset_u, :onset_how, "
                        + ":drip_s, :drip_u, :drip_how, :off_s, :off_u, :off_how, :last_s, :last_u, "
                        + ":last_how, :beverage, :beverage_u, :peak, :mean, :miniature, :count)")
                .bind("id", id)
                .bind("algorithm", CurveMeasures.ALGORITHM_VERSION)
                .bind("settings", key(settings))
                .bind("beverage", digest.beverage().map(Measured::value).orElse(null))
                .bind("beverage_u", digest.beverage().map(Measured::u).orElse(null))
                .bind("peak", boxed(digest.peakPressure()))
                .bind("mean", boxed(digest.meanPressure()))
                .bind("miniature", SampleBlob.pack(digest.miniature()))
                .bind("count", digest.miniature().size());
        Map<String, Optional<TimedEvent>> moments = Map.of("on", digest.times().pumpOn(),
                "onset", digest.times().pressureOnset(), "drip", digest.times().firstDrip(),
                "off", digest.times().pumpOff(), "last", digest.times().lastDrip());
        moments.forEach((name, event) -> insert.bind(name + "_s", event.map(TimedEvent::seconds).orElse(null))
                .bind(name + "_u", event.map(TimedEvent::u).orElse(null))
                .bind(name + "_how", event.map(TimedEvent::how).orElse(null)));
        insert.execute();
    }

    private static Double boxed(OptionalDouble number) {
        return number.isPresent() ? number.getAsDouble() : null;
    }

    /** The same for equal settings, in every run of the program. */
    private static String key(CurveSettings settings) {
        String off = settings.repairsOff().stream().map(RepairKind::key).sorted().collect(Collectors.joining(" "));
        return String.join("/", off, settings.pumpOn().toString(), settings.pumpOff().toString(),
                Double.toString(settings.massResolution()),
                settings.scaleLag().toString())
                + (settings.pressureAtRest().isPresent() ? "/" + settings.pressureAtRest() : "");
    }

    /**
     * {@return the stored digest; empty when there is none, or it was made by another algorithm or from another
     * record}
     *
     * @param fields how many were asked for
     */
    static Optional<CurveDigest> digest(ResultSet row, int fields, CurveSettings settings) throws SQLException {
        int at = EXTRAS + fields;
        if (row.getInt(at + 1) != CurveMeasures.ALGORITHM_VERSION || !key(settings).equals(row.getString(at + 2))) {
            return Optional.empty();
        }
        OptionalDouble beverage = number(row, at + 7);
        int moments = at + 9;
        ShotTimes times = new ShotTimes(event(row, moments), event(row, moments + 3), event(row, moments + 6),
                event(row, moments + 9), event(row, moments + 12));
        return Optional.of(new CurveDigest(times, beverage.isEmpty() ? Optional.empty()
                : Optional.of(Measured.independent(beverage.getAsDouble(), row.getDouble(at + 8))),
                number(row, at + 5), number(row, at + 6), SampleBlob.unpack(row.getBytes(at + 3), row.getInt(at + 4))));
    }

    private static Optional<TimedEvent> event(ResultSet row, int place) throws SQLException {
        OptionalDouble seconds = number(row, place);
        return seconds.isEmpty() ? Optional.empty()
                : Optional
                        .of(new TimedEvent(seconds.getAsDouble(), row.getDouble(place + 1), row.getString(place + 2)));
    }

    private static OptionalDouble number(ResultSet row, int place) throws SQLException {
        double value = row.getDouble(place);
        return row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
