package org.grenu.figures.read;

import java.util.List;

/**
 * Where everything lies in a figure of that size: gutter with names at the left, margin for readings at the right,
 * the
 * ribbon of phases and labels of moments above, the axis below.
 */
public final class StripLayout {

    static final double GUTTER = 92;
    static final double READING_MARGIN = 78;
    /** Height of the ribbon of phases. */
    static final double RIBBON = 62;
    /** Room for the labels of moments. */
    static final double LABELS = 36;
    static final double FOOT = 34;
    static final double GAP = 13;

    private final double width;
    private final double height;
    private final AxisRange view;
    private final List<Strip> strips;
    private final double[] tops;
    private final double[] heights;
    private final double head;

    /** The layout of that figure over that stretch of its axis. */
    public StripLayout(double width, double height, ReadFigure figure, AxisRange view) {
        this.head = (figure.phases().isEmpty() ? 0 : RIBBON) + LABELS;
        this.width = Math.max(width, GUTTER + READING_MARGIN + 40);
        this.height = Math.max(height, head + FOOT + 40);
        this.strips = figure.strips();
        this.view = view;
        this.tops = new double[strips.size()];
        this.heights = new double[strips.size()];
        place();
    }

    private void place() {
        double weights = strips.stream().mapToDouble(Strip::weight).sum();
        double room = this.height - head - FOOT - GAP * Math.max(0, strips.size() - 1);
        double y = head;
        for (int i = 0; i < tops.length; i++) {
            tops[i] = y;
            heights[i] = room * strips.get(i).weight() / weights;
            y += heights[i] + GAP;
        }
    }

    /** {@return the stretch of the axis that is shown} */
    public AxisRange view() {
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
        return head;
    }

    /** {@return the foot of the ribbon of phases; the figure's head when there is none} */
    public double ribbonBottom() {
        return head - LABELS;
    }

    /** {@return the foot of the last strip} */
    public double plotsBottom() {
        return height - FOOT;
    }

    /** {@return where that place on the axis lies} */
    public double x(double at) {
        return left() + (at - view.from()) / view.length() * (right() - left());
    }

    /** {@return the place on the axis that lies there, kept within the view} */
    public double at(double x) {
        double at = view.from() + (x - left()) / (right() - left()) * view.length();
        return Math.min(view.to(), Math.max(view.from(), at));
    }

    /** {@return where that value lies in the strip} */
    public double y(int strip, double value) {
        Strip of = strips.get(strip);
        return bottom(strip) - (value - of.low()) / (of.high() - of.low()) * heights[strip];
    }
}
