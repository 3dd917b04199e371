package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import org.grenu.core.model.Design;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FTest;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.Term;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.Measured;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordField;

/**
 * What moved along with what is asked about, so that these shots cannot tell which of the two did it. A
 * characteristic moved
 * along with a change when it foretells four fifths of it, beyond chance and beyond what makes no difference in
 * practice, or
 * when the verdict falls once it is adjusted for.
 */
final class ConfounderCheck {

    /**
     * Share of the change that a characteristic foretells from which on the effect's variance is five times as
     * large with it (common practice).
     */
    private static final double ALMOST = 0.8;
    /** Several dozen characteristics are looked at: a chance of one in a hundred each. */
    private static final double CHANCE = 0.01;
    /**
     * Share of an effect that something which moved along may explain at most for the effect to stand (common
     * practice, no source).
     */
    private static final double LITTLE = 0.25;
    private static final int MOST_NAMED = 4;
    private static final int FEWEST = 3;

    private final Question question;
    private final List<Characteristic> beside;
    private final boolean drawn;
    private final MatchedBasis ground;

    ConfounderCheck(Question question, List<MeasuredShot> shots, MatchedBasis ground) {
        this.question = question;
        this.ground = ground;
        this.beside = question.beside(shots);
        this.drawn = !shots.isEmpty() && shots.stream().allMatch(shot -> shot.record().flag(RecordField.ORDER_DRAWN));
    }

    /** {@return the characteristics that are looked at} */
    List<Characteristic> beside() {
        return beside;
    }

    /**
     * Effects with what speaks against some of them.
     *
     * @param effects     each that cannot be told from something that moved along judged so
     * @param confounders what moved along
     */
    record Judged(List<Effect> effects, List<Confounder> confounders) {
    }

    /** {@return those effects, each that cannot be told from something that moved along judged so} */
    Judged judged(ResponseModel model, List<Effect> effects) {
        Map<Effect, Set<Characteristic>> found = confounders(model, effects);
        List<Confounder> confounders = effects.stream()
                .filter(found::containsKey)
                .flatMap(effect -> found.get(effect)
                        .stream()
                        .map(one -> new Confounder(one.variable(), effect.variable())))
                .distinct()
                .toList();
        return new Judged(
                effects.stream()
                        .map(effect -> found.containsKey(effect)
                                ? effect.judged(new Verdict.Confounded(names(found.get(effect)))) : effect)
                        .toList(),
                confounders);
    }

    /** {@return what differs by nature between the levels of an arm or a recipe, beside what moved along unmeant} */
    List<Characteristic> partsOf(Variable asked, List<MeasuredShot> shots) {
        return beside.stream()
                .filter(one -> one.partOf(asked) && asked instanceof Variable.Treatment && moved(one, asked, shots))
                .toList();
    }

    /** Whether it is known throughout and differs somewhere between levels of that variable. */
    private static boolean moved(Characteristic one, Variable asked, List<MeasuredShot> shots) {
        Map<String, Set<String>> byLevel = new LinkedHashMap<>();
        for (MeasuredShot shot : shots) {
            if (asked.level(shot).isPresent() && one.variable().level(shot).isPresent()) {
                byLevel.computeIfAbsent(asked.level(shot).get(), level -> new HashSet<>())
                        .add(one.variable().level(shot).get());
            }
        }
        return byLevel.values().stream().distinct().count() > 1
                && byLevel.values().stream().allMatch(levels -> levels.size() == 1);
    }

    /** By the very effect; its order is none, so whoever lists them goes by the effects'. */
    private Map<Effect, Set<Characteristic>> confounders(ResponseModel model, List<Effect> effects) {
        Map<Effect, Set<Characteristic>> found = new IdentityHashMap<>();
        for (Characteristic one : beside) {
            if (!one.mayExplain(model.response()) || drawn && one.isOrder()) {
                continue;
            }
            Optional<Column> column = Column.of(one, model.shots());
            for (Effect effect : effects) {
                boolean asked = !(effect.variable() instanceof Variable.Covariate)
                        && !(effect.verdict() instanceof Verdict.SeenOnce)
                        && !(effect.verdict() instanceof Verdict.Mediated) && effect.estimate().isPresent();
                if (asked && column.isPresent() && !one.partOf(effect.variable()) && !inTheModel(model, one)
                        && cannotTell(model, effect, one, column.get())) {
                    found.computeIfAbsent(effect, key -> new LinkedHashSet<>()).add(one);
                }
            }
        }
        return found;
    }

