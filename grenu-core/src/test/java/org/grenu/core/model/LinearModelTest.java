package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.grenu.core.numbers.Samples;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** What holds of every linear model, whatever the data. */
class LinearModelTest {

    private record Study(Design design, Term.Numeric number, Term.Levels levels, Samples y, Samples ones) {
    }

    private static Study study(long seed, int rows) {
        Random random = new Random(seed);
        double[] x = random.doubles(rows, 1, 3).toArray();
        List<String> names = IntStream.range(0, rows)
                .mapToObj(i -> "level " + (i < 3 ? i : random.nextInt(3)))
                .toList();
        double[] y = IntStream.range(0, rows)
                .mapToDouble(i -> 20 + 2 * x[i] + names.get(i).charAt(6) % 3 + random.nextGaussian())
                .toArray();
        Term.Numeric number = new Term.Numeric("x", Samples.of(x));
        Term.Levels levels = Term.Levels.of("level", names);
        return new Study(new Design(rows, List.of(number, levels)), number, levels, Samples.of(y),
                KnownErrors.ones(rows));
    }

    @ParameterizedTest
    @Seeds(100)
    void residualsStandSquareOnTheModelAndLeveragesCountItsColumns(Draws any) {
        long seed = any.anyLong();
        int rows = any.integer(6, 40);
        Study study = study(seed, rows);
        FixedFit fit = FixedFit.of(study.design, study.y, study.ones);
        double[][] x = study.design.matrix();
        for (int j = 0; j < study.design.columns(); j++) {
            int column = j;
            assertThat(IntStream.range(0, rows).mapToDouble(i -> x[i][column] * fit.residuals()[i]).sum()).isCloseTo(0,
                    within(1e-8));
        }
        assertThat(Arrays.stream(fit.leverages()).sum()).isCloseTo(study.design.columns(), within(1e-9));
        assertThat(fit.residualDf()).isEqualTo(rows - study.design.columns());
    }

    /** A row of weight two is that row twice, but for the degrees of freedom. */
    @ParameterizedTest
    @Seeds(60)
    void aWeightOfTwoIsTheRowTwice(Draws any) {
        long seed = any.anyLong();
        int rows = any.integer(7, 20);
        Study study = study(seed, rows);
        double[] weights = new double[rows];
        Arrays.fill(weights, 1);
        weights[rows - 1] = 2;
        FixedFit weighted = FixedFit.of(study.design, study.y, Samples.of(weights));
        Term.Numeric number = new Term.Numeric("x",
                Samples.of(
                        DoubleStream
                                .concat(Arrays.stream(study.number.values().toArray()),
                                        DoubleStream.of(study.number.values().get(rows - 1)))
                                .toArray()));
        List<Integer> level = new ArrayList<>(study.levels.level());
        level.add(level.get(rows - 1));
        Term.Levels levels = new Term.Levels("level", study.levels.levels(), level);
        Samples y = Samples
                .of(DoubleStream.concat(Arrays.stream(study.y.toArray()), DoubleStream.of(study.y.get(rows - 1)))
                        .toArray());
        FixedFit twice = FixedFit.of(new Design(rows + 1, List.of(number, levels)), y, KnownErrors.ones(rows + 1));
        assertThat(weighted.coefficients()).containsExactly(twice.coefficients(), within(1e-7));
        assertThat(weighted.rss()).isCloseTo(twice.rss(), within(1e-8));
    }

