package org.grenu.core.model;

import java.util.ArrayList;
import java.util.List;

/**
 * How many more rows are likely to answer whether an effect differs from nought or stays within a margin, if it is as
 * large
 * as it now seems and the spread stays.
 *
 * @param more   number of rows to add; the most that was tried when {@code power} is still short
 * @param power  chance of an answer with them, in [0, 1]
 * @param repeat rows of the data to repeat, one an added row; empty when the whole pattern is to be repeated
 */
public record Forecast(int more, double power, List<Integer> repeat) {

    /** The chance that counts as likely. */
    public static final double LIKELY = 0.8;

    public Forecast {
        repeat = List.copyOf(repeat);
    }

    /** {@return whether that many are likely to do} */
    public boolean likely() {
        return power >= LIKELY;
    }

    /**
     * {@return the forecast} With fixed effects each row is put where it narrows the contrast most. With a random
     * intercept
     * the study's pattern is repeated, groups and all: more rows in the same groups would not average their shifts
     * out.
     *
     * @param contrast estimable
     * @param margin   in the response's unit, in [0, ∞)
     * @param alpha    level, in (0, 1)
     * @param atMost   rows to try
     */
    public static Forecast of(ModelFit fit, double[] contrast, double margin, double alpha, int atMost) {
        return of(fit, fit.estimate(contrast)
                .orElseThrow(() -> new IllegalArgumentException("the data give no estimate of that contrast")),
                contrast, margin, alpha, atMost);
    }

    /**
     * {@return the forecast from an estimate that judges the spread in another way than the fit}
     *
     * @param now of that contrast
     */
    public static Forecast of(ModelFit fit, Estimate now, double[] contrast, double margin, double alpha, int atMost) {
        return fit instanceof FixedFit fixed ? byRow(fixed, now, contrast, margin, alpha, atMost)
                : byPattern(now, fit.design().rows(), margin, alpha, atMost);
    }

    private static Forecast byRow(FixedFit fit, Estimate now, double[] contrast, double margin, double alpha,
            int atMost) {
        MoreRows rows = fit.moreRows(contrast);
        double first = rows.variance();
        List<Integer> repeat = new ArrayList<>();
        double power = 0;
        while (repeat.size() < atMost && power < LIKELY) {
            repeat.add(rows.add());
            double grown = (fit.residualDf() + repeat.size()) / (double) fit.residualDf();
            power = Power.ofAnswer(now.value(), now.se() * Math.sqrt(rows.variance() / first), now.df() * grown, margin,
                    alpha);
        }
        return new Forecast(repeat.size(), power, repeat);
    }

    private static Forecast byPattern(Estimate now, int rows, double margin, double alpha, int atMost) {
        double power = 0;
        int more = 0;
        while (more < atMost && power < LIKELY) {
            more++;
            double grown = (rows + more) / (double) rows;
            power = Power.ofAnswer(now.value(), now.se() / Math.sqrt(grown), now.df() * grown, margin, alpha);
        }
        return new Forecast(more, power, List.of());
    }
}
