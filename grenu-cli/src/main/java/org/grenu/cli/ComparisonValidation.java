package org.grenu.cli;

import org.grenu.core.quantity.DisplayUnits;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.grenu.core.puck.Puck;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.CurveDifference;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.Question;
import org.grenu.core.compare.Verdict;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.model.Power;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.Factor;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;

/**
 * How often comparisons are right: many small studies drawn from large pools of simulated shots, so that the true
 * difference is that of the pools' means. A study never holds a shot twice.
 */
final class ComparisonValidation {

    private static final StandardResponse EY = StandardResponse.EY_AS_DOSED;
    private static final Variable ARM = Variable.of(RecordFactor.ARM);
    private static final int EACH = 6;
    private static final int SHUFFLES = 199;
    private static final double DAY_SHIFT = 0.15;

    private final int studies;
    private final Random random;
    private final List<MeasuredShot> finer;
    private final List<MeasuredShot> coarser;
    private final double truth;
    private final double spread;
    private final List<String> rows = new ArrayList<>();

    private ComparisonValidation(int studies, int pool, long seed) {
        this.studies = studies;
        this.random = new Random(seed);
        this.finer = pool(2.3, pool, seed);
        this.coarser = pool(2.4, pool, seed + 1_000_003);
        this.truth = mean(finer) - mean(coarser);
        this.spread = Math.sqrt((variance(finer) + variance(coarser)) / 2);
    }

    /** {@return the results as Markdown} */
    static String run(int studies, int pool, long seed) {
        return new ComparisonValidation(studies, pool, seed).markdown(pool);
    }

