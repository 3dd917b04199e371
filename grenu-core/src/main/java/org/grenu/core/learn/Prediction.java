package org.grenu.core.learn;

/**
 * What a response is thought to be, in its unit.
 *
 * @param onScale its distribution on the scale on which it is learnt
 */
public record Prediction(StudentT onScale, Practice practice) {

    /** {@return the value that lies above and below it as often} */
    public double median() {
        return practice.offScale(onScale.location());
    }

    /** {@return the value that it stays below with that probability, in (0, 1)} */
    public double quantile(double probability) {
        return practice.offScale(onScale.quantile(probability));
    }

    /** {@return half of its 95 % interval, which of a logarithm lies a little lopsided about the median} */
    public double half() {
        return (quantile(0.975) - quantile(0.025)) / 2;
    }

    /** {@return the chance of a value in that range} */
    public double chance(AimRange range) {
        return onScale.between(practice.onScale(range.low()), practice.onScale(range.high()));
    }
}
