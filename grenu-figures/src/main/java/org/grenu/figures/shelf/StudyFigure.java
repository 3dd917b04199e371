package org.grenu.figures.shelf;

import java.util.List;
import java.util.Map;

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

    @Override
    public double height() {
        return 46 + 20.0 * Math.max(1, arms.size());
    }

    @Override
    public String words() {
        return question + " " + arms.size() + " arms over " + days.size() + " days";
    }
}
