package org.grenu.core.learn;

import java.util.List;

/**
 * What was set for a shot, as far as it moves its time.
 *
 * @param finer    the grinder's setting in its own notches, more is finer; only differences count
 * @param dose     g, in (0, ∞)
 * @param beverage mass in the cup, g, in (0, ∞)
 * @param celsius  temperature of the water, °C
 * @param days     age of the coffee, d
 * @param profile  its name; empty where none is written down
 * @param kept     the grinder's setting of the shot before, in its notches, where its grounds may be among these; NaN
 *                 after a purge, or where nothing was ground before
 */
public record ShotInputs(double finer, double dose, double beverage, double celsius, double days, String profile,
        double kept) {

    /** Slopes, the bend of the line in the notch, and what was left in the grinder. */
    static final int TERMS = Slope.values().length + 2;
    /** Farther off the line is taken as straight: a square would turn round. */
    private static final double BENDS_FOR = 6;

    /** @throws IllegalArgumentException if dose or beverage are not positive */
    public ShotInputs {
        if (!(dose > 0) || !(beverage > 0)) {
            throw new IllegalArgumentException("dose and beverage must be positive, are " + dose + " and " + beverage);
        }
    }

    /** With no grounds of another setting among them. */
    public ShotInputs(double finer, double dose, double beverage, double celsius, double days, String profile) {
        this(finer, dose, beverage, celsius, days, profile, Double.NaN);
    }

    /** By no named profile. */
    public ShotInputs(double finer, double dose, double beverage, double celsius, double days) {
        this(finer, dose, beverage, celsius, days, "");
    }

    /**
     * {@return the same with grounds of that setting among them}
     *
     * @param before the grinder's setting in its notches
     */
    public ShotInputs keeping(double before) {
        return new ShotInputs(finer, dose, beverage, celsius, days, profile, before);
    }

    /** {@return the same at another setting of the grinder} */
    public ShotInputs at(double otherFiner) {
        return new ShotInputs(otherFiner, dose, beverage, celsius, days, profile, kept);
    }

    /** {@return what is set of that, in its unit; of the age the days} */
    public double setting(Slope slope) {
        return switch (slope) {
            case GRIND -> finer;
            case DOSE -> dose;
            case BEVERAGE -> beverage;
            case TEMPERATURE -> celsius;
            case AGE -> days;
        };
    }

    /** {@return the same with that set otherwise} */
    public ShotInputs with(Slope slope, double setting) {
        return switch (slope) {
            case GRIND -> at(setting);
            case DOSE -> new ShotInputs(finer, setting, beverage, celsius, days, profile, kept);
            case BEVERAGE -> new ShotInputs(finer, dose, setting, celsius, days, profile, kept);
            case TEMPERATURE -> new ShotInputs(finer, dose, beverage, setting, days, profile, kept);
            case AGE -> new ShotInputs(finer, dose, beverage, celsius, setting, profile, kept);
        };
    }

    /**
     * {@return 1, the differences from a reference in the order of {@link Slope}, the square of the notches, the
     * notches of the setting before beyond these, and for each other profile whether it was that one}
     */
    double[] from(ShotInputs reference, List<String> otherProfiles) {
        double[] x = new double[TERMS + 1 + otherProfiles.size()];
        x[0] = 1;
        x[1] = finer - reference.finer;
        x[2] = Math.log(dose / reference.dose);
        x[3] = Math.log(beverage / reference.beverage);
        x[4] = celsius - reference.celsius;
        x[5] = days - reference.days;
        x[6] = Math.pow(within(x[1]), 2);
        x[7] = Double.isNaN(kept) ? 0 : within(kept - finer);
        int other = otherProfiles.indexOf(profile);
        if (other >= 0) {
            x[TERMS + 1 + other] = 1;
        }
        return x;
    }

    private static double within(double notches) {
        return Math.max(-BENDS_FOR, Math.min(BENDS_FOR, notches));
    }
}
