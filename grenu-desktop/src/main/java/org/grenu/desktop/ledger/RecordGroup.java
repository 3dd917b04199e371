package org.grenu.desktop.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.OpenShot;

/** Entries of the record that belong together. All but the usual ones stand folded as what is known of them. */
enum RecordGroup {
    USUAL("Usual entries", RecordField.COFFEE, RecordField.BAG, RecordField.GRINDER, RecordField.GRIND,
            RecordField.TEMPERATURE, RecordField.PROFILE, RecordField.MACHINE,
            RecordField.BASKET, RecordField.WATER, RecordField.TASTE, RecordField.NOTE),
    TASTING("Tasting", RecordField.TASTING, RecordField.LIKING, RecordField.TASTED_AS, RecordField.TASTED_AT,
            RecordField.TASTED_BLIND, RecordField.TASTER, RecordField.SERVED),
    STUDY("Study", RecordField.STUDY, RecordField.ARM, RecordField.BLOCK, RecordField.ORDER_DRAWN, RecordField.OPERATOR,
            RecordField.PULLED_AT, RecordField.RECIPE,
            RecordField.FAULT, RecordField.FAULT_ON_PURPOSE),
    BEANS("Beans and grounds", RecordField.ROASTED_ON, RecordField.FROZEN_DAYS, RecordField.PURGE,
            RecordField.BEANS_TREATMENT,
            RecordField.BEANS_TEMPERATURE, RecordField.GROUNDS_TREATMENT, RecordField.GROUNDS_TEMPERATURE,
            RecordField.GRIND_TO_BREW, RecordField.PREPARATION),
    MEANT("What was meant, and stated", RecordField.PROFILE_STEPS, RecordField.DOSE_TARGET, RecordField.BEVERAGE_TARGET,
            RecordField.STATED_YIELD),
    PLACE("Machine and place", RecordField.MACHINE_VERSION, RecordField.TEMPERATURE_PLACE, RecordField.MINUTES_ON,
            RecordField.FIRST_OF_SESSION,
            RecordField.FLUSH, RecordField.DWELL, RecordField.BASKET_CAPACITY, RecordField.BED_DIAMETER,
            RecordField.BED_DEPTH, RecordField.SITE, RecordField.ALTITUDE),
    SHELF("As the shelf tells it", RecordField.ROAST_LEVEL, RecordField.EXPECTED_NOTES, RecordField.PROCESS,
            RecordField.COLOUR_WHOLE,
            RecordField.COLOUR_GROUND, RecordField.DENSITY, RecordField.BURRS,
            RecordField.FINEST, RecordField.COARSEST, RecordField.RETENTION, RecordField.WARM_UP, RecordField.HARDNESS,
            RecordField.ALKALINITY, RecordField.BLANK, RecordField.BASKET_FROM, RecordField.BASKET_TO),
    LOG("What the log and the readings are told", RecordField.FILE, RecordField.SCALE,
            RecordField.SCALE_REPEATABILITY, RecordField.ZERO_WATER, RecordField.PRESSURE_AT_REST, RecordField.PUMP_ON,
            RecordField.PUMP_OFF,
            RecordField.SCALE_LAG,
            RecordField.PHASES,
            RecordField.MOMENT_NOTES);

    /** Their values say by themselves what they are. */
    private static final Set<RecordField> PLAIN = Set.of(RecordField.STUDY, RecordField.OPERATOR, RecordField.PULLED_AT,
            RecordField.SITE, RecordField.PROFILE_STEPS,
            RecordField.PREPARATION);
    private static final int LONGEST = 34;

    private final String title;
    private final List<RecordField> fields;

    RecordGroup(String title, RecordField... fields) {
        this.title = title;
        this.fields = List.of(fields);
    }

    String title() {
        return title;
    }

    List<RecordField> fields() {
        return fields;
    }

    /** {@return what is known of these entries in a line, also what coffee and gear tell, and how many are not} */
    String summary(OpenShot shot, DisplayUnits units) {
        List<String> parts = new ArrayList<>();
        int unknown = 0;
        for (RecordField field : fields) {
            String written = LedgerText.shown(shot, field);
            String value = written.isEmpty() ? LedgerText.told(shot, field) : written;
            if (value.isEmpty()) {
                unknown++;
            } else {
                parts.add(words(field, units.shown(field.unit(), value), units));
            }
        }
        if (unknown > 0) {
            parts.add(parts.isEmpty() ? "nothing known" : unknown + " unknown");
        }
        return String.join(" · ", parts);
    }

    private static String words(RecordField field, String value, DisplayUnits units) {
        String shortened = value.length() > LONGEST ? value.substring(0, LONGEST - 1).strip() + "…" : value;
        String unit = field.unit().isEmpty() ? "" : " " + units.symbol(field.unit());
        return PLAIN.contains(field) ? shortened : Title.inSentence(field.title()) + " " + shortened + unit;
    }
}
