package org.grenu.core.extraction;

/**
 * Where a beverage is meant to lie. The strength part is met only at some ratios: since c = EY/R, a window of
 * strength
 * and one of yield can exclude each other.
 *
 * @param yieldLow     least extraction yield as dosed, %
 * @param yieldHigh    largest, %
 * @param strengthLow  least strength, %
 * @param strengthHigh largest, %
 */
public record TargetWindow(double yieldLow, double yieldHigh, double strengthLow, double strengthHigh) {

    /** 18–22 % yield, 7–12 % strength (common practice, no source). */
    public static final TargetWindow USUAL = new TargetWindow(18, 22, 7, 12);

    /** @throws IllegalArgumentException if a range is empty */
    public TargetWindow {
        if (!(yieldLow < yieldHigh) || !(strengthLow < strengthHigh) || !(strengthLow > 0)) {
            throw new IllegalArgumentException("each range of a target window must run from low to high");
        }
    }

    /** {@return the smallest brew ratio at which both ranges can be met} */
    public double smallestRatio() {
        return yieldLow / strengthHigh;
    }

    /** {@return the largest brew ratio at which both ranges can be met} */
    public double largestRatio() {
        return yieldHigh / strengthLow;
    }

    /** {@return the least yield that meets both ranges at that ratio, %} */
    public double yieldLowAt(double ratio) {
        return Math.max(yieldLow, strengthLow * ratio);
    }

    /** {@return the largest yield that meets both ranges at that ratio, %} */
    public double yieldHighAt(double ratio) {
        return Math.min(yieldHigh, strengthHigh * ratio);
    }
}
