package org.grenu.core.strength;

import java.util.Locale;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * What to do after the last reading of a series.
 *
 * @param kind     in a word
 * @param sentence why, with numbers
 */
public record SeriesAdvice(Kind kind, String sentence) {

    /** Fewest readings of a series (common practice, no source). */
    public static final int FEWEST = 3;
    /** Another reading counts as help when it takes at least this share off the strength's uncertainty. */
    static final double WORTH = 0.05;

    /** What helps. */
    public enum Kind { FIRST_ZERO, READ_ON, LOOK_FIRST, ANOTHER_READING, ANOTHER_SHOT, ENOUGH }

    /**
     * {@return the advice}
     *
     * @param shotSpread standard deviation of strength between shots of the same recipe, points, when known
     */
    public static SeriesAdvice of(StrengthSeries series, OptionalDouble shotSpread) {
        int n = series.taken().size();
        if (series.zero().isEmpty() && n == 0) {
            return new SeriesAdvice(Kind.FIRST_ZERO, "Read the rinse water first: what it shows is subtracted.");
        }
        if (series.mixed()) {
            return new SeriesAdvice(Kind.LOOK_FIRST,
                    "Filtered and unfiltered readings stand in one series. They are different methods: take one of "
                            + "them out.");
        }
        if (n < FEWEST) {
            return new SeriesAdvice(Kind.READ_ON,
                    n == 0 ? "Take the first reading."
                            : (FEWEST - n) + (FEWEST - n == 1 ? " more reading makes" : " more readings make")
                                    + " a series: only then can drift and outliers be told.");
        }
        if (SeriesCheck.drift(series).isPresent()) {
            double drift = SeriesCheck.drift(series).get().perReading();
            return new SeriesAdvice(Kind.LOOK_FIRST, "The readings " + (drift > 0 ? "climb" : "fall") + " by "
                    + digits(Math.abs(drift)) + " a reading: "
                    + (drift > 0 ? "water evaporates or the sample cools. " : "the sample warms or separates. ")
                    + "A fresh sample tells more than another reading.");
        }
        return beyondTheReadings(series, n, shotSpread);
    }

    private static SeriesAdvice beyondTheReadings(StrengthSeries series, int n, OptionalDouble shotSpread) {
        Measured now = series.strength().orElseThrow();
        double gain = 1 - series.strength(n + 1, series.deviation()).orElseThrow().u() / now.u();
        if (shotSpread.isPresent() && shotSpread.getAsDouble() > 2 * now.independent()) {
            return anotherShot(shotSpread.getAsDouble(), now);
        }
        if (gain >= WORTH) {
            return new SeriesAdvice(Kind.ANOTHER_READING, String.format(Locale.ROOT,
                    "One more reading would take about %.0f %% off the uncertainty.", 100 * gain));
        }
        return enough(now);
    }

    private static SeriesAdvice anotherShot(double shotSpread, Measured now) {
        return new SeriesAdvice(Kind.ANOTHER_SHOT,
                "Shots of this recipe differ by " + digits(shotSpread)
                        + " points, the readings only leave " + digits(now.independent())
                        + ": only another shot tells more.");
    }

    private static SeriesAdvice enough(Measured now) {
        boolean bias = now.shared() > now.independent();
        return new SeriesAdvice(Kind.ENOUGH, bias
                ? "Enough readings: what is left is the instrument's bias, which only a calibration takes away."
                : "Enough readings: another would take less than 5 % off the uncertainty. Only another shot tells "
                        + "more.");
    }

    private static String digits(double number) {
        return String.format(Locale.ROOT, number < 0.0995 ? "%.3f" : "%.2f", number);
    }
}
