package org.grenu.core.record;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.entry.FieldCodec;
import org.grenu.core.entry.MomentNote;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.entry.Row;
import org.grenu.core.entry.StudyArm;
import org.grenu.core.entry.VolumeEstimate;
import org.grenu.core.hydraulics.Bed;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.profile.Profile;
import org.grenu.core.quantity.Measured;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.ReadingLine;
import org.grenu.core.strength.Sample;
import org.grenu.core.strength.StrengthSeries;

/**
 * What is written down about a shot, apart from its log. What is not entered is unknown: there are no defaults among
 * the entries. Immutable; {@link #with} gives a changed copy.
 */
public final class ShotRecord {

    /** Display step of a scale of which nothing is said, g (common practice, no source). */
    public static final double USUAL_SCALE_RESOLUTION = 0.1;
    /**
     * Standard uncertainty of a bench moisture reading of which nothing is said, points (common practice, no
     * source).
     */
    public static final double USUAL_MOISTURE_U = 0.2;
    /** A record with nothing in it. */
    public static final ShotRecord EMPTY = new ShotRecord(new EnumMap<>(RecordField.class), new TreeMap<>());

    private static final int MOST_EXTRAS = 500;
    private static final Pattern EXTRA_KEY = Pattern
            .compile("[\\p{L}\\p{N}_.]([\\p{L}\\p{N}_. -]{0,78}[\\p{L}\\p{N}_.])?");

    private final Map<RecordField, Object> entries;
    private final SortedMap<String, String> extras;

    private ShotRecord(Map<RecordField, Object> entries, SortedMap<String, String> extras) {
        this.entries = entries;
        this.extras = Collections.unmodifiableSortedMap(extras);
    }

    /**
     * {@return this record with that entry as typed; a blank text makes it unknown}
     *
     * @throws RefusedEntry if the text is not a possible entry; the message says why
     */
    public ShotRecord with(RecordField field, String text) {
        Builder builder = new Builder(this);
        builder.text(field, text == null ? "" : text);
        return builder.build();
    }

    @SuppressWarnings("unchecked")
    private static Object checked(RecordField field, Object value) {
        if (field == RecordField.REFRACTOMETER_LINE) {
            try {
                ReadingLine.of((List<Double>) value);
            } catch (IllegalArgumentException notALine) {
                throw new RefusedEntry(field.title() + ": " + notALine.getMessage() + ".");
            }
        }
        return value;
    }

    /**
     * {@return this record with that number}
     *
     * @throws RefusedEntry if it is outside the field's range
     */
    public ShotRecord with(RecordField field, double number) {
        Builder builder = new Builder(this);
        builder.number(field, number);
        return builder.build();
    }

    /**
     * {@return this record with an entry that Grenu has no field for; a blank text removes it}
     *
     * @param key letters, digits, space and {@code _ . -}, up to 80, not the key of a field
     * @throws RefusedEntry if the key or the text is not possible
     */
    public ShotRecord withExtra(String key, String text) {
        Builder builder = new Builder(this);
        builder.extra(key, text == null ? "" : text);
        return builder.build();
    }

    private static void checkExtra(String key, String text) {
        if (!EXTRA_KEY.matcher(key).matches() || RecordField.find(key).isPresent()) {
            throw new RefusedEntry("“" + (key.length() > 80 ? key.substring(0, 80) + "…" : key)
                    + "” cannot name an entry: letters, digits, space, _ . and - can.");
        }
        if (text.length() > FieldCodec.LONGEST_TEXT) {
            throw new RefusedEntry(key + " is longer than " + FieldCodec.LONGEST_TEXT + " characters.");
        }
    }

    /** {@return the entry as text that reads back the same; empty when unknown} */
    public Optional<String> entry(RecordField field) {
        return Optional.ofNullable(entries.get(field)).map(FieldCodec::format);
    }

    /** {@return whether the entry is known} */
    public boolean has(RecordField field) {
        return entries.containsKey(field);
    }

    /** {@return the number entered, if any} */
    public OptionalDouble number(RecordField field) {
        return entries.get(field) instanceof Double number ? OptionalDouble.of(number) : OptionalDouble.empty();
    }

    /** {@return the words entered, if any; of names, all with semicolons between} */
    public Optional<String> text(RecordField field) {
        return entries.get(field) instanceof String words ? Optional.of(words)
                : field.kind().free() ? entry(field) : Optional.empty();
    }

    /** {@return the numbers entered, empty if none; of readings their values} */
    @SuppressWarnings("unchecked")
    public List<Double> numbers(RecordField field) {
        if (field.kind() == FieldKind.READING_LIST) {
            return readings().stream().map(Reading::value).toList();
        }
        return field.kind() == FieldKind.NUMBER_LIST ? (List<Double>) entries.getOrDefault(field, List.of())
                : List.of();
    }

