package org.grenu.core.learn;

/**
 * What a response is thought to be, in its unit.
 *
 * @param usual   its distribution on the scale on which it is learnt, of a shot that goes as it should
 * @param strayed likewise of one that strays: channels, most of all
 * @param strays  the chance of that, in [0, 1)
 */
public record Prediction(Mixture usual, Mixture strayed, double strays, Practice practice) {

    /** Of what cannot stray, such as a mean. */
    Prediction(Mixture usual, Practice practice) {
        this(usual, usual, 0, practice);
    }

    private Mixture all() {
        return strays > 0 ? usual.or(1 - strays, strayed) : usual;
    }

    /** {@return the middle of a shot that goes as it should, on the scale} */
    public double centre() {
        return usual.centre();
    }

    /** {@return likewise in its unit} */
    public double typical() {
        return practice.offScale(centre());
    }

    /** {@return the value that lies above and below it as often} */
    public double median() {
        return quantile(0.5);
    }

    /** {@return the value that it stays below with that probability, in (0, 1)} */
    public double quantile(double probability) {
        return practice.offScale(all().quantile(probability));
    }

    /** {@return half of its 95 % interval, which of a logarithm lies a little lopsided about the median} */
    public double half() {
        return (quantile(0.975) - quantile(0.025)) / 2;
    }

    /** {@return the chance of a value in that range} */
    public double chance(AimRange range) {
        return (1 - strays) * usualIn(range) + (strays > 0 ? strays * strayedIn(range) : 0);
    }

    /** {@return likewise of a shot that goes as it should} */
    double usualIn(AimRange range) {
        return usual.between(practice.onScale(range.low()), practice.onScale(range.high()));
    }

    /** {@return likewise of one that strays} */
    double strayedIn(AimRange range) {
        return strayed.between(practice.onScale(range.low()), practice.onScale(range.high()));
    }
}
