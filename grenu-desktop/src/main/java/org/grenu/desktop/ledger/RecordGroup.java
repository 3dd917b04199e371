package org.grenu.desktop.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.grenu.core.quantity.Title;
import org.grenu.core.study.SheetField;
import org.grenu.desktop.desk.OpenShot;

/** Entries of the record that belong together. All but the usual ones stand folded as what is known of them. */
enum RecordGroup {
    USUAL("Usual entries", SheetField.COFFEE, SheetField.BAG, SheetField.GRINDER, SheetField.GRIND,
            SheetField.TEMPERATURE, SheetField.PROFILE, SheetField.MACHINE,
            SheetField.BASKET, SheetField.WATER, SheetField.TASTE, SheetField.NOTE),
    STUDY("Study", SheetField.STUDY, SheetField.ARM, SheetField.BLOCK, SheetField.ORDER_DRAWN, SheetField.OPERATOR,
            SheetField.PULLED_AT, SheetField.RECIPE,
            SheetField.FAULT, SheetField.FAULT_ON_PURPOSE),
    BEANS("Beans and grounds", SheetField.ROASTED_ON, SheetField.FROZEN_DAYS, SheetField.PURGE,
            SheetField.BEANS_TREATMENT,
            SheetField.BEANS_TEMPERATURE, SheetField.GROUNDS_TREATMENT, SheetField.GROUNDS_TEMPERATURE,
            SheetField.GRIND_TO_BREW, SheetField.PREPARATION),
    MEANT("What was meant", SheetField.PROFILE_STEPS, SheetField.DOSE_TARGET, SheetField.BEVERAGE_TARGET),
    PLACE("Machine and place", SheetField.MACHINE_VERSION, SheetField.TEMPERATURE_PLACE, SheetField.MINUTES_ON,
            SheetField.FIRST_OF_SESSION,
            SheetField.FLUSH, SheetField.DWELL, SheetField.BASKET_CAPACITY, SheetField.BED_DIAMETER,
            SheetField.BED_DEPTH, SheetField.SITE, SheetField.ALTITUDE),
    SHELF("As the shelf tells it", SheetField.ROAST_LEVEL, SheetField.PROCESS, SheetField.COLOUR_WHOLE,
            SheetField.COLOUR_GROUND, SheetField.DENSITY, SheetField.BURRS,
            SheetField.HARDNESS, SheetField.ALKALINITY, SheetField.BASKET_FROM, SheetField.BASKET_TO),
    LOG("What the log is told", SheetField.SCALE, SheetField.PUMP_ON, SheetField.PUMP_OFF, SheetField.SCALE_LAG,
            SheetField.PHASES,
            SheetField.MOMENT_NOTES);

    /** Their values say by themselves what they are. */
    private static final Set<SheetField> PLAIN = Set.of(SheetField.STUDY, SheetField.OPERATOR, SheetField.PULLED_AT,
            SheetField.SITE, SheetField.PROFILE_STEPS,
            SheetField.PREPARATION);
    private static final int LONGEST = 34;

    private final String title;
    private final List<SheetField> fields;

    RecordGroup(String title, SheetField... fields) {
        this.title = title;
        this.fields = List.of(fields);
    }

    String title() {
        return title;
    }

    List<SheetField> fields() {
        return fields;
    }

    /** {@return what is known of these entries in a line, also what coffee and gear tell, and how many are not} */
    String summary(OpenShot shot) {
        List<String> parts = new ArrayList<>();
        int unknown = 0;
        for (SheetField field : fields) {
            String written = LedgerText.shown(shot, field);
            String value = written.isEmpty() ? LedgerText.told(shot, field) : written;
            if (value.isEmpty()) {
                unknown++;
            } else {
                parts.add(words(field, value));
            }
        }
        if (unknown > 0) {
            parts.add(parts.isEmpty() ? "nothing known" : unknown + " unknown");
        }
        return String.join(" · ", parts);
    }

    private static String words(SheetField field, String value) {
        String shortened = value.length() > LONGEST ? value.substring(0, LONGEST - 1).strip() + "…" : value;
        String unit = field.unit().isEmpty() ? "" : " " + field.unit();
        return PLAIN.contains(field) ? shortened : Title.inSentence(field.title()) + " " + shortened + unit;
    }
}
