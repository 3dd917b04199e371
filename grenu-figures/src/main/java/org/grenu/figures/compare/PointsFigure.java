package org.grenu.figures.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.compare.LevelMean;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.RowResidual;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.figures.paint.Ticks;

/**
 * Every shot as a point, by the level of a variable, with the levels' means: a field a response, side by side.
 *
 * @param variable whose levels lie along the fields
 * @param marks    levels of a second factor, each with a mark of its own
 * @param fields   left to right
 */
public record PointsFigure(Variable variable, List<String> marks, List<Field> fields) {

    public PointsFigure {
        marks = List.copyOf(marks);
        fields = List.copyOf(fields);
    }

    /**
     * One response.
     *
     * @param points of each shot
     * @param levels with their mean
     * @param low    value at the field's foot
     * @param high   value at its head
     * @param along  range of the variable when it is a number, else of the levels' places 0, 1, 2 …
     */
    public record Field(ResponseAnswer answer, List<Point> points, List<Level> levels, double low, double high,
            double[] along, Ticks ticks) {
    }

    /** A shot: where it lies along, its level, the level that its mark tells. */
    public record Point(RowResidual row, double at, String level, String mark) {
    }

    /** A level's place and mean. */
    public record Level(LevelMean mean, double at) {
    }

    /** {@return the figure of that variable, for those responses; marks tell the level of the second factor} */
    public static PointsFigure of(Variable variable, Optional<Factor> second, List<ResponseAnswer> answers) {
        List<Field> fields = answers.stream().flatMap(answer -> field(variable, second, answer).stream()).toList();
        return new PointsFigure(variable,
                fields.stream().flatMap(field -> field.points().stream()).map(Point::mark).distinct().sorted().toList(),
                fields);
    }

    private static Optional<Field> field(Variable variable, Optional<Factor> second, ResponseAnswer answer) {
        List<LevelMean> means = answer.means().stream().filter(mean -> mean.variable().equals(variable)).toList();
        if (means.isEmpty()) {
            return Optional.empty();
        }
        List<Level> levels = levels(variable, means);
        List<Point> points = points(variable, second, answer, means);
        double[] values = answer.rows().stream().mapToDouble(RowResidual::value).sorted().toArray();
        double margin = Math.max(1e-6, 0.08 * (values[values.length - 1] - values[0]));
        double low = values[0] - margin;
        double high = values[values.length - 1] + margin;
        double[] along = along(variable, levels);
        return Optional.of(new Field(answer, points, levels, low, high, along, Ticks.of(low, high, 4)));
    }

    private static List<Level> levels(Variable variable, List<LevelMean> means) {
        List<Level> levels = new ArrayList<>();
        for (int i = 0; i < means.size(); i++) {
            levels.add(new Level(means.get(i), variable.numeric() ? Double.parseDouble(means.get(i).level()) : i));
        }
        return levels;
    }

    private static List<Point> points(Variable variable, Optional<Factor> second, ResponseAnswer answer,
            List<LevelMean> means) {
        return answer.rows()
                .stream()
                .map(row -> new Point(row, at(variable, row, means), variable.level(row.shot()).orElse(""),
                        second.flatMap(factor -> factor.level(row.shot().record())).orElse("")))
                .toList();
    }

    private static double[] along(Variable variable, List<Level> levels) {
        double first = levels.get(0).at();
        double last = levels.get(levels.size() - 1).at();
        return variable.numeric() ? new double[] {first - 0.12 * (last - first), last + 0.12 * (last - first)}
                : new double[] {-0.5, levels.size() - 0.5};
    }

    private static double at(Variable variable, RowResidual row, List<LevelMean> means) {
        if (variable.numeric()) {
            return variable.number(row.shot()).orElseThrow();
        }
        String level = variable.level(row.shot()).orElse("");
        for (int i = 0; i < means.size(); i++) {
            if (means.get(i).level().equals(level)) {
                return i;
            }
        }
        return Double.NaN;
    }
}
