package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.grenu.core.model.Design;
import org.grenu.core.model.FTest;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.Term;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MeasuredShot;

/**
 * A characteristic by row: numbers, or the number of its level; NaN where unknown.
 *
 * @param numbers by row
 * @param levels  how many; 0 for a number
 */
record CharacteristicColumn(double[] numbers, int levels) {

    private static final int FEWEST = 3;

    /** {@return the column; empty where it is the same in all rows} */
    static Optional<CharacteristicColumn> of(Characteristic one, List<MeasuredShot> shots) {
        if (one.variable().numeric()) {
            return ofNumbers(one, shots);
        }
        List<String> levels = new ArrayList<>();
        double[] numbers = shots.stream().mapToDouble(shot -> one.variable().level(shot).map(level -> {
            if (!levels.contains(level)) {
                levels.add(level);
            }
            return (double) levels.indexOf(level);
        }).orElse(Double.NaN)).toArray();
        return levels.size() > 1 ? Optional.of(new CharacteristicColumn(numbers, levels.size())) : Optional.empty();
    }

    private static Optional<CharacteristicColumn> ofNumbers(Characteristic one, List<MeasuredShot> shots) {
        double[] numbers = shots.stream()
                .mapToDouble(shot -> one.variable().number(shot).orElse(Double.NaN))
                .toArray();
        boolean differ = Arrays.stream(numbers).filter(number -> !Double.isNaN(number)).distinct().count() > 1;
        return differ ? Optional.of(new CharacteristicColumn(numbers, 0)) : Optional.empty();
    }

    boolean numeric() {
        return levels == 0;
    }

    /** {@return the rows in which both are known; none where they are too few} */
    int[] rows(double[] asked) {
        int[] rows = IntStream.range(0, asked.length)
                .filter(i -> !Double.isNaN(asked[i]) && !Double.isNaN(numbers[i]))
                .toArray();
        return rows.length < FEWEST ? new int[0] : rows;
    }

    boolean knownThroughout() {
        return Arrays.stream(numbers).noneMatch(Double::isNaN);
    }

    /** {@return how many different values it has in those rows} */
    long different(int[] rows) {
        return IntStream.of(rows).mapToDouble(i -> numbers[i]).distinct().count();
    }

    /**
     * {@return the share of what is asked about that this foretells; NaN where either stands still, or each shot has
     * a level of its own}
     */
    double share(double[] asked, int[] rows) {
        double[] y = IntStream.of(rows).mapToDouble(i -> asked[i]).toArray();
        double mean = Arrays.stream(y).average().orElse(0);
        double squares = Arrays.stream(y).map(v -> (v - mean) * (v - mean)).sum();
        double[] x = IntStream.of(rows).mapToDouble(i -> numbers[i]).toArray();
        long different = different(rows);
        if (!(squares > 1e-12) || different < 2 || !numeric() && different > 2 && different > rows.length / 2) {
            return Double.NaN;
        }
        return 1 - FixedFit.of(new Design(x.length, List.of(term(x))), Samples.of(y), KnownErrors.ones(x.length)).rss()
                / squares;
    }

    private Term term(double[] x) {
        return numeric() ? new Term.Numeric("x", Samples.of(x))
                : Term.Levels.of("x", Arrays.stream(x).mapToObj(Double::toString).toList());
    }

    /** {@return how far it moved over the range of what is asked about, by a straight line} */
    double shift(double[] asked, int[] rows) {
        double[] x = IntStream.of(rows).mapToDouble(i -> asked[i]).toArray();
        double[] y = IntStream.of(rows).mapToDouble(i -> numbers[i]).toArray();
        double range = Arrays.stream(x).max().orElse(0) - Arrays.stream(x).min().orElse(0);
        return range > 0 ? FixedFit
                .of(new Design(x.length, List.of(new Term.Numeric("x", Samples.of(x)))), Samples.of(y),
                        KnownErrors.ones(x.length))
                .coefficients()[1] * range : 0;
    }

    /** {@return the chance of such a share where nothing moves along} */
    double p(double share, int[] rows) {
        double above = (numeric() ? 2 : different(rows)) - 1;
        double below = rows.length - above - 1;
        return share > 1 - 1e-9 ? 0
                : below < 1 ? 1 : new FTest(share / above / ((1 - share) / below), above, below).p();
    }

    /** {@return whether all that was asked about rose, or fell, along with it} */
    boolean apart(double[] asked, int[] rows) {
        int[] sorted = IntStream.of(rows)
                .boxed()
                .sorted((a, b) -> Double.compare(numbers[a], numbers[b]))
                .mapToInt(Integer::intValue)
                .toArray();
        boolean rises = true;
        boolean falls = true;
        for (int k = 1; k < sorted.length; k++) {
            rises &= asked[sorted[k]] >= asked[sorted[k - 1]];
            falls &= asked[sorted[k]] <= asked[sorted[k - 1]];
        }
        return rises != falls;
    }
}
