package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfField;
import org.grenu.figures.theme.Theme;

/**
 * A study: its question, and how many shots each of its arms has on each day.
 *
 * @param question may be empty
 * @param days     on which shots were pulled, in order
 * @param arms     shots by arm, as many as there are days
 */
public record StudyFigure(String question, List<String> days, Map<String, int[]> arms) implements ShelfFigure {

    public StudyFigure {
        days = List.copyOf(days);
    }

    static StudyFigure of(Standing study) {
        Map<String, Map<String, Integer>> counts = new TreeMap<>();
        TreeMap<String, Integer> days = new TreeMap<>();
        count(study, counts, days);
        study.entries()
                .rows(ShelfField.ARMS)
                .forEach(row -> row.words(0).ifPresent(arm -> counts.putIfAbsent(arm, Map.of())));
        Map<String, int[]> arms = new LinkedHashMap<>();
        counts.forEach((arm, byDay) -> arms.put(arm,
                days.keySet().stream().mapToInt(day -> byDay.getOrDefault(day, 0)).toArray()));
        return new StudyFigure(study.words(ShelfField.QUESTION), List.copyOf(days.keySet()), arms);
    }

    private static void count(Standing study, Map<String, Map<String, Integer>> counts, Map<String, Integer> days) {
        String name = study.item().name();
        for (ShotRecord record : study.used()) {
            String day = record.pulledAt().map(moment -> moment.toLocalDate().toString()).orElse("unknown");
            days.merge(day, 1, Integer::sum);
            counts.computeIfAbsent(record.armIn(name).orElse("no arm named"), key -> new TreeMap<>())
                    .merge(day, 1, Integer::sum);
        }
    }

    @Override
    public double height() {
        return 46 + 20.0 * Math.max(1, arms.size());
    }

    @Override
    public String words() {
        return question + " " + arms.size() + " arms over " + days.size() + " days";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        ThingPictures.study(new Sketch(g, theme), this, width);
    }
}
