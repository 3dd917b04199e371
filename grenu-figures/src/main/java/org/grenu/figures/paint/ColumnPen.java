package org.grenu.figures.paint;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.Arrays;

/**
 * Draws a curve straight into an image's pixels. For each pixel column the lowest and highest point of the curve,
 * half
 * a line width beyond them, are filled with area coverage. It looks like a stroked line and costs a fraction of one,
 * since stroking is what makes dense curves slow.
 */
public final class ColumnPen implements CurvePen {

    private final int[] pixels;
    private final int width;
    private final int height;
    private final double scale;

    /**
     * A pen for that image.
     *
     * @param image {@link BufferedImage#TYPE_INT_ARGB_PRE}
     * @param scale pixels per unit of the figure
     */
    public ColumnPen(BufferedImage image, double scale) {
        if (image.getType() != BufferedImage.TYPE_INT_ARGB_PRE) {
            throw new IllegalArgumentException("image must be premultiplied ARGB");
        }
        this.pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        this.width = image.getWidth();
        this.height = image.getHeight();
        this.scale = scale;
    }

    @Override
    public void draw(Graphics2D g, Rectangle2D clip, double[] x, double[] y, Color color, double lineWidth) {
        int left = Math.max(0, (int) Math.floor(clip.getMinX() * scale));
        int right = Math.min(width, (int) Math.ceil(clip.getMaxX() * scale));
        Band band = new Band(Math.max(0, clip.getMinY() * scale), Math.min(height, clip.getMaxY() * scale));
        double[] low = filled(right - left, Double.POSITIVE_INFINITY);
        double[] high = filled(right - left, Double.NEGATIVE_INFINITY);
        for (int i = 1; i < x.length; i++) {
            if (Double.isFinite(y[i - 1]) && Double.isFinite(y[i])) {
                cover(low, high,
                        new Segment(x[i - 1] * scale - left, y[i - 1] * scale, x[i] * scale - left, y[i] * scale));
            }
        }
        double half = Math.max(0.5, lineWidth * scale / 2);
        for (int column = 0; column < low.length; column++) {
            if (low[column] <= high[column]) {
                double top = Math.max(band.top, low[column] - half);
                double bottom = Math.min(band.bottom, high[column] + half);
                fill(left + column, top, bottom, color, 1);
                if (high[column] - low[column] > 4 * half) {
                    // A column is one pixel wide: a steep line gets the rest of its width from its neighbours.
                    double rest = Math.min(1, half - 0.5);
                    fill(left + column - 1, top, bottom, color, rest);
                    fill(left + column + 1, top, bottom, color, rest);
                }
            }
        }
    }

    private static double[] filled(int length, double value) {
        double[] values = new double[Math.max(0, length)];
        Arrays.fill(values, value);
        return values;
    }

    /** Widens each column's range by the part of the segment that crosses it. */
    private static void cover(double[] low, double[] high, Segment s) {
        int first = Math.max(0, (int) Math.floor(s.x0));
        int last = Math.min(low.length - 1, (int) Math.floor(s.x1));
        for (int column = first; column <= last; column++) {
            double a = s.at(Math.max(s.x0, column));
            double b = s.at(Math.min(s.x1, column + 1));
            low[column] = Math.min(low[column], Math.min(a, b));
            high[column] = Math.max(high[column], Math.max(a, b));
        }
    }

    private void fill(int column, double top, double bottom, Color color, double strength) {
        if (column < 0 || column >= width) {
            return;
        }
        for (int row = (int) Math.floor(top); row < bottom && row < height; row++) {
            double covered = Math.min(bottom, row + 1) - Math.max(top, row);
            if (row >= 0 && covered > 0) {
                int at = row * width + column;
                pixels[at] = blend(pixels[at], color, covered * strength);
            }
        }
    }

    private static int blend(int under, Color over, double covered) {
        double alpha = covered * over.getAlpha() / 255;
        double rest = 1 - alpha;
        int a = (int) Math.round(255 * alpha + rest * (under >>> 24));
        int r = (int) Math.round(alpha * over.getRed() + rest * (under >> 16 & 0xFF));
        int g = (int) Math.round(alpha * over.getGreen() + rest * (under >> 8 & 0xFF));
        int b = (int) Math.round(alpha * over.getBlue() + rest * (under & 0xFF));
        return a << 24 | r << 16 | g << 8 | b;
    }

    private record Band(double top, double bottom) {
    }

    private record Segment(double x0, double y0, double x1, double y1) {

        double at(double x) {
            return x1 == x0 ? y1 : y0 + (y1 - y0) * (x - x0) / (x1 - x0);
        }
    }
}
