package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.grenu.core.numbers.Samples;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * NIST Statistical Reference Datasets, linear regression and analysis of variance, with their certified values: the
 * files
 * in {@code /nist} as NIST published them. How many digits agree is −log₁₀ of the relative error.
 */
class NistTest {

    private static final Pattern ESTIMATE = Pattern.compile("\\s+B\\d+\\s+(\\S+)\\s+(\\S+)\\s*");

    private static List<String> lines(String name) throws IOException {
        try (InputStream in = NistTest.class.getResourceAsStream("/nist/" + name + ".dat")) {
            return new String(in.readAllBytes(), StandardCharsets.US_ASCII).lines().toList();
        }
    }

    private static double[] row(String line) {
        return Arrays.stream(line.trim().split("\\s+")).mapToDouble(Double::parseDouble).toArray();
    }

    private static double digits(double value, double certified) {
        double off = certified == 0 ? Math.abs(value) : Math.abs((value - certified) / certified);
        return off == 0 ? 15 : Math.min(15, -Math.log10(off));
    }

    /**
     * Certified values carry 15 digits. Filip's tenth powers cannot be held in a double, so its digits end where
     * those of
     * its model matrix do; Wampler 4 and 5 are noise of up to 10⁷ about a polynomial.
     */
    @ParameterizedTest
    @CsvSource({"Norris, 1, 12", "Pontius, 2, 12", "NoInt1, 0, 13", "NoInt2, 0, 13", "Longley, 6, 12",
            "Wampler1, 5, 13", "Wampler2, 5, 13",
            "Wampler3, 5, 12", "Wampler4, 5, 12", "Wampler5, 5, 12", "Filip, 10, 7"})
    void linearRegression(String name, int degree, double wanted) throws IOException {
        List<String> lines = lines(name);
        int[] range = Pattern.compile("Data\\s+\\(lines (\\d+) to (\\d+)\\)")
                .matcher(String.join("\n", lines))
                .results()
                .flatMapToInt(m -> IntStream.of(Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2))))
                .toArray();
        List<double[]> data = lines.subList(range[0] - 1, range[1]).stream().map(NistTest::row).toList();
        double[] y = data.stream().mapToDouble(d -> d[0]).toArray();
        double[][] x = data.stream().map(d -> model(d, degree)).toArray(double[][]::new);
        LeastSquares.Solution solution = LeastSquares.solve(x, y);
        List<double[]> certified = lines.stream()
                .map(ESTIMATE::matcher)
                .filter(Matcher::matches)
                .map(m -> new double[] {Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))})
                .toList();
        assertThat(solution.kept()).hasSize(certified.size());
        double sigma = Math.sqrt(solution.rss() / (y.length - certified.size()));
        for (int k = 0; k < certified.size(); k++) {
            assertThat(digits(solution.coefficients()[k], certified.get(k)[0])).as("%s B%s", name, k)
                    .isGreaterThan(wanted);
            double[] unit = new double[certified.size()];
            unit[k] = 1;
            double se = sigma * Math.sqrt(Arrays.stream(solution.root(unit)).map(a -> a * a).sum());
            assertThat(certified.get(k)[1] == 0 ? -Math.log10(se) : digits(se, certified.get(k)[1]))
                    .as("%s, se of B%s", name, k)
                    .isGreaterThan(Math.min(wanted, 8));
        }
    }

    private static double[] model(double[] row, int degree) {
        if (row.length > 2) {
            double[] x = row.clone();
            x[0] = 1;
            return x;
        }
        return degree == 0 ? new double[] {row[1]}
                : IntStream.rangeClosed(0, degree).mapToDouble(k -> Math.pow(row[1], k)).toArray();
    }

    private static double fOf(List<String> treatments, double[] y) {
        Term.Levels treatment = Term.Levels.of("treatment", treatments);
        FixedFit fit = FixedFit.of(new Design(y.length, List.of(treatment)), Samples.of(y),
                Samples.of(Arrays.stream(y).map(v -> 1).toArray()));
        return fit.typeTwo(treatment).orElseThrow().f();
    }

    /** Handbook §10 has SiRstv's F from memory; the file agrees. */
    @ParameterizedTest
    @CsvSource({"SiRstv, 1.18046237440255, 12", "AtmWtAg, 15.9467335677930, 10"})
    void analysisOfVariance(String name, double certified, double wanted) throws IOException {
        List<String> lines = lines(name).stream().skip(60).filter(line -> !line.isBlank()).toList();
        double[] y = lines.stream().mapToDouble(line -> row(line)[1]).toArray();
        assertThat(String.join("\n", lines(name)))
                .contains(name.equals("SiRstv") ? "1.18046237440255E+00" : "1.59467335677930E+01");
        assertThat(digits(fOf(lines.stream().map(line -> line.trim().split("\\s+")[0]).toList(), y), certified))
                .isGreaterThan(wanted);
    }

    /**
     * Simon–Lesage sets: nine treatments, a first value and then 0.1 below and above it by turns, behind a constant
     * of 1, 7
     * or 13 digits. F is the number of replicates. With 13 digits in front, a double holds four of those behind.
     */
    @ParameterizedTest
    @CsvSource({"1, 21, 13", "1, 201, 13", "1, 2001, 13", "1000000, 21, 10", "1000000, 201, 10", "1000000, 2001, 10",
            "1000000000000, 21, 4", "1000000000000, 201, 4", "1000000000000, 2001, 4"})
    void simonAndLesage(String constant, int replicates, double wanted) throws IOException {
        List<String> treatments = new ArrayList<>();
        List<Double> y = new ArrayList<>();
        simonAndLesage(constant, replicates, treatments, y);
        assertThat(digits(fOf(treatments, y.stream().mapToDouble(Double::doubleValue).toArray()), replicates))
                .isGreaterThan(wanted);
    }

    @Test
    void theGeneratedSetIsThePublishedOne() throws IOException {
        List<String> treatments = new ArrayList<>();
        List<Double> y = new ArrayList<>();
        simonAndLesage("1", 21, treatments, y);
        List<double[]> published = lines("SmLs01").stream()
                .skip(60)
                .filter(line -> !line.isBlank())
                .map(NistTest::row)
                .toList();
        assertThat(y).isEqualTo(published.stream().map(row -> row[1]).toList());
    }

    private static void simonAndLesage(String constant, int replicates, List<String> treatments, List<Double> y) {
        double[] first = {0.4, 0.3, 0.5, 0.3, 0.5, 0.3, 0.5, 0.3, 0.5};
        for (int t = 0; t < first.length; t++) {
            for (int k = 0; k < replicates; k++) {
                BigDecimal tenths = BigDecimal.valueOf(first[t])
                        .add(k == 0 ? BigDecimal.ZERO : new BigDecimal(k % 2 == 1 ? "-0.1" : "0.1"));
                treatments.add("t" + t);
                y.add(new BigDecimal(constant).add(tenths).doubleValue());
            }
        }
    }
}
