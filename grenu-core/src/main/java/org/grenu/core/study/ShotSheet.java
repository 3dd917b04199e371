package org.grenu.core.study;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
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
import org.grenu.core.entry.FieldText;
import org.grenu.core.entry.MomentNote;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.hydraulics.Bed;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.profile.Profile;
import org.grenu.core.quantity.Measured;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.ReadingLine;
import org.grenu.core.strength.Refractometer;
import org.grenu.core.strength.SampleDilution;
import org.grenu.core.strength.StrengthSeries;

/**
 * What is written down about a shot, apart from its log. What is not entered is unknown: there are no defaults among
 * the entries. Immutable; {@link #with} gives a changed copy.
 */
public final class ShotSheet {

    /** Display step of a scale of which nothing is said, g (common practice, no source). */
    public static final double USUAL_SCALE_RESOLUTION = 0.1;
    /**
     * Standard uncertainty of a bench moisture reading of which nothing is said, points (common practice, no
     * source).
     */
    public static final double USUAL_MOISTURE_U = 0.2;
    /** A record with nothing in it. */
    public static final ShotSheet EMPTY = new ShotSheet(new EnumMap<>(SheetField.class), new TreeMap<>());

    private static final int MOST_EXTRAS = 500;
    private static final Pattern EXTRA_KEY = Pattern
            .compile("[\\p{L}\\p{N}_.]([\\p{L}\\p{N}_. -]{0,78}[\\p{L}\\p{N}_.])?");

    private final Map<SheetField, Object> entries;
    private final SortedMap<String, String> extras;

    private ShotSheet(Map<SheetField, Object> entries, SortedMap<String, String> extras) {
        this.entries = entries;
        this.extras = Collections.unmodifiableSortedMap(extras);
    }

    /**
     * {@return this record with that entry as typed; a blank text makes it unknown}
     *
     * @throws RefusedEntry if the text is not a possible entry; the message says why
     */
    public ShotSheet with(SheetField field, String text) {
        EnumMap<SheetField, Object> copy = new EnumMap<>(SheetField.class);
        copy.putAll(entries);
        if (text == null || text.isBlank()) {
            copy.remove(field);
        } else {
            Object value = checked(field, FieldText.parse(field, text));
            if (value instanceof List<?> list && list.isEmpty()) {
                copy.remove(field);
            } else {
                copy.put(field, value);
            }
        }
        return new ShotSheet(copy, extras);
    }