    /** The answer does not hang on which level is held to be the first, nor on the order of the terms. */
    @ParameterizedTest
    @Seeds(60)
    void meansAndTestsDoNotHangOnTheCoding(Draws any) {
        long seed = any.anyLong();
        int rows = any.integer(8, 30);
        Study study = study(seed, rows);
        List<String> turned = new ArrayList<>(study.levels.levels());
        turned.add(turned.remove(0));
        Term.Levels other = new Term.Levels("level", turned,
                study.levels.level().stream().map(i -> turned.indexOf(study.levels.levels().get(i))).toList());
        FixedFit fit = FixedFit.of(study.design, study.y, study.ones);
        FixedFit again = FixedFit.of(new Design(rows, List.of(other, study.number)), study.y, study.ones);
        for (int i = 0; i < 3; i++) {
            Estimate mean = fit.estimate(fit.design().mean(study.levels, i)).orElseThrow();
            Estimate same = again.estimate(again.design().mean(other, turned.indexOf(study.levels.levels().get(i))))
                    .orElseThrow();
            assertThat(same.value()).isCloseTo(mean.value(), within(1e-8));
            assertThat(same.se()).isCloseTo(mean.se(), within(1e-8));
        }
        assertThat(again.typeTwo(other).orElseThrow().f()).isCloseTo(fit.typeTwo(study.levels).orElseThrow().f(),
                within(1e-6 * (1 + fit.typeTwo(study.levels).orElseThrow().f())));
        assertThat(again.typeTwo(study.number).orElseThrow().f()).isCloseTo(fit.typeTwo(study.number).orElseThrow().f(),
                within(1e-6 * (1 + fit.typeTwo(study.number).orElseThrow().f())));
    }

    /** With one degree of freedom F is t squared, and both give the same p. */
    @ParameterizedTest
    @Seeds(60)
    void oneContrastIsTestedAlikeByTAndF(Draws any) {
        long seed = any.anyLong();
        int rows = any.integer(7, 25);
        Study study = study(seed, rows);
        FixedFit fit = FixedFit.of(study.design, study.y, study.ones);
        Estimate slope = fit.estimate(fit.design().slope(study.number)).orElseThrow();
        FTest test = fit.typeTwo(study.number).orElseThrow();
        assertThat(test.f()).isCloseTo(Math.pow(slope.value() / slope.se(), 2), within(1e-7 * (1 + test.f())));
        assertThat(test.p()).isCloseTo(slope.pAgainst(0), within(1e-9));
    }

    @ParameterizedTest
    @Seeds(60)
    void aColumnThatAnotherExplainsIsNotTold(Draws any) {
        long seed = any.anyLong();
        int rows = any.integer(6, 20);
        double factor = any.number(0.1, 50);
        Study study = study(seed, rows);
        Term.Numeric copy = new Term.Numeric("copy",
                Samples.of(Arrays.stream(study.number.values().toArray()).map(v -> 5 - factor * v).toArray()));
        FixedFit fit = FixedFit.of(new Design(rows, List.of(study.number, study.levels, copy)), study.y, study.ones);
        assertThat(fit.estimable(fit.design().slope(study.number))).isFalse();
        assertThat(fit.estimable(fit.design().slope(copy))).isFalse();
        assertThat(fit.estimate(fit.design().slope(copy))).isEmpty();
        assertThat(fit.typeTwo(copy)).isEmpty();
        double[] pair = Design.difference(fit.design().mean(study.levels, 0), fit.design().mean(study.levels, 1));
        assertThat(fit.estimable(pair)).as("what is not touched by it stays told").isTrue();
        assertThat(fit.residualDf()).isEqualTo(rows - study.design.columns());
    }