    private static List<MeasuredShot> pool(double grind, int shots, long seed) {
        List<MeasuredShot> pool = new ArrayList<>();
        for (int i = 0; i < shots; i++) {
            RigRecipe recipe = new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 16, 18, grind, 93),
                    DemoProfile.STRAIGHT_NINE.profile(), 38, 90);
            SimulatedShot shot = new SimulatedRig(seed + 7L * i).pull(recipe, List.of());
            ShotRecord record = record(shot);
            pool.add(new MeasuredShot(grind + "-" + i, record, ShotMeasures.of(new Shot(record, shot.log()))));
        }
        return pool;
    }

    private static ShotRecord record(SimulatedShot shot) {
        return ShotRecord.EMPTY.with(RecordField.DOSE, 18)
                .with(RecordField.BEVERAGE, String.format(Locale.ROOT, "%.1f", shot.truth().beverageGrams()))
                .with(RecordField.ZERO, shot.zero())
                .with(RecordField.READINGS,
                        shot.readings().stream().map(String::valueOf).collect(Collectors.joining("; ")));
    }

    private String markdown(int pool) {
        intervals();
        falseDiffers();
        wrongSame();
        forecast();
        days();
        curves();
        return String.format(Locale.ROOT, """

                ## Comparisons

                %d studies each, made by `./grenu validate --comparisons %d`: %d and %d shots drawn without \
                repetition from two pools of
                %d simulated shots, a grind apart by 0.1; their extraction yields truly differ by %.3f points, \
                alike shots spread by %.3f.
                Shares carry about ±%.1f points of chance (95 %%).

                | asked | found | wanted |
                |---|---|---|
                %s
                """, studies, studies, EACH, EACH, pool, truth, spread, 196 * Math.sqrt(0.05 * 0.95 / studies),
                String.join("\n", rows));
    }

    private void row(String asked, double share, String wanted) {
        rows.add(String.format(Locale.ROOT, "| %s | %.1f %% | %s |", asked, 100 * share, wanted));
    }

    private void intervals() {
        row("95 % interval holds the true difference", share(() -> {
            Effect effect = effect(arms(draw(finer, EACH), draw(coarser, EACH)), 0.5);
            return Math.abs(effect.estimate().orElseThrow().value() - truth) <= effect.halfWidth();
        }), "94–96 %");
    }

    private void falseDiffers() {
        row("“differs” where nothing does", share(() -> {
            List<MeasuredShot> alike = draw(finer, 2 * EACH);
            return effect(arms(alike.subList(0, EACH), alike.subList(EACH, 2 * EACH)), 0)
                    .verdict() instanceof Verdict.Differs;
        }), "at most 5 %");
    }

    private void wrongSame() {
        row("“same in practice” where the difference is just the margin",
                share(() -> effect(arms(draw(finer, EACH), draw(coarser, EACH)), Math.abs(truth))
                        .verdict() instanceof Verdict.SameInPractice),
                "at most 5 %");
    }

    /** As many shots as the forecast asks for, where effect and spread are as it was told. */
    private void forecast() {
        for (double margin : new double[] {0, 0.5}) {
            int each = 2;
            while (power(each, margin) < 0.8) {
                each++;
            }
            int asked = each;
            double found = share(() -> {
                Verdict verdict = effect(arms(draw(finer, asked), draw(coarser, asked)), margin).verdict();
                return verdict instanceof Verdict.Differs || verdict instanceof Verdict.SameInPractice;
            });
            row(String.format(Locale.ROOT, "an answer with the %d shots an arm forecast for %.1f %%, margin %s", asked,
                    100 * power(asked, margin), margin == 0 ? "none" : "±0.5"), found,
                    String.format(Locale.ROOT, "%.1f ± 5 %%", 100 * power(asked, margin)));
        }
    }

    private double power(int each, double margin) {
        return Power.ofAnswer(truth, spread * Math.sqrt(2.0 / each), 2 * each - 2, margin, Question.ALPHA);
    }

    /** Five days of two shots an arm, each day shifted as a whole. */
    private void days() {
        row(String.format(Locale.ROOT, "95 %% interval, five days that shift by %.2f points, random intercept",
                DAY_SHIFT), share(() -> {
                    List<MeasuredShot> shots = fiveDays();
                    Effect effect = Comparison
                            .of(Question.of(List.of(ARM), List.of(EY))
                                    .inBlocks(Optional.of((Factor) RecordFactor.BLOCK)), shots)
                            .answers()
                            .get(0)
                            .effects()
                            .get(0);
                    return Math.abs(effect.estimate().orElseThrow().value() - truth) <= effect.halfWidth();
                }), "94–96 %");
    }

    private List<MeasuredShot> fiveDays() {
        List<MeasuredShot> shots = new ArrayList<>();
        List<MeasuredShot> one = draw(finer, 10);
        List<MeasuredShot> other = draw(coarser, 10);
        for (int day = 0; day < 5; day++) {
            double shift = DAY_SHIFT * random.nextGaussian();
            for (int k = 0; k < 2; k++) {
                shots.add(shifted(one.get(2 * day + k), "finer", day, shift));
                shots.add(shifted(other.get(2 * day + k), "other", day, shift));
            }
        }
        return shots;
    }

    private void curves() {
        List<Channel> channels = List.of(Channel.PRESSURE, Channel.CUP_FLOW, Channel.CUP_MASS);
        row("curves of alike shots “differ” anywhere on three channels", share(() -> {
            List<MeasuredShot> alike = draw(finer, 2 * EACH);
            CurveOverlay overlay = CurveOverlay.of(arms(alike.subList(0, EACH), alike.subList(EACH, 2 * EACH)),
                    RecordFactor.ARM, AxisKind.FIRST_DRIP, channels);
            return CurveDifference.of(overlay, "finer", "other", List.of(), SHUFFLES)
                    .orElseThrow()
                    .channels()
                    .stream()
                    .anyMatch(one -> !one.stretches().isEmpty());
        }), "at most 5 %");
    }

    private interface Study {
        boolean holds();
    }

    private double share(Study study) {
        int held = 0;
        for (int i = 0; i < studies; i++) {
            held += study.holds() ? 1 : 0;
        }
        return held / (double) studies;
    }

    private Effect effect(List<MeasuredShot> shots, double margin) {
        Question question = new Question(List.of(ARM), List.of(), List.of(EY), ComparisonBasis.EQUAL_SETTING,
                Optional.empty(), new Question.Judging(Map.of(EY.key(), margin), Map.of(), false),
                DisplayUnits.CANONICAL);
        return Comparison.of(question, shots).answers().get(0).effects().get(0);
    }

    private List<MeasuredShot> draw(List<MeasuredShot> pool, int count) {
        List<MeasuredShot> drawn = new ArrayList<>();
        Predicate<MeasuredShot> fresh = shot -> drawn.stream().noneMatch(other -> other == shot);
        while (drawn.size() < count) {
            MeasuredShot shot = pool.get(random.nextInt(pool.size()));
            if (fresh.test(shot)) {
                drawn.add(shot);
            }
        }
        Collections.shuffle(drawn, random);
        return drawn;
    }

    private static List<MeasuredShot> arms(List<MeasuredShot> finer, List<MeasuredShot> other) {
        List<MeasuredShot> shots = new ArrayList<>();
        finer.forEach(shot -> shots
                .add(new MeasuredShot(shot.name(), shot.record().with(RecordField.ARM, "finer"), shot.measures())));
        other.forEach(shot -> shots
                .add(new MeasuredShot(shot.name(), shot.record().with(RecordField.ARM, "other"), shot.measures())));
        return shots;
    }

    /** The shot as it would read on a day when everything extracts more by so many points. */
    private static MeasuredShot shifted(MeasuredShot shot, String arm, int day, double points) {
        String readings = shiftedReadings(shot, points);
        ShotRecord record = shot.record()
                .with(RecordField.READINGS, readings)
                .with(RecordField.ARM, arm)
                .with(RecordField.BLOCK, "day " + day);
        ShotMeasures m = shot.measures();
        return new MeasuredShot(shot.name(), record,
                new ShotMeasures(m.curve(), Masses.of(record, m.curve().beverage()),
                        m.planned(), m.phases(), m.hydraulics(), m.features()));
    }

    private static String shiftedReadings(MeasuredShot shot, double points) {
        double strength = points * shot.measures().masses().dose().orElseThrow().value()
                / shot.measures().masses().beverage().orElseThrow().value();
        return shot.record()
                .numbers(RecordField.READINGS)
                .stream()
                .map(reading -> String.format(Locale.ROOT, "%.4f", reading + strength))
                .collect(Collectors.joining("; "));
    }

    private static double value(MeasuredShot shot) {
        return EY.of(shot).orElseThrow().value();
    }

    private static double mean(List<MeasuredShot> shots) {
        return shots.stream().mapToDouble(ComparisonValidation::value).average().orElseThrow();
    }

    private static double variance(List<MeasuredShot> shots) {
        double mean = mean(shots);
        return shots.stream().mapToDouble(shot -> Math.pow(value(shot) - mean, 2)).sum() / (shots.size() - 1);
    }
}
