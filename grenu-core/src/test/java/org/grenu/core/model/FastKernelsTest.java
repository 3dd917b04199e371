package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.grenu.core.numbers.Samples;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.params.ParameterizedTest;

/** What was made faster gives what the plain way gives. */
class FastKernelsTest {

    @ParameterizedTest
    @Seeds(20)
    void numbersAreThoseOfTheLockedGenerator(Draws any) {
        long seed = any.anyLong();
        Random locked = new Random(seed);
        Random unlocked = new UnlockedRandom(seed);
        for (int i = 0; i < 500; i++) {
            int bound = any.integer(1, 300);
            assertThat(unlocked.nextInt(bound)).isEqualTo(locked.nextInt(bound));
        }
        assertThat(unlocked.nextDouble()).isEqualTo(locked.nextDouble());
    }

    /** The likelihood from sums over the groups against the one from V itself, by a library's decompositions. */
    @ParameterizedTest
    @Seeds(40)
    void theRestrictedLikelihoodIsThatOfTheWholeMatrices(Draws any) {
        int n = any.integer(12, 40);
        double[][] x = new double[n][3];
        double[] y = new double[n];
        double[] weights = new double[n];
        List<List<Integer>> members = new ArrayList<>(List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>()));
        for (int i = 0; i < n; i++) {
            x[i] = new double[] {1, any.number(-3, 3), i % 2};
            y[i] = 20 + 0.7 * x[i][1] + any.number(-1, 1);
            weights[i] = any.number(0.3, 3);
            members.get(i % 3).add(i);
        }
        List<int[]> groups = members.stream().map(rows -> rows.stream().mapToInt(r -> r).toArray()).toList();
        InterceptLikelihood fast = new InterceptLikelihood(x, y, weights, groups);
        double[] ratios = {0, any.number(0.01, 1), any.number(1, 50)};
        double shift = Double.NaN;
        for (double ratio : ratios) {
            double between = fast.profiled(ratio) - new Plain(x, y, weights, groups, 1, ratio).profiled(n - 3);
            shift = Double.isNaN(shift) ? between : shift;
            assertThat(between).as("but for a constant").isCloseTo(shift, within(1e-9));
        }
    }

    /** Kenward's and Roger's variance and degrees of freedom by groups against the paper's whole matrices. */
    @ParameterizedTest
    @Seeds(20)
    void estimatesFromFewGroupsAreAsSureAsTheWholeMatricesSay(Draws any) {
        int n = any.integer(10, 24);
        double[][] x = new double[n][3];
        double[] weights = new double[n];
        List<List<Integer>> members = new ArrayList<>(List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>()));
        for (int i = 0; i < n; i++) {
            x[i] = new double[] {1, any.number(-3, 3), i % 2};
            weights[i] = any.number(0.3, 3);
            members.get(i % 3).add(i);
        }
        List<int[]> groups = members.stream().map(rows -> rows.stream().mapToInt(r -> r).toArray()).toList();
        double sigma = any.number(0.1, 2);
        double tau = any.number(0, 2);
        double[] contrast = {0, 1, any.number(-2, 2)};
        KenwardRoger fast = new KenwardRoger(new KenwardRoger.Rows(x, weights, groups), new int[] {0, 1, 2}, List.of(),
                new Design(n, List.of()), sigma, tau);
        RealMatrix[] parts = {MatrixUtils.createRealDiagonalMatrix(Arrays.stream(weights).map(w -> 1 / w).toArray()),
                Plain.v(Arrays.stream(weights).map(w -> Double.POSITIVE_INFINITY).toArray(), groups, 1, 1)};
        RealMatrix model = MatrixUtils.createRealMatrix(x);
        RealMatrix inverse = MatrixUtils.inverse(Plain.v(weights, groups, sigma, tau));
        RealMatrix phi = MatrixUtils.inverse(model.transpose().multiply(inverse).multiply(model));
        RealMatrix p = inverse.subtract(inverse.multiply(model)
                .multiply(phi)
                .multiply(model.transpose())
                .multiply(inverse));
        RealMatrix information = MatrixUtils.createRealMatrix(2, 2);
        RealVector l = MatrixUtils.createRealVector(contrast);
        RealVector share = inverse.multiply(model).multiply(phi).operate(l);
        double[] gradient = new double[2];
        for (int i = 0; i < 2; i++) {
            gradient[i] = share.dotProduct(parts[i].operate(share));
            for (int j = 0; j < 2; j++) {
                information.setEntry(i, j,
                        p.multiply(parts[i]).multiply(p).multiply(parts[j]).getTrace() / 2);
            }
        }
        RealMatrix w = MatrixUtils.inverse(information);
        double spread = 0;
        double added = 0;
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2; j++) {
                spread += w.getEntry(i, j) * gradient[i] * gradient[j];
                added += 2 * w.getEntry(i, j)
                        * share.dotProduct(parts[i].multiply(p).multiply(parts[j]).operate(share));
            }
        }
        double v = l.dotProduct(phi.operate(l));
        assertThat(fast.df(contrast)).isCloseTo(2 * v * v / spread, within(1e-7 * v * v / spread));
        assertThat(fast.variance(contrast)).isCloseTo(v + added, within(1e-8 * v));
    }

    /** V, its determinant and what is left of y, as they are written in books. */
    private record Plain(RealMatrix information, double logDeterminant, double squares) {

        Plain(double[][] x, double[] y, double[] weights, List<int[]> groups, double sigma, double tau) {
            this(new CholeskyDecomposition(v(weights, groups, sigma, tau)), MatrixUtils.createRealMatrix(x),
                    MatrixUtils.createRealVector(y));
        }

        private Plain(CholeskyDecomposition v, RealMatrix x, RealVector y) {
            this(x.transpose().multiply(v.getSolver().solve(x)), Math.log(v.getDeterminant()),
                    left(v, x, y).dotProduct(v.getSolver().solve(left(v, x, y))));
        }

        private static RealMatrix v(double[] weights, List<int[]> groups, double sigma, double tau) {
            RealMatrix v = MatrixUtils.createRealMatrix(weights.length, weights.length);
            for (int[] rows : groups) {
                for (int i : rows) {
                    for (int j : rows) {
                        v.setEntry(i, j, tau + (i == j ? sigma / weights[i] : 0));
                    }
                }
            }
            return v;
        }

        private static RealVector left(CholeskyDecomposition v, RealMatrix x, RealVector y) {
            RealMatrix information = x.transpose().multiply(v.getSolver().solve(x));
            RealVector beta = new LUDecomposition(information).getSolver()
                    .solve(x.transpose().operate(v.getSolver().solve(y)));
            return y.subtract(x.operate(beta));
        }

        double profiled(int df) {
            return df * Math.log(squares) + logDeterminant
                    + Math.log(new LUDecomposition(information).getDeterminant());
        }
    }

    @ParameterizedTest
    @Seeds(30)
    void theSpreadIsWhereTheResidualSquaresMeetTheirDegreesOfFreedom(Draws any) {
        int n = any.integer(6, 40);
        double[] slope = IntStream.range(0, n).mapToDouble(i -> any.number(-2, 2)).toArray();
        double[] u = IntStream.range(0, n).mapToDouble(i -> any.number(0, 0.5)).toArray();
        double[] y = IntStream.range(0, n).mapToDouble(i -> 3 + slope[i] + any.number(-2, 2)).toArray();
        Design design = new Design(n, List.of(new Term.Numeric("x", Samples.of(slope))));
        KnownErrors known = KnownErrors.of(design, Samples.of(y), Samples.of(u));
        double tau = known.spread();
        double[] weights = IntStream.range(0, n).mapToDouble(i -> 1 / (tau * tau + u[i] * u[i])).toArray();
        assertThat(FixedFit.of(design, Samples.of(y), Samples.of(weights)).rss()).isCloseTo(n - 2, within(1e-8));
    }

    /** Four curves at a time and on several threads, against one after the other. */
    @ParameterizedTest
    @Seeds(8)
    void shuffledCurvesGiveThePlainWaysP(Draws any) {
        int n = any.integer(7, 16);
        int points = any.integer(3, 30);
        int shuffles = 600;
        double[][] curves = new double[n][points];
        boolean[] first = new boolean[n];
        for (int i = 0; i < n; i++) {
            first[i] = i < n / 2;
            for (int t = 0; t < points; t++) {
                curves[i][t] = any.number(-1, 1) + (first[i] ? 0.8 : 0);
            }
        }
        int[] all = IntStream.range(0, n).toArray();
        double[] floors = new double[points];
        Arrays.fill(floors, 0.05);
        double[] seen = shares(curves, first, floors);
        int[] asLarge = new int[points];
        Random random = new Random(5);
        boolean[] labels = first.clone();
        for (int k = 0; k < shuffles; k++) {
            for (int i = n - 1; i > 0; i--) {
                int j = random.nextInt(i + 1);
                boolean kept = labels[i];
                labels[i] = labels[j];
                labels[j] = kept;
            }
            double most = Arrays.stream(shares(curves, labels, floors)).max().orElseThrow();
            for (int t = 0; t < points; t++) {
                asLarge[t] += most >= seen[t] - 1e-12 ? 1 : 0;
            }
        }
        List<Double> fast = CurveTest.of(curves, first, List.of(all), floors, shuffles, 5).p();
        for (int t = 0; t < points; t++) {
            assertThat(fast.get(t)).isEqualTo((1.0 + asLarge[t]) / (shuffles + 1));
        }
    }

    private static double[] shares(double[][] curves, boolean[] first, double[] floors) {
        int n = curves.length;
        double[] shares = new double[floors.length];
        for (int t = 0; t < shares.length; t++) {
            int point = t;
            double mean = Arrays.stream(curves).mapToDouble(c -> c[point]).average().orElseThrow();
            double sum = 0;
            double squares = floors[t] * floors[t] * (n - 2);
            int members = 0;
            for (int i = 0; i < n; i++) {
                double z = curves[i][t] - mean;
                squares += z * z;
                sum += first[i] ? z : 0;
                members += first[i] ? 1 : 0;
            }
            shares[t] = sum * sum * (1.0 / members + 1.0 / (n - members)) / squares;
        }
        return shares;
    }
}
