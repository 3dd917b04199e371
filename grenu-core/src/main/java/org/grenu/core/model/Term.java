package org.grenu.core.model;

import java.util.Arrays;
import java.util.List;
import org.grenu.core.numbers.Samples;

/** Something that a response may depend on, with its value in every row of the data. */
public sealed interface Term {

    /** {@return its name} */
    String name();

    /** {@return its columns in that row} */
    double[] coding(int row);

    /** {@return the number of rows} */
    int rows();

    /** {@return its columns by themselves, averaged over what it was in the data: a mean, or every level alike} */
    double[] averaged();

    /** {@return whether that term is part of this one, as a main effect is of an interaction} */
    default boolean contains(Term other) {
        return false;
    }

    /** A number, such as a grind setting: one column. */
    record Numeric(String name, Samples values) implements Term {

        @Override
        public double[] coding(int row) {
            return new double[] {values.get(row)};
        }

        @Override
        public int rows() {
            return values.size();
        }

        @Override
        public double[] averaged() {
            double sum = 0;
            for (int i = 0; i < values.size(); i++) {
                sum += values.get(i);
            }
            return new double[] {sum / values.size()};
        }
    }

    /**
     * One of several levels, such as a profile: a column for each level but the first, which the others are held
     * against.
     *
     * @param levels in their order
     * @param level  index into levels, by row
     */
    record Levels(String name, List<String> levels, List<Integer> level) implements Term {

        public Levels {
            levels = List.copyOf(levels);
            level = List.copyOf(level);
        }

        /** {@return the term with those levels by row, in the order in which they first come} */
        public static Levels of(String name, List<String> byRow) {
            List<String> levels = byRow.stream().distinct().toList();
            return new Levels(name, levels, byRow.stream().map(levels::indexOf).toList());
        }

        @Override
        public double[] coding(int row) {
            return at(level.get(row));
        }

        /** {@return the columns of that level} */
        public double[] at(int index) {
            double[] columns = new double[levels.size() - 1];
            if (index > 0) {
                columns[index - 1] = 1;
            }
            return columns;
        }

        @Override
        public int rows() {
            return level.size();
        }

        @Override
        public double[] averaged() {
            double[] columns = new double[levels.size() - 1];
            Arrays.fill(columns, 1.0 / levels.size());
            return columns;
        }
    }

    /** What two terms do together beyond what each does alone. A number times itself is its square. */
    record Product(Term first, Term second) implements Term {

        /** @throws IllegalArgumentException if the terms are of different data */
        public Product {
            if (first.rows() != second.rows()) {
                throw new IllegalArgumentException(first.name() + " and " + second.name() + " are of different data");
            }
        }

        @Override
        public String name() {
            return first.equals(second) ? first.name() + "²" : first.name() + " × " + second.name();
        }

        @Override
        public double[] coding(int row) {
            return outer(first.coding(row), second.coding(row));
        }

        @Override
        public int rows() {
            return first.rows();
        }

        @Override
        public double[] averaged() {
            return outer(first.averaged(), second.averaged());
        }

        @Override
        public boolean contains(Term other) {
            return first.equals(other) || second.equals(other) || first.contains(other) || second.contains(other);
        }

        static double[] outer(double[] a, double[] b) {
            double[] columns = new double[a.length * b.length];
            for (int i = 0; i < a.length; i++) {
                for (int j = 0; j < b.length; j++) {
                    columns[i * b.length + j] = a[i] * b[j];
                }
            }
            return columns;
        }
    }
}
