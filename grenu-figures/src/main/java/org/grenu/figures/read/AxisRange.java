package org.grenu.figures.read;

/** A stretch of the axis, in its unit; {@code from} lies before {@code to}. */
public record AxisRange(double from, double to) {

    private static final double SHORTEST = 0.5;

    /** @throws IllegalArgumentException if the range is empty */
    public AxisRange {
        if (!(from < to)) {
            throw new IllegalArgumentException("a range must run forward, is " + from + " to " + to);
        }
    }

    /** {@return its length} */
    public double length() {
        return to - from;
    }

    /** {@return the range zoomed about a moment: a factor below 1 shows less, kept within the whole} */
    public AxisRange zoomed(double about, double factor, AxisRange whole) {
        double length = Math.min(whole.length(), Math.max(Math.min(SHORTEST, whole.length()), length() * factor));
        double start = about - (about - from) * length / length();
        return new AxisRange(start, start + length).within(whole);
    }

    /** {@return the range moved along, kept within the whole} */
    public AxisRange moved(double by, AxisRange whole) {
        return new AxisRange(from + by, to + by).within(whole);
    }

    private AxisRange within(AxisRange whole) {
        if (length() >= whole.length()) {
            return whole;
        }
        double start = Math.min(Math.max(from, whole.from), whole.to - length());
        return new AxisRange(start, start + length());
    }
}
