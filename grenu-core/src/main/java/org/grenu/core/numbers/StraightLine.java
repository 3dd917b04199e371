package org.grenu.core.numbers;

/** A least-squares line, gathered point by point. Points without a finite y are passed over. */
public final class StraightLine {

    private double n;
    private double sx;
    private double sy;
    private double sxx;
    private double sxy;
    private double syy;

    /** Without a point. */
    public StraightLine() {
    }

    /** With the points of another. */
    public StraightLine(StraightLine other) {
        n = other.n;
        sx = other.sx;
        sy = other.sy;
        sxx = other.sxx;
        sxy = other.sxy;
        syy = other.syy;
    }

    /** One more point. */
    public void add(double x, double y) {
        if (Double.isFinite(y)) {
            n++;
            sx += x;
            sy += y;
            sxx += x * x;
            sxy += x * y;
            syy += y * y;
        }
    }

    /** More points by their number and sums. */
    public void addSums(double count, double x, double y, double xx, double xy, double yy) {
        n += count;
        sx += x;
        sy += y;
        sxx += xx;
        sxy += xy;
        syy += yy;
    }

    /** {@return how many points there are} */
    public double count() {
        return n;
    }

    /** {@return the mean of x; NaN without a point} */
    public double meanX() {
        return sx / n;
    }

    /** {@return the mean of y, which is the line's height at the mean of x; NaN without a point} */
    public double meanY() {
        return sy / n;
    }

    /** {@return Σ(x − mean)²} */
    public double spread() {
        return sxx - sx * sx / n;
    }

    /** {@return the slope, y per x; not finite where all x are the same} */
    public double slope() {
        return (sxy - sx * sy / n) / spread();
    }

    /** {@return the sum of squares about the line} */
    public double residuals() {
        return Math.max(0, syy - sy * sy / n - slope() * (sxy - sx * sy / n));
    }
}