    private static boolean inTheModel(ResponseModel model, Characteristic one) {
        return model.terms().keySet().stream().anyMatch(variable -> variable.key().equals(one.variable().key()));
    }

    private boolean cannotTell(ResponseModel model, Effect effect, Characteristic one, Column column) {
        double[] asked = asked(model, effect);
        int[] rows = IntStream.range(0, asked.length).filter(i -> !Double.isNaN(asked[i]) && column.known(i)).toArray();
        if (rows.length < FEWEST) {
            return false;
        }
        if (one.variable() instanceof Variable.Placed placed && placed.numeric()) {
            return rows.length > FEWEST && apart(asked, column.numbers, rows);
        }
        double share = column.share(asked, rows);
        double tolerance = one.tolerance() > 0 ? one.tolerance() : 0;
        if (Double.isNaN(share) || column.numeric() && !(column.shift(asked, rows) > tolerance)
                || measuredByTheUser(one, column, rows)) {
            return false;
        }
        return column.p(share, rows) < CHANCE
                && (share >= ALMOST && !explainsLittle(model, effect, one, column.shift(asked, rows))
                        || falls(model, effect, one));
    }

    /** Whether the most that it can have done is small against the effect and leaves the verdict as it is. */
    private static boolean explainsLittle(ResponseModel model, Effect effect, Characteristic one, double shift) {
        double usual = model.values().stream().mapToDouble(Measured::value).average().orElse(Double.NaN);
        double own = model.shots()
                .stream()
                .flatMapToDouble(shot -> one.variable().number(shot).stream())
                .average()
                .orElse(Double.NaN);
        OptionalDouble most = one.mostExplained(model.response(), shift / own, usual);
        if (most.isEmpty()) {
            return false;
        }
        double size = Math.abs(effect.estimate().orElseThrow().value());
        double explained = most.getAsDouble();
        if (effect.verdict() instanceof Verdict.SameInPractice) {
            return size + explained + effect.equivalenceHalfWidth() <= effect.margin();
        }
        return effect.verdict() instanceof Verdict.Differs
                ? explained <= LITTLE * size && size - explained > effect.halfWidth() : explained <= effect.halfWidth();
    }

    /** A number of the user's own that scatters is what came of the shot as likely as what went into it. */
    private static boolean measuredByTheUser(Characteristic one, Column column, int[] rows) {
        boolean own = one.variable() instanceof Variable.Treatment treatment && treatment.factor() instanceof OwnFactor;
        return own && column.numeric()
                && IntStream.of(rows).mapToDouble(i -> column.numbers[i]).distinct().count() > rows.length / 2;
    }

    /**
     * By row what the effect sets against each other: 1 and 0 for two levels, NaN for others; the number for a
     * number.
     */
    private double[] asked(ResponseModel model, Effect effect) {
        Optional<Contrast.LevelPair> pair = contrast(question, model, effect).flatMap(Contrast::pair);
        return model.shots().stream().mapToDouble(shot -> {
            if (pair.isEmpty()) {
                return effect.variable().number(shot).orElse(Double.NaN);
            }
            String level = effect.variable().level(shot).orElse("");
            return level.equals(pair.get().one()) ? 1 : level.equals(pair.get().other()) ? 0 : Double.NaN;
        }).toArray();
    }

    /** The effect's change among those of a model, which may hold more than the effect's own. */
    private static Optional<Contrast> contrast(Question question, ResponseModel model, Effect effect) {
        return Contrast.of(question, model)
                .stream()
                .filter(one -> one.variable().equals(effect.variable())
                        && one.change().equals(effect.change()) && one.at().equals(effect.at()))
                .findFirst();
    }