    /** {@return the strength readings with what is known of each} */
    @SuppressWarnings("unchecked")
    public List<Reading> readings() {
        return (List<Reading>) entries.getOrDefault(RecordField.READINGS, List.of());
    }

    /** {@return whether the flag is entered as yes} */
    public boolean flag(RecordField field) {
        return Boolean.TRUE.equals(entries.get(field));
    }

    /** {@return when the shot was pulled, if known; the day's beginning when only that is} */
    public Optional<LocalDateTime> pulledAt() {
        Object at = entries.get(RecordField.PULLED_AT);
        return Optional.ofNullable(at instanceof LocalDate day ? day.atStartOfDay() : (LocalDateTime) at);
    }

    /** {@return entries that Grenu has no field for, by key} */
    public SortedMap<String, String> extras() {
        return extras;
    }

    /** {@return the kinds of repair that are switched off} */
    @SuppressWarnings("unchecked")
    public Set<RepairKind> repairsOff() {
        Set<RepairKind> off = EnumSet.noneOf(RepairKind.class);
        off.addAll((List<RepairKind>) entries.getOrDefault(RecordField.REPAIRS_OFF, List.of()));
        return off;
    }

    /** {@return what the machine was meant to do, if known} */
    public Optional<Profile> profileSteps() {
        return Optional.ofNullable((Profile) entries.get(RecordField.PROFILE_STEPS));
    }

    /** {@return where the phases begin, when they were set by hand; else empty} */
    @SuppressWarnings("unchecked")
    public List<PhaseBorder> phases() {
        return (List<PhaseBorder>) entries.getOrDefault(RecordField.PHASES, List.of());
    }

    /** {@return the notes at moments of the shot, by time} */
    @SuppressWarnings("unchecked")
    public List<MomentNote> momentNotes() {
        return (List<MomentNote>) entries.getOrDefault(RecordField.MOMENT_NOTES, List.of());
    }

    /** {@return the rows of a small table, none when unknown} */
    @SuppressWarnings("unchecked")
    public List<Row> rows(RecordField field) {
        return field.kind() == FieldKind.ROWS ? (List<Row>) entries.getOrDefault(field, List.of()) : List.of();
    }

    /** {@return whole days from roast to shot less those it spent frozen, when both dates are known} */
    public OptionalDouble ageDays() {
        LocalDate roasted = (LocalDate) entries.get(RecordField.ROASTED_ON);
        return roasted == null || pulledAt().isEmpty() ? OptionalDouble.empty()
                : OptionalDouble.of(ChronoUnit.DAYS.between(roasted, pulledAt().get().toLocalDate())
                        - number(RecordField.FROZEN_DAYS).orElse(0));
    }

    /** {@return the studies it belongs to, in the order they were entered} */
    @SuppressWarnings("unchecked")
    public List<String> studies() {
        return (List<String>) entries.getOrDefault(RecordField.STUDY, List.of());
    }

    /**
     * {@return the arm it belongs to in that study} The entry names one arm for all its studies, or study and arm
     * with
     * a colon between, such as {@code Pressure and flow: even; Ageing: control}.
     */
    @SuppressWarnings("unchecked")
    public Optional<String> armIn(String study) {
        List<StudyArm> arms = (List<StudyArm>) entries.getOrDefault(RecordField.ARM, List.of());
        Optional<String> own = arms.stream().flatMap(arm -> arm.in(study).stream()).findFirst();
        return own.isPresent() || arms.stream().anyMatch(arm -> studies().contains(arm.study())) ? own
                : entry(RecordField.ARM);
    }

    /** {@return the bed's size, when diameter and depth are known} */
    public Optional<Bed> bed() {
        OptionalDouble diameter = number(RecordField.BED_DIAMETER);
        OptionalDouble depth = number(RecordField.BED_DEPTH);
        return diameter.isPresent() && depth.isPresent()
                ? Optional.of(new Bed(diameter.getAsDouble() / 1000, depth.getAsDouble() / 1000)) : Optional.empty();
    }

    /** {@return the cup's own readings with their instrument; what is not said of it is taken as usual} */
    public StrengthSeries strengthSeries() {
        return new RecordedStrength(this).cup();
    }

    /** {@return the samples beside the cup's own series, in the order they were entered} */
    @SuppressWarnings("unchecked")
    public List<Sample> samples() {
        return (List<Sample>) entries.getOrDefault(RecordField.SAMPLES, List.of());
    }

    /** {@return the readings of that sample; where its zero was not checked anew, the cup's counts} */
    public StrengthSeries series(Sample sample) {
        return new RecordedStrength(this).of(sample);
    }

