package org.grenu.core.model;

/** A running sum kept as two doubles, about 32 digits. T. J. Dekker, Numerische Mathematik 18, 1971, 224–242. */
final class TwoDoubles {

    private double high;
    private double low;

    TwoDoubles add(double value) {
        double sum = high + value;
        double back = sum - high;
        low += (high - (sum - back)) + (value - back);
        high = sum;
        return this;
    }

    TwoDoubles addProduct(double a, double b) {
        double product = a * b;
        low += Math.fma(a, b, -product);
        return add(product);
    }

    double value() {
        return high + low;
    }
}
