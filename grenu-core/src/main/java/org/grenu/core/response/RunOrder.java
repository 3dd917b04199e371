package org.grenu.core.response;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.record.RecordField;

/**
 * When the compared shots were pulled with respect to each other: what drifts, such as a grinder that warms up,
 * goes with it.
 */
public final class RunOrder {

    /** Name of the order in commands. */
    public static final String KEY = "run_order";

    private RunOrder() {
    }

    /**
     * {@return the place of each shot among those, from 1, as a variable; a shot whose moment is unknown has none}
     */
    public static Variable among(List<MeasuredShot> shots) {
        Map<String, String> places = new LinkedHashMap<>();
        inOrder(shots).forEach(shot -> places.putIfAbsent(shot.name(), Integer.toString(places.size() + 1)));
        return new Variable.Placed(KEY, "Run order", true, places);
    }

    /** {@return whether each was the first of its day on its machine among those, as a variable} */
    public static Variable firstOfDay(List<MeasuredShot> shots) {
        List<MeasuredShot> first = firstOfSession(shots);
        Map<String, String> places = new LinkedHashMap<>();
        if (!first.isEmpty()) {
            inOrder(shots).forEach(shot -> places.putIfAbsent(shot.name(), first.contains(shot) ? "yes" : "no"));
        }
        return new Variable.Placed("first_of_day", "First of the day", false, places);
    }

    /**
     * {@return the shots that were the first of their day on their machine among these; none where every shot was}
     */
    public static List<MeasuredShot> firstOfSession(List<MeasuredShot> shots) {
        Map<String, MeasuredShot> first = new LinkedHashMap<>();
        List<MeasuredShot> ordered = inOrder(shots);
        ordered.forEach(shot -> first.putIfAbsent(session(shot), shot));
        return first.size() == ordered.size() ? List.of() : List.copyOf(first.values());
    }

    /** {@return those whose moment is known, the earliest first} */
    public static List<MeasuredShot> inOrder(List<MeasuredShot> shots) {
        List<MeasuredShot> ordered = new ArrayList<>(
                shots.stream().filter(shot -> shot.record().pulledAt().isPresent()).toList());
        ordered.sort(Comparator.comparing((MeasuredShot shot) -> shot.record().pulledAt().orElse(LocalDateTime.MIN)));
        return ordered;
    }

    /** {@return day and machine of the shot, which make a session} */
    public static String session(MeasuredShot shot) {
        return shot.record().pulledAt().map(moment -> moment.toLocalDate().toString()).orElse("") + " "
                + shot.record().text(RecordField.MACHINE).orElse("");
    }
}