    /**
     * {@return a mass read on the scale: what one weighing scatters by, never less than display step/√12, independent;
     * bias limit/√3 shared; g}
     */
    public Measured weighed(double grams) {
        double scatter = number(RecordField.SCALE_REPEATABILITY).orElse(0);
        return new Measured(grams, Math.max(scatter, scaleResolution() / Math.sqrt(12)),
                number(RecordField.SCALE_BIAS).orElse(0) / Math.sqrt(3));
    }

    /** {@return the beverage mass entered, as weighed or as estimated from a volume} */
    public Optional<Measured> beverage() {
        OptionalDouble grams = number(RecordField.BEVERAGE);
        if (grams.isEmpty()) {
            return Optional.empty();
        }
        Measured weighed = weighed(grams.getAsDouble());
        return Optional.of(beverageEstimated()
                ? new Measured(weighed.value(), VolumeEstimate.u(weighed.value()), 0) : weighed);
    }

    /** {@return whether the beverage mass was made of a volume} */
    public boolean beverageEstimated() {
        return flag(RecordField.BEVERAGE_ESTIMATED);
    }

    /** {@return the coffee's moisture, %; shared, since it belongs to the coffee and not to the shot} */
    public Optional<Measured> moisture() {
        OptionalDouble value = number(RecordField.MOISTURE);
        return value.isEmpty() ? Optional.empty() : Optional.of(
                new Measured(value.getAsDouble(), 0, number(RecordField.MOISTURE_U).orElse(USUAL_MOISTURE_U)));
    }

    /** {@return what the record says about the log} */
    public CurveSettings curveSettings() {
        return new CurveSettings(repairsOff(), number(RecordField.PUMP_ON), number(RecordField.PUMP_OFF),
                scaleResolution(), number(RecordField.SCALE_LAG), number(RecordField.PRESSURE_AT_REST));
    }

    private double scaleResolution() {
        return number(RecordField.SCALE_RESOLUTION).orElse(USUAL_SCALE_RESOLUTION);
    }

    /** Fills many entries at once, without a copy for each. */
    public static final class Builder {
        private final EnumMap<RecordField, Object> entries = new EnumMap<>(RecordField.class);
        private final TreeMap<String, String> extras = new TreeMap<>();

        private final KnownEntries known;

        /** Starts from that record. */
        public Builder(ShotRecord from) {
            this(from, KnownEntries.NONE);
        }

        /** Starts from that record; what was entered elsewhere before is taken from there. */
        public Builder(ShotRecord from, KnownEntries known) {
            this.known = known;
            entries.putAll(from.entries);
            extras.putAll(from.extras);
        }

        /**
         * Enters a number.
         *
         * @throws RefusedEntry if it is outside the field's range
         */
        public void number(RecordField field, double number) {
            if (field.kind() != FieldKind.NUMBER) {
                throw new IllegalArgumentException(field.key() + " is not a number");
            }
            field.form().checkRange(number);
            entries.put(field, known.number(number + 0.0));
        }

        /**
         * Enters what is typed; a blank text leaves the entry unknown. A beverage given as a volume is also marked
         * as estimated.
         *
         * @throws RefusedEntry if the text is not a possible entry
         */
        public void text(RecordField field, String text) {
            Object value = text.isBlank() ? List.of() : checked(field, known.parsed(field, text));
            if (value instanceof List<?> list && list.isEmpty()) {
                entries.remove(field);
            } else if (value instanceof VolumeEstimate estimate) {
                entries.put(field, estimate.grams());
                entries.put(RecordField.BEVERAGE_ESTIMATED, true);
            } else {
                entries.put(field, value);
            }
        }

        /**
         * Enters what Grenu has no field for; a blank text leaves it out.
         *
         * @throws RefusedEntry if the key or the text is not possible, or there are more than a record can hold
         */
        public void extra(String key, String text) {
            checkExtra(key, text);
            if (text.isBlank()) {
                extras.remove(key);
            } else if (extras.size() >= MOST_EXTRAS && !extras.containsKey(key)) {
                throw new RefusedEntry("More than " + MOST_EXTRAS + " entries of one's own.");
            } else {
                extras.put(key, text.strip());
            }
        }

        /** {@return the record} */
        public ShotRecord build() {
            return new ShotRecord(new EnumMap<>(entries), new TreeMap<>(extras));
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ShotRecord record && entries.equals(record.entries) && extras.equals(record.extras);
    }

    @Override
    public int hashCode() {
        return 31 * entries.hashCode() + extras.hashCode();
    }

    @Override
    public String toString() {
        return entries + " " + extras;
    }
}
