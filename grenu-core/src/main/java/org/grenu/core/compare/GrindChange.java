package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.RunOrder;
import org.grenu.core.record.RecordField;

/** Shots that may hold grounds of the setting before theirs. */
final class GrindChange {

    private static final double LEAST_PURGE_GRAMS = 1;

    private GrindChange() {
    }

    /**
     * {@return the shots pulled right after a change of the grind on the same grinder and day without a purge of a
     * gram}
     */
    static List<MeasuredShot> withoutPurge(List<MeasuredShot> shots) {
        List<MeasuredShot> found = new ArrayList<>();
        Map<String, OptionalDouble> last = new LinkedHashMap<>();
        for (MeasuredShot shot : RunOrder.inOrder(shots)) {
            String grinder = RunOrder.session(shot) + shot.record().text(RecordField.GRINDER).orElse("");
            OptionalDouble grind = shot.record().number(RecordField.GRIND);
            OptionalDouble purge = shot.record().number(RecordField.PURGE);
            OptionalDouble before = last.put(grinder, grind);
            boolean changed = before != null && before.isPresent() && grind.isPresent()
                    && before.getAsDouble() != grind.getAsDouble();
            if (changed && purge.isPresent() && purge.getAsDouble() < LEAST_PURGE_GRAMS) {
                found.add(shot);
            }
        }
        return found;
    }
}
