package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.Target;
import org.grenu.figures.paint.Grain;
import org.grenu.figures.paint.Words;
import org.grenu.figures.theme.Theme;

/** A profile in miniature: what is meant of the pressure as grain, each step about as long as it might last. */
public final class ProfileSketch {

    private static final double USUAL_SECONDS = 12;
    private static final double GRAMS_A_SECOND = 1.8;
    private static final double HIGHEST_BAR = 10;

    private ProfileSketch() {
    }

    /** Paints it into that size; a step that holds a flow leaves the pressure open and is a thin line at its foot. */
    public static void paint(Graphics2D g, Theme theme, Profile profile, double width, double height) {
        Words.quality(g);
        double whole = profile.steps().stream().mapToDouble(ProfileSketch::seconds).sum();
        double x = 0;
        double level = 0;
        for (ProfileStep step : profile.steps()) {
            double wide = seconds(step) / whole * width;
            boolean pressure = step.target() == Target.PRESSURE;
            double to = pressure ? step.to() : 0.4;
            double ramp = Math.min(wide, Math.max(wide * 0.08, step.rampSeconds() / seconds(step) * wide));
            Grain.fill(g, band(new double[] {x, x + ramp, x + wide}, new double[] {step.from().orElse(level), to, to},
                    pressure ? Math.max(0.35, step.tolerance()) : 0.2, height), theme);
            level = to;
            x += wide;
        }
    }

    private static Path2D band(double[] x, double[] bar, double half, double height) {
        Path2D band = new Path2D.Double();
        band.moveTo(x[0], y(bar[0] + half, height));
        for (int i = 1; i < x.length; i++) {
            band.lineTo(x[i], y(bar[i] + half, height));
        }
        for (int i = x.length - 1; i >= 0; i--) {
            band.lineTo(x[i], y(bar[i] - half, height));
        }
        band.closePath();
        return band;
    }

    private static double y(double bar, double height) {
        return height - Math.max(0, Math.min(HIGHEST_BAR, bar)) / HIGHEST_BAR * height;
    }

    /** {@return how long a step might last, s: a guess from its exits, as long as is usual without any} */
    public static double seconds(ProfileStep step) {
        double least = Double.POSITIVE_INFINITY;
        for (Exit exit : step.exits()) {
            least = Math.min(least, exit.kind() == Exit.Kind.TIME ? exit.value()
                    : exit.kind() == Exit.Kind.MASS ? exit.value() / GRAMS_A_SECOND : USUAL_SECONDS);
        }
        return Math.max(2, Double.isInfinite(least) ? USUAL_SECONDS : least);
    }
}
