package org.grenu.core.record;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.Reported;

/** The entries that usually stay from one shot to the next: what was set up, not what came of it. */
public final class SetUp {

    private static final Set<RecordField> FIELDS = Collections
            .unmodifiableSet(EnumSet.of(RecordField.STUDY, RecordField.RECIPE, RecordField.SITE, RecordField.OPERATOR,
                    RecordField.COFFEE, RecordField.BAG, RecordField.ROASTED_ON, RecordField.BEANS_TREATMENT,
                    RecordField.GRINDER, RecordField.GRIND, RecordField.PURGE,
                    RecordField.GROUNDS_TREATMENT, RecordField.PREPARATION, RecordField.FLUSH, RecordField.TEMPERATURE,
                    RecordField.TEMPERATURE_PLACE, RecordField.PROFILE,
                    RecordField.PROFILE_STEPS, RecordField.MACHINE, RecordField.MACHINE_VERSION, RecordField.WATER,
                    RecordField.BASKET, RecordField.BASKET_CAPACITY,
                    RecordField.BED_DIAMETER, RecordField.BED_DEPTH, RecordField.ALTITUDE, RecordField.DOSE_TARGET,
                    RecordField.BEVERAGE_TARGET, RecordField.SERVED, RecordField.MOISTURE,
                    RecordField.MOISTURE_U, RecordField.REFRACTOMETER, RecordField.REFRACTOMETER_RESOLUTION,
                    RecordField.REFRACTOMETER_REPEATABILITY,
                    RecordField.REFRACTOMETER_BIAS, RecordField.REFRACTOMETER_READS, RecordField.REFRACTOMETER_LINE,
                    RecordField.SAMPLE_FILTERED, RecordField.SCALE,
                    RecordField.SCALE_RESOLUTION, RecordField.SCALE_REPEATABILITY, RecordField.SCALE_BIAS,
                    RecordField.PRESSURE_AT_REST, RecordField.ZERO_WATER, RecordField.BLANK, RecordField.WARM_UP,
                    RecordField.FINEST, RecordField.COARSEST, RecordField.RETENTION));

    /**
     * Entries that name or count the shot, that came of it, or that follow from others: a change of them is no
     * change of what was done.
     */
    private static final Set<RecordField> SILENT = EnumSet.of(RecordField.STUDY, RecordField.ARM, RecordField.BLOCK,
            RecordField.ORDER_DRAWN, RecordField.NAME, RecordField.FILE, RecordField.PULLED_AT,
            RecordField.RECIPE, RecordField.ROASTED_ON, RecordField.PROFILE_STEPS, RecordField.BASKET_CAPACITY,
            RecordField.BASKET_FROM, RecordField.BASKET_TO, RecordField.BED_DIAMETER,
            RecordField.BED_DEPTH, RecordField.MOISTURE, RecordField.MOISTURE_U, RecordField.ROAST_LEVEL,
            RecordField.EXPECTED_NOTES,
            RecordField.PROCESS, RecordField.COLOUR_WHOLE, RecordField.COLOUR_GROUND,
            RecordField.DENSITY, RecordField.BURRS, RecordField.HARDNESS, RecordField.ALKALINITY, RecordField.ALTITUDE,
            RecordField.READINGS, RecordField.SAMPLES, RecordField.BEVERAGE_ESTIMATED, RecordField.ZERO,
            RecordField.DILUTION_BEVERAGE, RecordField.DILUTION_WATER, RecordField.REFRACTOMETER_RESOLUTION,
            RecordField.REFRACTOMETER_REPEATABILITY, RecordField.REFRACTOMETER_BIAS,
            RecordField.REFRACTOMETER_READS, RecordField.REFRACTOMETER_LINE, RecordField.COMPENSATED_FROM,
            RecordField.COMPENSATED_TO, RecordField.SCALE_RESOLUTION, RecordField.SCALE_REPEATABILITY,
            RecordField.SCALE_BIAS, RecordField.PRESSURE_AT_REST, RecordField.ZERO_WATER, RecordField.BLANK,
            RecordField.WARM_UP, RecordField.FINEST, RecordField.COARSEST, RecordField.RETENTION,
            RecordField.STATED_YIELD, RecordField.PUMP_ON, RecordField.PUMP_OFF, RecordField.SCALE_LAG,
            RecordField.PHASES,
            RecordField.MOMENT_NOTES,
            RecordField.TASTE, RecordField.TASTING, RecordField.LIKING, RecordField.TASTED_AS,
            RecordField.TASTED_AT, RecordField.TASTED_BLIND, RecordField.TASTER, RecordField.SERVED,
            RecordField.REPAIRS_OFF,
            RecordField.FAULT,
            RecordField.FAULT_ON_PURPOSE, RecordField.SIMULATED, RecordField.NOTE);

