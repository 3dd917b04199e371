package org.grenu.core.study;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The entries that usually stay from one shot to the next: what was set up, not what came of it. */
public final class SetUp {

    private static final Set<SheetField> FIELDS = Collections.unmodifiableSet(EnumSet.of(SheetField.STUDY, SheetField.RECIPE, SheetField.SITE, SheetField.OPERATOR,
            SheetField.COFFEE, SheetField.BAG, SheetField.ROASTED_ON, SheetField.BEANS_TREATMENT, SheetField.GRINDER, SheetField.GRIND, SheetField.PURGE,
            SheetField.GROUNDS_TREATMENT, SheetField.PREPARATION, SheetField.FLUSH, SheetField.TEMPERATURE, SheetField.TEMPERATURE_PLACE, SheetField.PROFILE,
            SheetField.PROFILE_STEPS, SheetField.MACHINE, SheetField.MACHINE_VERSION, SheetField.WATER, SheetField.BASKET, SheetField.BASKET_CAPACITY,
            SheetField.BED_DIAMETER, SheetField.BED_DEPTH, SheetField.ALTITUDE, SheetField.DOSE_TARGET, SheetField.BEVERAGE_TARGET, SheetField.MOISTURE,
            SheetField.MOISTURE_U, SheetField.REFRACTOMETER, SheetField.REFRACTOMETER_RESOLUTION, SheetField.REFRACTOMETER_REPEATABILITY,
            SheetField.REFRACTOMETER_BIAS, SheetField.REFRACTOMETER_READS, SheetField.REFRACTOMETER_LINE, SheetField.SAMPLE_FILTERED, SheetField.SCALE,
            SheetField.SCALE_RESOLUTION, SheetField.SCALE_BIAS));

    /** Entries that follow from others or say nothing of the puck: a change of them is not a change of the shot. */
    private static final Set<SheetField> SILENT = EnumSet.of(SheetField.STUDY, SheetField.RECIPE, SheetField.ROASTED_ON, SheetField.PROFILE_STEPS,
            SheetField.BASKET_CAPACITY, SheetField.BED_DIAMETER, SheetField.BED_DEPTH, SheetField.MOISTURE, SheetField.MOISTURE_U, SheetField.ALTITUDE,
            SheetField.REFRACTOMETER_RESOLUTION, SheetField.REFRACTOMETER_REPEATABILITY, SheetField.REFRACTOMETER_BIAS, SheetField.REFRACTOMETER_READS,
            SheetField.REFRACTOMETER_LINE, SheetField.SCALE_RESOLUTION, SheetField.SCALE_BIAS);

    private SetUp() {
    }

    /** {@return whether the entry usually stays from shot to shot} */
    public static boolean holds(SheetField field) {
        return FIELDS.contains(field);
    }

    /**
     * An entry that is not as it was.
     *
     * @param before its text; empty when unknown
     * @param now    likewise
     */
    public record Changed(SheetField field, Optional<String> before, Optional<String> now) {
    }

    /** {@return what was set up otherwise than for the shot before} Where one of them does not say, nothing is known to have changed. */
    public static List<Changed> changed(ShotSheet before, ShotSheet now) {
        List<Changed> changed = new ArrayList<>();
        for (SheetField field : FIELDS) {
            boolean both = before.has(field) && now.has(field);
            if (both && !SILENT.contains(field) && !before.entry(field).equals(now.entry(field))) {
                changed.add(new Changed(field, before.entry(field), now.entry(field)));
            }
        }
        return changed;
    }

    /** {@return the edits that take over from another record what this one leaves open, of what usually stays} */
    public static List<SheetEdit> takenOver(ShotSheet from, ShotSheet to) {
        List<SheetEdit> edits = new ArrayList<>();
        for (SheetField field : FIELDS) {
            if (from.has(field) && !to.has(field)) {
                edits.add(new SheetEdit(field.key(), "", from.entry(field).orElseThrow()));
            }
        }
        return edits;
    }
}
