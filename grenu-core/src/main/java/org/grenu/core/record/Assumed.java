package org.grenu.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Title;
import org.grenu.core.strength.Refractometer;

/**
 * A number that nobody wrote down and that an uncertainty rests on.
 *
 * @param field the entry that would replace it
 * @param value in the entry's unit
 */
public record Assumed(RecordField field, double value) {

    /** {@return what the uncertainty of that shot's extraction yield rests on and is not written down} */
    public static List<Assumed> in(ShotRecord record) {
        List<Assumed> assumed = new ArrayList<>();
        if (record.has(RecordField.DOSE) || record.has(RecordField.BEVERAGE)) {
            add(assumed, record, RecordField.SCALE_RESOLUTION, ShotRecord.USUAL_SCALE_RESOLUTION);
            add(assumed, record, RecordField.SCALE_BIAS, 0);
        }
        if (record.has(RecordField.READINGS)) {
            add(assumed, record, RecordField.REFRACTOMETER_RESOLUTION, Refractometer.USUAL.resolution());
            add(assumed, record, RecordField.REFRACTOMETER_REPEATABILITY, Refractometer.USUAL.repeatability());
            add(assumed, record, RecordField.REFRACTOMETER_BIAS, Refractometer.USUAL.bias());
        }
        if (record.has(RecordField.MOISTURE)) {
            add(assumed, record, RecordField.MOISTURE_U, ShotRecord.USUAL_MOISTURE_U);
        }
        return List.copyOf(assumed);
    }

    private static void add(List<Assumed> assumed, ShotRecord record, RecordField field, double value) {
        if (!record.has(field)) {
            assumed.add(new Assumed(field, value));
        }
    }

    /** {@return {@code scale display step 0.1 g}} */
    public String words() {
        String number = value == 0 ? "none" : DecimalText.exact(value) + " " + field.unit();
        return Title.inSentence(field.title()) + " " + number.strip();
    }

    /** {@return all of them in a sentence; empty when nothing is assumed} */
    public static String words(List<Assumed> assumed) {
        return assumed.isEmpty() ? ""
                : "Assumed, since not written down: "
                        + assumed.stream().map(Assumed::words).collect(Collectors.joining(", ")) + ".";
    }
}
