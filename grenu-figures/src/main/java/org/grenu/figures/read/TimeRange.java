package org.grenu.figures.read;

/** A stretch of the time axis, s; {@code from} lies before {@code to}. */
public record TimeRange(double from, double to) {

    private static final double SHORTEST = 0.5;

    /** @throws IllegalArgumentException if the range is empty */
    public TimeRange {
        if (!(from < to)) {
            throw new IllegalArgumentException("a time range must run forward, is " + from + " to " + to);
        }
    }

    /** {@return its length, s} */
    public double length() {
        return to - from;
    }

    /** {@return the range zoomed about a moment: a factor below 1 shows less, kept within the whole} */
    public TimeRange zoomed(double about, double factor, TimeRange whole) {
        double length = Math.min(whole.length(), Math.max(Math.min(SHORTEST, whole.length()), length() * factor));
        double start = about - (about - from) * length / length();
        return new TimeRange(start, start + length).within(whole);
    }

    /** {@return the range moved along, kept within the whole} */
    public TimeRange moved(double seconds, TimeRange whole) {
        return new TimeRange(from + seconds, to + seconds).within(whole);
    }

    private TimeRange within(TimeRange whole) {
        if (length() >= whole.length()) {
            return whole;
        }
        double start = Math.min(Math.max(from, whole.from), whole.to - length());
        return new TimeRange(start, start + length());
    }
}
