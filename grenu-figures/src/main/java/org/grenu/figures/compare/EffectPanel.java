package org.grenu.figures.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.response.Variable;

/**
 * What each change did to each response: a row a change, a column a response.
 *
 * @param columns left to right
 * @param rows    top to bottom
 */
public record EffectPanel(List<Column> columns, List<Row> rows) {

    /** Height of the headings, of a row and of the foot, px. */
    public static final double HEAD = 54;
    public static final double ROW = 76;
    public static final double FOOT = 26;
    private static final double MOST_MARGINS = 8;

    /**
     * A response.
     *
     * @param margin half of the zone in which a difference makes none in practice
     * @param range  shown to either side of nought
     */
    public record Column(ResponseAnswer answer, double margin, double range) {
    }

    /**
     * A change.
     *
     * @param title  of the variable
     * @param change in words
     * @param cells  an effect a column; empty where there is none
     */
    public record Row(String title, String change, List<Optional<Effect>> cells) {

        public Row {
            cells = List.copyOf(cells);
        }
    }

    public EffectPanel {
        columns = List.copyOf(columns);
        rows = List.copyOf(rows);
    }

    /** {@return the panel of that comparison} */
    public static EffectPanel of(Comparison comparison) {
        List<Row> rows = new ArrayList<>();
        List<Variable> variables = comparison.answers()
                .stream()
                .flatMap(answer -> answer.effects().stream())
                .map(Effect::variable)
                .distinct()
                .toList();
        for (Variable variable : variables) {
            List<Effect> changes = new ArrayList<>();
            comparison.answers()
                    .stream()
                    .flatMap(answer -> answer.effects(variable).stream())
                    .filter(effect -> changes.stream().noneMatch(effect::sameChange))
                    .forEach(changes::add);
            for (Effect change : changes) {
                rows.add(new Row(variable.title(), change.words(), comparison.answers()
                        .stream()
                        .map(answer -> answer.effects(variable).stream().filter(change::sameChange).findFirst())
                        .toList()));
            }
        }
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < comparison.answers().size(); i++) {
            int column = i;
            ResponseAnswer answer = comparison.answers().get(i);
            double reach = rows.stream()
                    .flatMap(row -> row.cells().get(column).stream())
                    .filter(effect -> effect.estimate().isPresent())
                    .mapToDouble(effect -> reach(effect, answer.margin()))
                    .max()
                    .orElse(1);
            columns.add(new Column(answer, answer.margin(), Math.max(reach, 1.5 * answer.margin()) * 1.08));
        }
        return new EffectPanel(columns, rows);
    }

    /** Far reaches are cut, so that one wild interval does not press the others flat. */
    private static double reach(Effect effect, double margin) {
        double value = Math.abs(effect.estimate().orElseThrow().value());
        double wide = Double.isFinite(effect.halfWidth()) ? effect.halfWidth() : 0;
        return Math.min(value + wide, Math.max(value * 1.3, margin > 0 ? MOST_MARGINS * margin : value + wide));
    }

    /** {@return the height the panel needs, px} */
    public double height() {
        return HEAD + ROW * rows.size() + FOOT;
    }
}
