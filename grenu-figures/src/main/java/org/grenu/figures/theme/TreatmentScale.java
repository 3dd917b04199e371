package org.grenu.figures.theme;

import java.awt.Color;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.grenu.core.record.Factor;
import org.grenu.core.record.ShotRecord;

/**
 * The colour of each level of the factor by which a study is coloured. Numeric factors take the sequential palette,
 * up
 * to nine levels evenly by rank and more by value; named factors take the categorical one. A level keeps its colour
 * wherever it is shown.
 */
public final class TreatmentScale {

    private static final int SEAMS = 5;
    private static final int CHIPS = 6;
    /** With more, neighbours could not be told apart by rank either; then the value says more. */
    private static final int BY_RANK = 9;

    private final Factor factor;
    private final List<String> levels;
    private final Map<String, Integer> ranks = new HashMap<>();

    private TreatmentScale(Factor factor, List<String> levels) {
        this.factor = factor;
        this.levels = List.copyOf(levels);
        levels.forEach(level -> ranks.put(level, ranks.size()));
    }

    /** {@return the scale for that factor over the study's shots} */
    public static TreatmentScale of(Factor factor, List<ShotRecord> study) {
        Set<String> found = new HashSet<>();
        study.forEach(record -> factor.level(record).ifPresent(found::add));
        List<String> levels = new ArrayList<>(found);
        levels.sort(factor.numeric() ? Comparator.comparingDouble(Double::parseDouble) : Comparator.naturalOrder());
        return new TreatmentScale(factor, levels);
    }

    /** {@return the factor} */
    public Factor factor() {
        return factor;
    }

    /** {@return its levels in the study, in order} */
    public List<String> levels() {
        return levels;
    }

    /** {@return at most so many levels, spread evenly from the first to the last} */
    public List<String> levels(int most) {
        return levels.size() <= most ? levels
                : IntStream.range(0, most)
                        .mapToObj(i -> levels.get((int) Math.round(i * (levels.size() - 1.0) / (most - 1))))
                        .toList();
    }

    /** {@return the shot's colour; a shot whose level is unknown is muted} */
    public Color color(ShotRecord record, Theme theme) {
        Optional<String> level = factor.level(record);
        return level.isEmpty() ? theme.color("muted") : color(level.get(), theme);
    }

    /** {@return the level's colour} */
    public Color color(String level, Theme theme) {
        int rank = ranks.getOrDefault(level, -1);
        if (rank < 0) {
            return theme.color("muted");
        }
        if (!factor.numeric()) {
            return rank < CHIPS ? theme.color("chip-" + (rank + 1)) : theme.color("muted");
        }
        return seam(position(level, rank), theme);
    }

    private double position(String level, int rank) {
        double position = levels.size() == 1 ? 0.5 : rank / (levels.size() - 1.0);
        if (levels.size() > BY_RANK) {
            double low = Double.parseDouble(levels.get(0));
            double high = Double.parseDouble(levels.get(levels.size() - 1));
            position = (Double.parseDouble(level) - low) / (high - low);
        }
        return position;
    }

    private static Color seam(double position, Theme theme) {
        double along = position * (SEAMS - 1);
        int left = Math.min(SEAMS - 2, (int) along);
        return LabColor.between(theme.color("seam-" + (left + 1)), theme.color("seam-" + (left + 2)), along - left);
    }
}
