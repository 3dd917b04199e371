package org.grenu.figures.read;

import java.util.List;

/**
 * Where everything lies in a figure of that size: gutter with names at the left, margin for readings at the right,
 * labels of moments above, time axis below.
 */
public final class StripLayout {

    static final double GUTTER = 92;
    static final double READING_MARGIN = 78;
    static final double HEAD = 40;
    static final double FOOT = 34;
    static final double GAP = 13;

    private final double width;
    private final double height;
    private final TimeRange view;
    private final List<Strip> strips;
    private final double[] tops;
    private final double[] heights;

    /** The layout of those strips over that stretch of time. */
    public StripLayout(double width, double height, List<Strip> strips, TimeRange view) {
        this.width = Math.max(width, GUTTER + READING_MARGIN + 40);
        this.height = Math.max(height, HEAD + FOOT + 40);
        this.strips = List.copyOf(strips);
        this.view = view;
        this.tops = new double[strips.size()];
        this.heights = new double[strips.size()];
        double weights = strips.stream().mapToDouble(Strip::weight).sum();
        double room = this.height - HEAD - FOOT - GAP * Math.max(0, strips.size() - 1);
        double y = HEAD;
        for (int i = 0; i < tops.length; i++) {
            tops[i] = y;
            heights[i] = room * strips.get(i).weight() / weights;
            y += heights[i] + GAP;
        }
    }

    /** {@return the stretch of time that is shown} */
    public TimeRange view() {
        return view;
    }

    /** {@return the strips, top to bottom} */
    public List<Strip> strips() {
        return strips;
    }

    /** {@return the left end of the plots} */
    public double left() {
        return GUTTER;
    }

    /** {@return the right end of the plots} */
    public double right() {
        return width - READING_MARGIN;
    }

    /** {@return the right end of the figure} */
    public double width() {
        return width;
    }

    /** {@return the head of the strip} */
    public double top(int strip) {
        return tops[strip];
    }

    /** {@return the foot of the strip} */
    public double bottom(int strip) {
        return tops[strip] + heights[strip];
    }

    /** {@return the head of the first strip} */
    public double plotsTop() {
        return HEAD;
    }

    /** {@return the foot of the last strip} */
    public double plotsBottom() {
        return height - FOOT;
    }

    /** {@return where that moment lies} */
    public double x(double seconds) {
        return left() + (seconds - view.from()) / view.length() * (right() - left());
    }

    /** {@return the moment that lies there, kept within the view} */
    public double seconds(double x) {
        double seconds = view.from() + (x - left()) / (right() - left()) * view.length();
        return Math.min(view.to(), Math.max(view.from(), seconds));
    }

    /** {@return where that value lies in the strip} */
    public double y(int strip, double value) {
        Strip of = strips.get(strip);
        return bottom(strip) - (value - of.low()) / (of.high() - of.low()) * heights[strip];
    }
}
