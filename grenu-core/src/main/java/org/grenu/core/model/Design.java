package org.grenu.core.model;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;

/**
 * The terms of a linear model, an intercept before them, and the columns they make.
 *
 * @param rows  number of observations
 * @param terms in their order; an interaction stands after its parts
 */
public record Design(int rows, List<Term> terms) {

    /** @throws IllegalArgumentException if a term is of other data */
    public Design {
        terms = List.copyOf(terms);
        for (Term term : terms) {
            if (term.rows() != rows) {
                throw new IllegalArgumentException(term.name() + " has " + term.rows() + " rows, the data " + rows);
            }
        }
    }

    /** {@return the number of columns, the intercept's included} */
    public int columns() {
        return 1 + terms.stream().mapToInt(term -> term.averaged().length).sum();
    }

    /** {@return first column of the term} */
    public int firstColumn(Term term) {
        int column = 1;
        for (Term other : terms) {
            if (other.equals(term)) {
                return column;
            }
            column += other.averaged().length;
        }
        throw new IllegalArgumentException(term.name() + " is not in the model");
    }

    /** {@return the model matrix, rows × columns} */
    public double[][] matrix() {
        double[][] matrix = new double[rows][columns()];
        for (int i = 0; i < rows; i++) {
            matrix[i][0] = 1;
            int column = 1;
            for (Term term : terms) {
                double[] coding = term.coding(i);
                System.arraycopy(coding, 0, matrix[i], column, coding.length);
                column += coding.length;
            }
        }
        return matrix;
    }

    /**
     * {@return the columns of an imagined observation} Terms that are not given stand at their average; interactions
     * follow from their parts.
     *
     * @param given columns by term
     */
    public double[] row(Map<Term, double[]> given) {
        return DoubleStream.concat(DoubleStream.of(1),
                terms.stream().flatMapToDouble(term -> DoubleStream.of(code(term, given)))).toArray();
    }

    private static double[] code(Term term, Map<Term, double[]> given) {
        if (given.containsKey(term)) {
            return given.get(term);
        }
        return term instanceof Term.Product product
                ? Term.Product.outer(code(product.first(), given), code(product.second(), given))
                : term.averaged();
    }

    /** {@return the combination that is the marginal mean of that level, other terms at their average} */
    public double[] mean(Term.Levels term, int level) {
        return mean(term, level, Map.of());
    }

    /** {@return the same where other terms stand at given columns rather than their average} */
    public double[] mean(Term.Levels term, int level, Map<Term, double[]> given) {
        return row(with(given, term, term.at(level)));
    }

    /**
     * {@return what one more of the number changes, other terms at their average; only its own and its
     * interactions' columns differ}
     */
    public double[] slope(Term.Numeric term) {
        return slope(term, Map.of());
    }

    /** {@return the same where other terms stand at given columns rather than their average} */
    public double[] slope(Term.Numeric term, Map<Term, double[]> given) {
        double at = term.averaged()[0];
        double[] high = row(with(given, term, new double[] {at + 0.5}));
        double[] low = row(with(given, term, new double[] {at - 0.5}));
        return difference(high, low);
    }

    private static Map<Term, double[]> with(Map<Term, double[]> given, Term term, double[] columns) {
        Map<Term, double[]> all = new HashMap<>(given);
        all.put(term, columns);
        return all;
    }

    /** {@return a less b} */
    public static double[] difference(double[] a, double[] b) {
        double[] difference = new double[a.length];
        for (int i = 0; i < a.length; i++) {
            difference[i] = a[i] - b[i];
        }
        return difference;
    }
}
