package org.grenu.figures.compare;

import org.grenu.figures.read.AxisRange;

/** Where everything lies in an overlay of that size: names at the left, fields side by side, the axis below each. */
public final class OverlayLayout {

    static final double GUTTER = 88;
    static final double BETWEEN = 26;
    static final double HEAD = 26;
    static final double FOOT = 30;
    static final double GAP = 9;
    private static final double RIGHT = 22;

    private final double width;
    private final double height;
    private final OverlayFigure figure;
    private final AxisRange view;
    private final double[] tops;
    private final double[] heights;

    /** The layout of that figure over that stretch of its axis. */
    public OverlayLayout(double width, double height, OverlayFigure figure, AxisRange view) {
        this.width = Math.max(width, GUTTER + RIGHT + 80 * figure.facets().size());
        this.height = Math.max(height, HEAD + FOOT + 60);
        this.figure = figure;
        this.view = view;
        this.tops = new double[figure.strips().size()];
        this.heights = new double[tops.length];
        place();
    }

    private void place() {
        double weights = figure.strips().stream().mapToDouble(OverlayStrip::weight).sum();
        double room = this.height - HEAD - FOOT - GAP * (tops.length - 1);
        double y = HEAD;
        for (int i = 0; i < tops.length; i++) {
            tops[i] = y;
            heights[i] = room * figure.strips().get(i).weight() / weights;
            y += heights[i] + GAP;
        }
    }

    /** {@return the figure laid out} */
    public OverlayFigure figure() {
        return figure;
    }

    /** {@return the stretch of the axis that is shown} */
    public AxisRange view() {
        return view;
    }

    /** {@return the left end of a field} */
    public double left(int facet) {
        return GUTTER + facet * (fieldWidth() + BETWEEN);
    }

    /** {@return the right end of a field} */
    public double right(int facet) {
        return left(facet) + fieldWidth();
    }

    private double fieldWidth() {
        int fields = figure.facets().size();
        return (width - GUTTER - RIGHT - BETWEEN * (fields - 1)) / fields;
    }

    /** {@return the head of a strip} */
    public double top(int strip) {
        return tops[strip];
    }

    /** {@return the foot of a strip} */
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

    /** {@return the right end of the figure} */
    public double width() {
        return width;
    }

    /** {@return where that place on the axis lies in a field} */
    public double x(int facet, double at) {
        return left(facet) + (at - view.from()) / view.length() * fieldWidth();
    }

    /** {@return the field that holds that x, or the nearest} */
    public int facetAt(double x) {
        int facet = (int) Math.floor((x - GUTTER) / (fieldWidth() + BETWEEN));
        return Math.max(0, Math.min(figure.facets().size() - 1, facet));
    }

    /** {@return the place on the axis that lies at that x, kept within the view} */
    public double at(double x) {
        int facet = facetAt(x);
        double at = view.from() + (x - left(facet)) / fieldWidth() * view.length();
        return Math.min(view.to(), Math.max(view.from(), at));
    }

    /** {@return where that value lies in the strip} */
    public double y(int strip, double value) {
        OverlayStrip of = figure.strips().get(strip);
        return bottom(strip) - (value - of.low()) / (of.high() - of.low()) * heights[strip];
    }
}