    @SuppressWarnings("unchecked")
    private static Object checked(SheetField field, Object value) {
        if (field == SheetField.REFRACTOMETER_LINE) {
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
    public ShotSheet with(SheetField field, double number) {
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
    public ShotSheet withExtra(String key, String text) {
        Builder builder = new Builder(this);
        builder.extra(key, text == null ? "" : text);
        return builder.build();
    }

    private static void checkExtra(String key, String text) {
        if (!EXTRA_KEY.matcher(key).matches() || SheetField.find(key).isPresent()) {
            throw new RefusedEntry("“" + (key.length() > 80 ? key.substring(0, 80) + "…" : key)
                    + "” cannot name an entry: letters, digits, space, _ . and - can.");
        }
        if (text.length() > FieldText.LONGEST_TEXT) {
            throw new RefusedEntry(key + " is longer than " + FieldText.LONGEST_TEXT + " characters.");
        }
    }

    /** {@return the entry as text that reads back the same; empty when unknown} */
    public Optional<String> entry(SheetField field) {
        return Optional.ofNullable(entries.get(field)).map(FieldText::format);
    }

    /** {@return whether the entry is known} */
    public boolean has(SheetField field) {
        return entries.containsKey(field);
    }

    /** {@return the number entered, if any} */
    public OptionalDouble number(SheetField field) {
        return entries.get(field) instanceof Double number ? OptionalDouble.of(number) : OptionalDouble.empty();
    }

    /** {@return the words entered, if any} */
    public Optional<String> text(SheetField field) {
        return entries.get(field) instanceof String text ? Optional.of(text) : Optional.empty();
    }

    /** {@return the numbers entered, empty if none; of readings their values} */
    @SuppressWarnings("unchecked")
    public List<Double> numbers(SheetField field) {
        if (field.kind() == FieldKind.READING_LIST) {
            return readings().stream().map(Reading::value).toList();
        }
        return field.kind() == FieldKind.NUMBER_LIST ? (List<Double>) entries.getOrDefault(field, List.of())
                : List.of();
    }

    /** {@return the strength readings with what is known of each} */
    @SuppressWarnings("unchecked")
    public List<Reading> readings() {
        return (List<Reading>) entries.getOrDefault(SheetField.READINGS, List.of());
    }

    /** {@return whether the flag is entered as yes} */
    public boolean flag(SheetField field) {
        return Boolean.TRUE.equals(entries.get(field));
    }

    /** {@return when the shot was pulled, if known} */
    public Optional<LocalDateTime> pulledAt() {
        return Optional.ofNullable((LocalDateTime) entries.get(SheetField.PULLED_AT));
    }

    /** {@return entries that Grenu has no field for, by key} */
    public SortedMap<String, String> extras() {
        return extras;
    }

    /** {@return the kinds of repair that are switched off} */
    @SuppressWarnings("unchecked")
    public Set<RepairKind> repairsOff() {
        Set<RepairKind> off = EnumSet.noneOf(RepairKind.class);
        off.addAll((List<RepairKind>) entries.getOrDefault(SheetField.REPAIRS_OFF, List.of()));
        return off;
    }

    /** {@return what the machine was meant to do, if known} */
    public Optional<Profile> profileSteps() {
        return Optional.ofNullable((Profile) entries.get(SheetField.PROFILE_STEPS));
    }

    /** {@return where the phases begin, when they were set by hand; else empty} */
    @SuppressWarnings("unchecked")
    public List<PhaseBorder> phases() {
        return (List<PhaseBorder>) entries.getOrDefault(SheetField.PHASES, List.of());
    }

    /** {@return the notes at moments of the shot, by time} */
    @SuppressWarnings("unchecked")
    public List<MomentNote> momentNotes() {
        return (List<MomentNote>) entries.getOrDefault(SheetField.MOMENT_NOTES, List.of());
    }

    /** {@return whole days from roast to shot less those it spent frozen, when both dates are known} */
    public OptionalDouble ageDays() {
        LocalDate roasted = (LocalDate) entries.get(SheetField.ROASTED_ON);
        return roasted == null || pulledAt().isEmpty() ? OptionalDouble.empty()
                : OptionalDouble.of(ChronoUnit.DAYS.between(roasted, pulledAt().get().toLocalDate())
                        - number(SheetField.FROZEN_DAYS).orElse(0));
    }

    /** {@return the studies it belongs to, in the order they were entered} */
    public List<String> studies() {
        return text(SheetField.STUDY).map(text -> Arrays.stream(text.split(";"))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList()).orElse(List.of());
    }

    /**
     * {@return the arm it belongs to in that study} The entry names one arm for all its studies, or study and arm
     * with a
     * colon between, such as {@code Pressure and flow: even; Ageing: control}.
     */
    public Optional<String> armIn(String study) {
        Optional<String> arms = text(SheetField.ARM);
        for (String part : arms.orElse("").split(";")) {
            if (part.strip().startsWith(study + ":")) {
                return Optional.of(part.strip().substring(study.length() + 1).strip());
            }
        }
        return arms.filter(arm -> studies().stream().noneMatch(other -> arm.contains(other + ":")));
    }

    /** {@return the bed's size, when diameter and depth are known} */
    public Optional<Bed> bed() {
        OptionalDouble diameter = number(SheetField.BED_DIAMETER);
        OptionalDouble depth = number(SheetField.BED_DEPTH);
        return diameter.isPresent() && depth.isPresent()
                ? Optional.of(new Bed(diameter.getAsDouble() / 1000, depth.getAsDouble() / 1000)) : Optional.empty();
    }

    /** {@return the strength readings with their instrument; what is not said of it is taken as usual} */
    public StrengthSeries strengthSeries() {
        Refractometer usual = Refractometer.USUAL;
        Refractometer instrument = new Refractometer(text(SheetField.REFRACTOMETER).orElse(usual.name()),
                number(SheetField.REFRACTOMETER_RESOLUTION).orElse(usual.resolution()),
                number(SheetField.REFRACTOMETER_REPEATABILITY).orElse(usual.repeatability()),
                number(SheetField.REFRACTOMETER_BIAS).orElse(usual.bias()), readingLine());
        return new StrengthSeries(readings(), number(SheetField.ZERO), instrument, dilution());
    }

    /** {@return how the reading turns into strength: as calibrated, by the usual factor from °Brix, or as it is} */
    private ReadingLine readingLine() {
        List<Double> numbers = numbers(SheetField.REFRACTOMETER_LINE);
        if (!numbers.isEmpty()) {
            return ReadingLine.of(numbers);
        }
        return text(SheetField.REFRACTOMETER_READS).filter("brix"::equals).isPresent()
                ? ReadingLine.ofFactor(ReadingLine.USUAL_BRIX_FACTOR, 0) : ReadingLine.STRENGTH;
    }

    private Optional<SampleDilution> dilution() {
        OptionalDouble beverage = number(SheetField.DILUTION_BEVERAGE);
        OptionalDouble water = number(SheetField.DILUTION_WATER);
        return beverage.isPresent() && water.isPresent()
                ? Optional.of(new SampleDilution(weighed(beverage.getAsDouble()), weighed(water.getAsDouble())))
                : Optional.empty();
    }

    /** {@return a mass read on the scale: display step/√12 independent, bias limit/√3 shared; g} */
    public Measured weighed(double grams) {
        return new Measured(grams, scaleResolution() / Math.sqrt(12),
                number(SheetField.SCALE_BIAS).orElse(0) / Math.sqrt(3));
    }

    /** {@return the coffee's moisture, %; shared, since it belongs to the coffee and not to the shot} */
    public Optional<Measured> moisture() {
        OptionalDouble value = number(SheetField.MOISTURE);
        return value.isEmpty() ? Optional.empty() : Optional.of(
                new Measured(value.getAsDouble(), 0, number(SheetField.MOISTURE_U).orElse(USUAL_MOISTURE_U)));
    }

    /** {@return what the record says about the log} */
    public CurveSettings curveSettings() {
        return new CurveSettings(repairsOff(), number(SheetField.PUMP_ON), number(SheetField.PUMP_OFF),
                scaleResolution(),
                number(SheetField.SCALE_LAG));
    }

    private double scaleResolution() {
        return number(SheetField.SCALE_RESOLUTION).orElse(USUAL_SCALE_RESOLUTION);
    }

    /** Fills many entries at once, without a copy for each. */
    public static final class Builder {
        private final EnumMap<SheetField, Object> entries = new EnumMap<>(SheetField.class);
        private final TreeMap<String, String> extras = new TreeMap<>();

        /** Starts from that record. */
        public Builder(ShotSheet from) {
            entries.putAll(from.entries);
            extras.putAll(from.extras);
        }

        /**
         * Enters a number.
         *
         * @throws RefusedEntry if it is outside the field's range
         */
        public void number(SheetField field, double number) {
            if (field.kind() != FieldKind.NUMBER) {
                throw new IllegalArgumentException(field.key() + " is not a number");
            }
            field.form().checkRange(number);
            entries.put(field, number + 0.0);
        }

        /**
         * Enters what is typed; a blank text leaves the entry unknown.
         *
         * @throws RefusedEntry if the text is not a possible entry
         */
        public void text(SheetField field, String text) {
            Object value = text.isBlank() ? List.of() : checked(field, FieldText.parse(field, text));
            if (value instanceof List<?> list && list.isEmpty()) {
                entries.remove(field);
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
        public ShotSheet build() {
            return new ShotSheet(new EnumMap<>(entries), new TreeMap<>(extras));
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ShotSheet sheet && entries.equals(sheet.entries) && extras.equals(sheet.extras);
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