    /**
     * Shifting every group leaves the effect within groups as it is; groups that do not shift leave fixed effects'
     * numbers.
     */
    @ParameterizedTest
    @Seeds(25)
    void aRandomInterceptTakesTheGroupsOut(Draws any) {
        int seed = any.integer(1, 10_000);
        int rows = 24;
        Random random = new Random(seed);
        double[] x = IntStream.range(0, rows).mapToDouble(i -> i % 4).toArray();
        List<String> days = IntStream.range(0, rows).mapToObj(i -> "day " + i / 4).toList();
        double[] shifts = random.doubles(6, -5, 5).toArray();
        double[] noise = IntStream.range(0, rows).mapToDouble(i -> random.nextGaussian()).toArray();
        double[] y = IntStream.range(0, rows).mapToDouble(i -> 3 * x[i] + shifts[i / 4] + noise[i]).toArray();
        Term.Numeric number = new Term.Numeric("x", Samples.of(x));
        Term.Levels group = Term.Levels.of("day", days);
        Design design = new Design(rows, List.of(number));
        Samples ones = KnownErrors.ones(rows);
        RandomInterceptFit fit = RandomInterceptFit.of(design, Samples.of(y), ones, group);
        // A balanced x within days: the estimate is that with days as fixed effects.
        FixedFit blocks = FixedFit.of(new Design(rows, List.of(group, number)), Samples.of(y), ones);
        Estimate mixed = fit.estimate(design.slope(number)).orElseThrow();
        Estimate fixed = blocks.estimate(blocks.design().slope(number)).orElseThrow();
        assertThat(mixed.value()).isCloseTo(fixed.value(), within(1e-6));
        if (fit.groupDeviation() > 0.5) {
            assertThat(mixed.se()).isCloseTo(fixed.se(), within(1e-3 * fixed.se()));
            assertThat(mixed.df()).isCloseTo(fixed.df(), within(0.05 * fixed.df()));
        }
        assertThat(fit.deviation()).isPositive();
        assertThat(Arrays.stream(fit.residuals()).map(Math::abs).max().orElseThrow())
                .as("shifts are foreseen and taken out")
                .isLessThan(5);
    }

    @Test
    void groupsThatDoNotShiftLeaveFixedEffects() {
        int rows = 12;
        double[] y = {1, -1, 1, -1, -1, 1, -1, 1, 1, -1, -1, 1};
        List<String> groups = IntStream.range(0, rows).mapToObj(i -> "g" + i / 2).toList();
        Design mean = new Design(rows, List.of());
        RandomInterceptFit fit = RandomInterceptFit.of(mean, Samples.of(y), KnownErrors.ones(rows),
                Term.Levels.of("g", groups));
        assertThat(fit.groupDeviation()).isZero();
        // That they do not shift is itself only estimated: a mean over six groups has five degrees of freedom.
        assertThat(fit.estimate(new double[] {1}).orElseThrow().df()).isCloseTo(5, within(1e-9));
        assertThatThrownBy(() -> RandomInterceptFit.of(mean, Samples.of(y), KnownErrors.ones(rows),
                Term.Levels.of("g", groups.stream().map(g -> "one").toList())))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("two groups");
        assertThatThrownBy(() -> FixedFit.of(mean, Samples.of(y), Samples.of(new double[rows])))
                .hasMessageContaining("positive weight");
        assertThatThrownBy(() -> new Design(3, List.of(new Term.Numeric("x", Samples.of(1, 2)))))
                .hasMessageContaining("x has 2 rows, the data 3");
    }

    /** Holm lies between no correction and Bonferroni's, keeps the order, and is 1 at most. */
    @ParameterizedTest
    @Seeds(200)
    void holmLiesBetweenNoneAndBonferroni(Draws any) {
        List<Double> p = any.list(1, 12, () -> any.number(0, 1));
        List<Double> adjusted = Adjustment.holm(p);
        for (int i = 0; i < p.size(); i++) {
            assertThat(adjusted.get(i)).isBetween(p.get(i), Math.min(1, p.size() * p.get(i)));
            for (int j = 0; j < p.size(); j++) {
                if (p.get(i) < p.get(j)) {
                    assertThat(adjusted.get(i)).isLessThanOrEqualTo(adjusted.get(j));
                }
            }
        }
    }

    /** Holm's own kind of example: 0.01, 0.04, 0.03, 0.005 (worked by hand). */
    @Test
    void holmByHand() {
        assertThat(Adjustment.holm(List.of(0.01, 0.04, 0.03, 0.005))
                .stream()
                .map(p -> Math.rint(1e6 * p) / 1e6)
                .collect(Collectors.toList()))
                .containsExactly(0.03, 0.06, 0.06, 0.02);
    }

