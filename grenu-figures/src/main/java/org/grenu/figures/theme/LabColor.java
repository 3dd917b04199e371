package org.grenu.figures.theme;

import java.awt.Color;

/** Mixing of colours in CIE L*a*b* (D65), where equal steps look equal. Reference: CIE 15:2004. */
final class LabColor {

    private static final double[] WHITE = {0.95047, 1.0, 1.08883};

    private LabColor() {
    }

    static Color between(Color a, Color b, double share) {
        if (share <= 0) {
            return a;
        }
        if (share >= 1) {
            return b;
        }
        double[] from = lab(a);
        double[] to = lab(b);
        double[] mixed = new double[3];
        for (int i = 0; i < 3; i++) {
            mixed[i] = from[i] + share * (to[i] - from[i]);
        }
        return color(mixed);
    }

    private static double[] lab(Color color) {
        double r = linear(color.getRed() / 255.0);
        double g = linear(color.getGreen() / 255.0);
        double b = linear(color.getBlue() / 255.0);
        double x = f((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / WHITE[0]);
        double y = f((0.2126729 * r + 0.7151522 * g + 0.0721750 * b) / WHITE[1]);
        double z = f((0.0193339 * r + 0.1191920 * g + 0.9503041 * b) / WHITE[2]);
        return new double[] {116 * y - 16, 500 * (x - y), 200 * (y - z)};
    }

    private static Color color(double[] lab) {
        double fy = (lab[0] + 16) / 116;
        double x = WHITE[0] * inverse(fy + lab[1] / 500);
        double y = WHITE[1] * inverse(fy);
        double z = WHITE[2] * inverse(fy - lab[2] / 200);
        return new Color(channel(3.2404542 * x - 1.5371385 * y - 0.4985314 * z),
                channel(-0.9692660 * x + 1.8760108 * y + 0.0415560 * z),
                channel(0.0556434 * x - 0.2040259 * y + 1.0572252 * z));
    }

    private static double f(double t) {
        return t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
    }

    private static double inverse(double t) {
        return t * t * t > 216.0 / 24389 ? t * t * t : (116 * t - 16) / (24389.0 / 27);
    }

    private static double linear(double c) {
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    private static int channel(double linear) {
        double c = linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
        return (int) Math.round(255 * Math.min(1, Math.max(0, c)));
    }
}
