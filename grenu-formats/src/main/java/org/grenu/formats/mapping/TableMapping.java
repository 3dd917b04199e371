package org.grenu.formats.mapping;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a foreign log is read.
 *
 * @param name    whose log it is, in the user's words
 * @param shape   where the table is
 * @param columns a rule for each column that is known
 * @param rate    samples per second, where there is no time column
 * @param split   where shots begin
 */
public record TableMapping(String name, TableShape shape, List<ColumnRule> columns, OptionalDouble rate,
        ShotSplit split) {

    public TableMapping {
        columns = List.copyOf(columns);
    }

    /** {@return the rule of the first column with that role} */
    public Optional<ColumnRule> find(ColumnRole role) {
        return columns.stream().filter(rule -> rule.role().equals(role)).findFirst();
    }

    /** {@return whether a table with those headings can be read by it: every column that it reads is there} */
    public boolean fits(List<String> headings) {
        List<ColumnRule> read = columns.stream().filter(rule -> !(rule.role() instanceof ColumnRole.NotRead)).toList();
        return !read.isEmpty()
                && read.stream().allMatch(rule -> headings.stream().anyMatch(rule.column()::equalsIgnoreCase));
    }

    /** {@return this mapping with another rule for that column} */
    public TableMapping with(ColumnRule rule) {
        List<ColumnRule> rules = new ArrayList<>(columns);
        rules.replaceAll(old -> old.column().equals(rule.column()) ? rule : old);
        if (rules.stream().noneMatch(old -> old.column().equals(rule.column()))) {
            rules.add(rule);
        }
        return new TableMapping(name, shape, rules, rate, split);
    }

    /** {@return this mapping with another split} */
    public TableMapping with(ShotSplit other) {
        return new TableMapping(name, shape, columns, rate, other);
    }

    /** {@return this mapping with another shape} */
    public TableMapping with(TableShape other) {
        return new TableMapping(name, other, columns, rate, split);
    }

    /** {@return this mapping with that rate, or none} */
    public TableMapping with(OptionalDouble other) {
        return new TableMapping(name, shape, columns, other, split);
    }

    /** {@return this mapping under another name} */
    public TableMapping named(String other) {
        return new TableMapping(other, shape, columns, rate, split);
    }
}