    /**
     * Being the same within a margin gets harder as the effect nears it, and two one-sided tests are the 90 %
     * interval.
     */
    @ParameterizedTest
    @Seeds(100)
    void equivalenceIsTheNinetyPercentInterval(Draws any) {
        double value = any.number(-1, 1);
        double se = any.number(0.05, 0.6);
        int df = any.integer(2, 60);
        Estimate estimate = new Estimate(value, se, df);
        double half = estimate.halfWidth(0.9);
        boolean inside = value - half > -0.5 && value + half < 0.5;
        assertThat(Equivalence.of(estimate, 0.5).p() < 0.05).isEqualTo(inside);
        assertThat(Equivalence.of(estimate.times(-1), 0.5).p()).isCloseTo(Equivalence.of(estimate, 0.5).p(),
                within(1e-12));
    }

    /** The quantile undoes the tail, and for two means is √2 times Student's. */
    @ParameterizedTest
    @Seeds(15)
    void studentizedRangeAndItsQuantile(Draws any) {
        int means = any.integer(2, 6);
        int df = any.integer(3, 60);
        double q = StudentizedRange.quantile(0.05, means, df);
        assertThat(StudentizedRange.upperTail(q, means, df)).isCloseTo(0.05, within(1e-5));
        assertThat(StudentizedRange.upperTail(q, means + 1, df)).as("more means spread wider").isGreaterThan(0.05);
        if (means == 2) {
            assertThat(q / Math.sqrt(2)).isCloseTo(new Estimate(0, 1, df).halfWidth(0.95), within(1e-4));
        }
    }

    /** More rows never widen a contrast, and each added row lowers its variance. */
    @ParameterizedTest
    @Seeds(40)
    void moreRowsNarrow(Draws any) {
        long seed = any.anyLong();
        int rows = any.integer(7, 20);
        Study study = study(seed, rows);
        FixedFit fit = FixedFit.of(study.design, study.y, study.ones);
        double[] slope = fit.design().slope(study.number);
        MoreRows more = fit.moreRows(slope);
        double before = more.variance();
        assertThat(fit.deviation() * Math.sqrt(before)).isCloseTo(fit.estimate(slope).orElseThrow().se(), within(1e-9));
        for (int k = 0; k < 5; k++) {
            int row = more.add();
            assertThat(row).isBetween(0, rows - 1);
            assertThat(more.variance()).isLessThan(before);
            before = more.variance();
        }
    }

    /** Models with a bend: a product is a term of its own, and stands after its parts. */
    @Test
    void squaresAndProductsFollowTheirParts() {
        Term.Numeric x = new Term.Numeric("x", Samples.of(1, 2, 3, 4, 5));
        Term.Product square = new Term.Product(x, x);
        assertThat(square.name()).isEqualTo("x²");
        assertThat(square.contains(x)).isTrue();
        FixedFit fit = FixedFit.of(new Design(5, List.of(x, square)), Samples.of(2, 5, 10, 17, 26),
                KnownErrors.ones(5));
        assertThat(fit.coefficients()).containsExactly(new double[] {1, 0, 1}, within(1e-9));
        assertThat(fit.design().row(Map.of(x, new double[] {7}))).containsExactly(1, 7, 49);
        assertThat(LackOfFit.of(fit, Samples.of(2, 5, 10, 17, 26), KnownErrors.ones(5))).as("no replicates").isEmpty();
        assertThatThrownBy(() -> new Term.Product(x, new Term.Numeric("z", Samples.of(1))))
                .hasMessageContaining("different data");
        assertThatThrownBy(() -> fit.design().firstColumn(new Term.Numeric("z", Samples.of(1, 2, 3, 4, 5))))
                .hasMessageContaining("not in the model");
    }
}