    private SetUp() {
    }

    /** {@return whether the entry usually stays from shot to shot} */
    public static boolean holds(RecordField field) {
        return FIELDS.contains(field);
    }

    /**
     * Something that is not as it was.
     *
     * @param key    its name in files
     * @param title  its name
     * @param unit   empty when it has none
     * @param before its text
     * @param now    likewise
     */
    public record Changed(String key, String title, String unit, String before, String now) {
    }

    /**
     * {@return what was otherwise than for the shot before: every entry that says what was done, the user's own among
     * them, and dose
     * and beverage as they came out} Where one of them does not say, nothing is known to have changed.
     */
    public static List<Changed> changed(ShotRecord before, Masses massesBefore, ShotRecord now, Masses masses) {
        List<Changed> changed = new ArrayList<>();
        for (RecordField field : RecordField.values()) {
            if (field == RecordField.BEVERAGE) {
                beverage(massesBefore, masses).ifPresent(changed::add);
            } else if (!SILENT.contains(field) && before.has(field) && now.has(field) && differs(field, before, now)) {
                changed.add(new Changed(field.key(), field.title(), field.unit(), before.entry(field).orElseThrow(),
                        now.entry(field).orElseThrow()));
            }
        }
        age(before, now).ifPresent(changed::add);
        addOwn(before, now, changed);
        return changed;
    }

    private static void addOwn(ShotRecord before, ShotRecord now, List<Changed> changed) {
        before.extras().forEach((key, text) -> {
            String other = now.extras().get(key);
            if (other != null && !other.equals(text) && !OwnFactor.identifies(key, List.of())) {
                changed.add(new Changed(key, key, "", text, other));
            }
        });
    }

    /** A coffee that has grown older is not what it was. Of another coffee its own age is no change besides. */
    private static Optional<Changed> age(ShotRecord before, ShotRecord now) {
        OptionalDouble then = before.ageDays();
        OptionalDouble today = now.ageDays();
        boolean same = before.entry(RecordField.COFFEE).equals(now.entry(RecordField.COFFEE));
        if (!same || then.isEmpty() || today.isEmpty()
                || Math.abs(today.getAsDouble() - then.getAsDouble()) <= Tolerances.AGE_DAYS) {
            return Optional.empty();
        }
        return Optional.of(new Changed("age_d", "Age", "d", Reported.fixed(then.getAsDouble(), 0),
                Reported.fixed(today.getAsDouble(), 0)));
    }

    private static Optional<Changed> beverage(Masses before, Masses now) {
        if (before.beverage().isEmpty() || now.beverage().isEmpty()
                || Math.abs(before.beverage().get().value() - now.beverage().get().value())
                        <= Tolerances.of(RecordField.BEVERAGE) + 1e-9) {
            return Optional.empty();
        }
        return Optional.of(new Changed(RecordField.BEVERAGE.key(), RecordField.BEVERAGE.title(), "g",
                Reported.fixed(before.beverage().get().value(), 1), Reported.fixed(now.beverage().get().value(), 1)));
    }

    private static boolean differs(RecordField field, ShotRecord before, ShotRecord now) {
        double tolerance = Tolerances.of(field);
        return field.kind() == FieldKind.NUMBER && tolerance > 0
                ? Math.abs(before.number(field).orElseThrow() - now.number(field).orElseThrow()) > tolerance + 1e-9
                : !before.entry(field).equals(now.entry(field));
    }

    /** {@return the edits that take over from another record what this one leaves open, of what usually stays} */
    public static List<RecordEdit> takenOver(ShotRecord from, ShotRecord to) {
        List<RecordEdit> edits = new ArrayList<>();
        for (RecordField field : FIELDS) {
            if (from.has(field) && !to.has(field)) {
                edits.add(new RecordEdit(field.key(), "", from.entry(field).orElseThrow()));
            }
        }
        return edits;
    }
}
