package org.grenu.core.extraction;

import java.util.Arrays;
import org.grenu.core.quantity.Measured;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;

/**
 * The extraction yield by propagation of distributions, as a cross-check of the product formula. Every input is drawn
 * from a normal distribution. Reference: JCGM 101:2008, which asks for 200 000 draws or more.
 *
 * @param draws number of draws, at least 2
 * @param seed  of the random numbers; the same seed gives the same result
 */
public record MonteCarloYield(int draws, long seed) {

    /** {@return value, standard uncertainty and 95 % coverage interval of the yield on that basis, %} */
    public Result of(Brew brew, Basis basis) {
        if (basis == Basis.DRY && brew.moisture().isEmpty()) {
            throw new IllegalArgumentException("the dry basis needs the moisture");
        }
        RandomGenerator random = new Well19937c(seed);
        double[] yields = new double[draws];
        for (int i = 0; i < draws; i++) {
            yields[i] = drawn(brew, basis, random);
        }
        double mean = Arrays.stream(yields).average().orElse(Double.NaN);
        double u = new StandardDeviation().evaluate(yields);
        Arrays.sort(yields);
        return new Result(mean, u, yields[(int) (0.025 * draws)], yields[(int) (0.975 * draws)]);
    }

    private static double drawn(Brew brew, Basis basis, RandomGenerator random) {
        double bias = random.nextGaussian();
        double dose = brew.oneScale() ? onOneScale(brew.dose(), bias, random) : draw(brew.dose(), random);
        double beverage = brew.oneScale() ? onOneScale(brew.beverage(), bias, random) : draw(brew.beverage(), random);
        if (basis == Basis.DRY) {
            dose *= 1 - draw(brew.moisture().get(), random) / 100;
        }
        return draw(brew.strength(), random) * beverage / dose;
    }

    private static double draw(Measured input, RandomGenerator random) {
        return input.value() + input.u() * random.nextGaussian();
    }

    /** Two masses on one scale share the same draw of its bias. */
    private static double onOneScale(Measured mass, double bias, RandomGenerator random) {
        return mass.value() + mass.shared() * bias + mass.independent() * random.nextGaussian();
    }

    /** Mean, standard uncertainty and the ends of the 95 % coverage interval, all in %. */
    public record Result(double mean, double u, double low, double high) {
    }
}