    /** Whether all that was asked about rose, or fell, along with the order. */
    private static boolean apart(double[] asked, double[] order, int[] rows) {
        int[] sorted = IntStream.of(rows)
                .boxed()
                .sorted((a, b) -> Double.compare(order[a], order[b]))
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

    /** Whether the verdict does not survive adjusting for what moved along in part. */
    private boolean falls(ResponseModel model, Effect effect, Characteristic one) {
        boolean claims = effect.verdict() instanceof Verdict.Differs
                || effect.verdict() instanceof Verdict.SameInPractice;
        if (!claims) {
            return false;
        }
        Optional<Estimate> adjusted = adjusted(model, effect, one);
        return adjusted.isEmpty()
                || (effect.verdict() instanceof Verdict.Differs) != adjusted.get().pAgainst(0) <= Question.ALPHA;
    }

    private Optional<Estimate> adjusted(ResponseModel model, Effect effect, Characteristic one) {
        Question beside = question.beside(one.variable());
        ResponseModel wider = ResponseModel.of(beside, model.response(), model.shots(), ground);
        return wider.fit() == null ? Optional.empty()
                : contrast(beside, wider, effect).flatMap(contrast -> wider.fit().estimate(contrast.weights()));
    }

    /** {@return such as "day, bag and run order"} */
    static String names(Collection<Characteristic> some) {
        List<String> names = new ArrayList<>(some.stream().map(one -> Wording.small(one.title())).toList());
        if (names.size() > MOST_NAMED) {
            int more = names.size() - MOST_NAMED + 1;
            names = new ArrayList<>(names.subList(0, MOST_NAMED - 1));
            names.add(more + " more");
        }
        return Wording.list(names);
    }

    /** A characteristic by row: numbers, or the number of its level; NaN where unknown. */
    private record Column(double[] numbers, int levels) {

        static Optional<Column> of(Characteristic one, List<MeasuredShot> shots) {
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
            return levels.size() > 1 ? Optional.of(new Column(numbers, levels.size())) : Optional.empty();
        }

        private static Optional<Column> ofNumbers(Characteristic one, List<MeasuredShot> shots) {
            double[] numbers = shots.stream()
                    .mapToDouble(shot -> one.variable().number(shot).orElse(Double.NaN))
                    .toArray();
            return differ(numbers) ? Optional.of(new Column(numbers, 0)) : Optional.empty();
        }

        private static boolean differ(double[] numbers) {
            return Arrays.stream(numbers).filter(number -> !Double.isNaN(number)).distinct().count() > 1;
        }

        boolean numeric() {
            return levels == 0;
        }

        boolean known(int row) {
            return !Double.isNaN(numbers[row]);
        }

        /**
         * Share of what is asked about that this foretells; NaN where either stands still, or each shot has a level
         * of its own.
         */
        double share(double[] asked, int[] rows) {
            double[] y = IntStream.of(rows).mapToDouble(i -> asked[i]).toArray();
            double mean = Arrays.stream(y).average().orElse(0);
            double squares = Arrays.stream(y).map(v -> (v - mean) * (v - mean)).sum();
            double[] x = IntStream.of(rows).mapToDouble(i -> numbers[i]).toArray();
            long different = Arrays.stream(x).distinct().count();
            if (!(squares > 1e-12) || different < 2 || !numeric() && different > 2 && different > rows.length / 2) {
                return Double.NaN;
            }
            return 1 - fit(x, y).rss() / squares;
        }

        private FixedFit fit(double[] x, double[] y) {
            Term term = numeric() ? new Term.Numeric("x", Samples.of(x))
                    : Term.Levels.of("x", Arrays.stream(x).mapToObj(Double::toString).toList());
            return FixedFit.of(new Design(x.length, List.of(term)), Samples.of(y), KnownErrors.ones(x.length));
        }

        /** How far it moved over the range of what is asked about, by a straight line, without sign. */
        double shift(double[] asked, int[] rows) {
            double[] x = IntStream.of(rows).mapToDouble(i -> asked[i]).toArray();
            double[] y = IntStream.of(rows).mapToDouble(i -> numbers[i]).toArray();
            double range = Arrays.stream(x).max().orElse(0) - Arrays.stream(x).min().orElse(0);
            return range > 0 ? Math.abs(FixedFit
                    .of(new Design(x.length, List.of(new Term.Numeric("x", Samples.of(x)))), Samples.of(y),
                            KnownErrors.ones(x.length))
                    .coefficients()[1] * range) : 0;
        }

        /** Chance of such a share where nothing moves along. */
        double p(double share, int[] rows) {
            long different = numeric() ? 2 : IntStream.of(rows).mapToDouble(i -> numbers[i]).distinct().count();
            double above = different - 1;
            double below = rows.length - different;
            return share > 1 - 1e-9 ? 0
                    : below < 1 ? 1 : new FTest(share / above / ((1 - share) / below), above, below).p();
        }
    }
}
