package org.grenu.core.study;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.Reported;

/** The entries that usually stay from one shot to the next: what was set up, not what came of it. */
public final class SetUp {

    private static final Set<SheetField> FIELDS = Collections
            .unmodifiableSet(EnumSet.of(SheetField.STUDY, SheetField.RECIPE, SheetField.SITE, SheetField.OPERATOR,
                    SheetField.COFFEE, SheetField.BAG, SheetField.ROASTED_ON, SheetField.BEANS_TREATMENT,
                    SheetField.GRINDER, SheetField.GRIND, SheetField.PURGE,
                    SheetField.GROUNDS_TREATMENT, SheetField.PREPARATION, SheetField.FLUSH, SheetField.TEMPERATURE,
                    SheetField.TEMPERATURE_PLACE, SheetField.PROFILE,
                    SheetField.PROFILE_STEPS, SheetField.MACHINE, SheetField.MACHINE_VERSION, SheetField.WATER,
                    SheetField.BASKET, SheetField.BASKET_CAPACITY,
                    SheetField.BED_DIAMETER, SheetField.BED_DEPTH, SheetField.ALTITUDE, SheetField.DOSE_TARGET,
                    SheetField.BEVERAGE_TARGET, SheetField.MOISTURE,
                    SheetField.MOISTURE_U, SheetField.REFRACTOMETER, SheetField.REFRACTOMETER_RESOLUTION,
                    SheetField.REFRACTOMETER_REPEATABILITY,
                    SheetField.REFRACTOMETER_BIAS, SheetField.REFRACTOMETER_READS, SheetField.REFRACTOMETER_LINE,
                    SheetField.SAMPLE_FILTERED, SheetField.SCALE,
                    SheetField.SCALE_RESOLUTION, SheetField.SCALE_BIAS));

    /**
     * Entries that name or count the shot, that came of it, or that follow from others: a change of them is no
     * change of what was done.
     */
    private static final Set<SheetField> SILENT = EnumSet.of(SheetField.STUDY, SheetField.ARM, SheetField.BLOCK,
            SheetField.ORDER_DRAWN, SheetField.NAME, SheetField.PULLED_AT,
            SheetField.RECIPE, SheetField.ROASTED_ON, SheetField.PROFILE_STEPS, SheetField.BASKET_CAPACITY,
            SheetField.BASKET_FROM, SheetField.BASKET_TO, SheetField.BED_DIAMETER,
            SheetField.BED_DEPTH, SheetField.MOISTURE, SheetField.MOISTURE_U, SheetField.ROAST_LEVEL,
            SheetField.PROCESS, SheetField.COLOUR_WHOLE, SheetField.COLOUR_GROUND,
            SheetField.DENSITY, SheetField.BURRS, SheetField.HARDNESS, SheetField.ALKALINITY, SheetField.ALTITUDE,
            SheetField.READINGS, SheetField.ZERO,
            SheetField.DILUTION_BEVERAGE, SheetField.DILUTION_WATER, SheetField.REFRACTOMETER_RESOLUTION,
            SheetField.REFRACTOMETER_REPEATABILITY, SheetField.REFRACTOMETER_BIAS,
            SheetField.REFRACTOMETER_READS, SheetField.REFRACTOMETER_LINE, SheetField.COMPENSATED_FROM,
            SheetField.COMPENSATED_TO, SheetField.SCALE_RESOLUTION, SheetField.SCALE_BIAS,
            SheetField.PUMP_ON, SheetField.PUMP_OFF, SheetField.SCALE_LAG, SheetField.PHASES, SheetField.MOMENT_NOTES,
            SheetField.TASTE, SheetField.REPAIRS_OFF, SheetField.FAULT,
            SheetField.FAULT_ON_PURPOSE, SheetField.SIMULATED, SheetField.NOTE);

    private SetUp() {
    }

    /** {@return whether the entry usually stays from shot to shot} */
    public static boolean holds(SheetField field) {
        return FIELDS.contains(field);
    }

    /**
     * Something that is not as it was.
     *
     * @param title  its name
     * @param unit   empty when it has none
     * @param before its text
     * @param now    likewise
     */
    public record Changed(String title, String unit, String before, String now) {
    }

    /**
     * {@return what was otherwise than for the shot before: every entry that says what was done, the user's own among
     * them, and dose
     * and beverage as they came out} Where one of them does not say, nothing is known to have changed.
     */
    public static List<Changed> changed(ShotSheet before, Masses massesBefore, ShotSheet now, Masses masses) {
        List<Changed> changed = new ArrayList<>();
        for (SheetField field : SheetField.values()) {
            if (field == SheetField.BEVERAGE) {
                beverage(massesBefore, masses).ifPresent(changed::add);
            } else if (!SILENT.contains(field) && before.has(field) && now.has(field) && differs(field, before, now)) {
                changed.add(new Changed(field.title(), field.unit(), before.entry(field).orElseThrow(),
                        now.entry(field).orElseThrow()));
            }
        }
        before.extras().forEach((key, text) -> {
            String other = now.extras().get(key);
            if (other != null && !other.equals(text) && !OwnFactor.identifies(key, List.of())) {
                changed.add(new Changed(key, "", text, other));
            }
        });
        return changed;
    }

    private static Optional<Changed> beverage(Masses before, Masses now) {
        if (before.beverage().isEmpty() || now.beverage().isEmpty()
                || Math.abs(before.beverage().get().value() - now.beverage().get().value())
                        <= Tolerances.of(SheetField.BEVERAGE) + 1e-9) {
            return Optional.empty();
        }
        return Optional.of(new Changed(SheetField.BEVERAGE.title(), "g",
                Reported.fixed(before.beverage().get().value(), 1), Reported.fixed(now.beverage().get().value(), 1)));
    }

    private static boolean differs(SheetField field, ShotSheet before, ShotSheet now) {
        double tolerance = Tolerances.of(field);
        return field.kind() == FieldKind.NUMBER && tolerance > 0
                ? Math.abs(before.number(field).orElseThrow() - now.number(field).orElseThrow()) > tolerance + 1e-9
                : !before.entry(field).equals(now.entry(field));
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
