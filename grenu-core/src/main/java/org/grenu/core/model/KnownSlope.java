package org.grenu.core.model;

/**
 * What is known of a number's slope before the data: it enters the fit as one more row, slope ± deviation, weighed
 * by the rows' own spread over its deviation (H. Theil, A. S. Goldberger, Int. Econ. Rev. 2, 1961, 65–78).
 *
 * @param term      a term of the design
 * @param slope     expected, response's unit over the term's
 * @param deviation standard deviation of that, in (0, ∞)
 */
public record KnownSlope(Term.Numeric term, double slope, double deviation) {

    /** @throws IllegalArgumentException if a number is not finite, or the deviation not above zero */
    public KnownSlope {
        if (!Double.isFinite(slope) || !(deviation > 0) || Double.isInfinite(deviation)) {
            throw new IllegalArgumentException("a known slope needs a finite number and a deviation above zero");
        }
    }

    /** {@return the row of the model matrix and its response, for rows that spread by that much} */
    double[] row(Design design, double spread) {
        double[] row = new double[design.columns()];
        row[design.firstColumn(term)] = spread / deviation;
        return row;
    }

    double response(double spread) {
        return slope * spread / deviation;
    }
}
