package org.grenu.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.Question;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.Verdict;
import org.grenu.core.demo.weighing.StudyKind;
import org.grenu.core.demo.weighing.WeighingStudy;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/** How often comparisons claim, refuse and cover where something beside the treatment moves along. */
final class WeighingValidation {

    private static final List<String> NOISES = List.of("a", "b", "c", "d", "e");
    private static final Variable FROZEN = Variable.of(RecordFactor.BEANS_TREATMENT);

    private final int studies;
    private final Random random;

    private WeighingValidation(int studies, long seed) {
        this.studies = studies;
        this.random = new Random(seed);
    }

    /** {@return the results as Markdown} */
    static String run(int studies, long seed) {
        return new WeighingValidation(studies, seed).markdown();
    }

    private String markdown() {
        StringBuilder rows = new StringBuilder();
        for (StudyKind kind : StudyKind.values()) {
            rows.append(row(kind));
        }
        return String.format(Locale.ROOT, """

                ## What moves along

                %d studies of each kind, made by the same command: two arms of eight (unless said), alike shots spread \
                by 0.25 points.
                A treatment does a whole point or nothing; what moved along does a whole point. A claim is \
                “differs” or “at least”; a
                refusal is “cannot be told from”. Wanted: a true point claimed in at least 95 %%, refused in at most \
                5 %%, nothing claimed
                in at most 5 %%, intervals holding 94–96 %%.

                | kind | truth, points | claimed | refused | interval holds the truth |
                |---|---|---|---|---|
                %s| five responses, nothing moved: “also changes” | 0 | %s | – | – |
                | two factors and their interaction, nothing moved, with Holm | 0 | %s | – | – |
                """, studies, rows, percent(alsoChanges()), percent(twoFactors()));
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.1f %%", 100 * share);
    }

    private String row(StudyKind kind) {
        boolean grind = kind == StudyKind.CARRY_OVER || kind == StudyKind.CARRY_OVER_UNKNOWN;
        double truth = grind ? -kind.truth() : kind.truth();
        int claims = 0;
        int refusals = 0;
        int covered = 0;
        for (int k = 0; k < studies; k++) {
            Variable asked = grind ? Variable.of(RecordFactor.GRIND) : FROZEN;
            Question question = Question.of(List.of(asked), List.of(StandardResponse.EY_AS_DOSED));
            Effect effect = Comparison
                    .of(kind == StudyKind.FEW_DAYS ? question.inBlocks(Optional.of(RecordFactor.BLOCK)) : question,
                            shots(WeighingStudy.draw(kind, random)))
                    .answers()
                    .get(0)
                    .effects()
                    .get(0);
            boolean refused = effect.verdict() instanceof Verdict.Confounded;
            claims += effect.verdict() instanceof Verdict.Differs || effect.verdict() instanceof Verdict.AtLeast ? 1
                    : 0;
            refusals += refused ? 1 : 0;
            covered += !refused && effect.estimate().isPresent()
                    && Math.abs(effect.estimate().get().value() - truth) <= effect.halfWidth() ? 1 : 0;
        }
        int told = studies - refusals;
        return String.format(Locale.ROOT, "| %s | %.0f | %s | %s | %s |%n", kind.words(), kind.truth(),
                percent(claims / (double) studies), percent(refusals / (double) studies),
                told == 0 ? "–" : percent(covered / (double) told));
    }

    private static List<MeasuredShot> shots(List<Shot> drawn) {
        List<MeasuredShot> shots = new ArrayList<>();
        drawn.forEach(shot -> shots
                .add(new MeasuredShot(Integer.toString(shots.size() + 1), shot.record(), ShotMeasures.of(shot))));
        return shots;
    }

    private double alsoChanges() {
        int claimed = 0;
        for (int k = 0; k < studies; k++) {
            List<MeasuredShot> shots = shots(WeighingStudy.draw(StudyKind.SOUND, random)).stream().map(shot -> {
                ShotRecord record = shot.record();
                for (String noise : NOISES) {
                    record = record.withExtra(noise, Double.toString(5 + random.nextGaussian()));
                }
                return new MeasuredShot(shot.name(), record, shot.measures());
            }).toList();
            List<ShotRecord> records = shots.stream().map(MeasuredShot::record).toList();
            List<Response> responses = NOISES.stream()
                    .map(noise -> (Response) new OwnResponse(OwnFactor.of(noise, records).orElseThrow(), 0))
                    .toList();
            claimed += Comparison.of(Question.of(List.of(FROZEN), responses), shots)
                    .answers()
                    .stream()
                    .skip(1)
                    .flatMap(answer -> answer.effects().stream())
                    .anyMatch(effect -> effect.verdict() instanceof Verdict.Differs) ? 1 : 0;
        }
        return claimed / (double) studies;
    }

    private double twoFactors() {
        Variable basket = Variable.of(RecordFactor.BASKET);
        Response noise = StandardResponse.EY_AS_DOSED;
        Question question = new Question(List.of(FROZEN, basket), List.of(), List.of(noise),
                ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                new Question.Judging(Map.of(noise.key(), 0.0), Map.of(), true),
                DisplayUnits.CANONICAL);
        int claimed = 0;
        for (int k = 0; k < studies; k++) {
            List<MeasuredShot> shots = new ArrayList<>();
            for (MeasuredShot shot : shots(WeighingStudy.draw(StudyKind.FEW_DAYS, random))) {
                ShotRecord record = shot.record()
                        .with(RecordField.BLOCK, "")
                        .withExtra("noise", Double.toString(5 + random.nextGaussian()));
                shots.add(new MeasuredShot(shot.name(), record, shot.measures()));
            }
            List<ShotRecord> records = shots.stream().map(MeasuredShot::record).toList();
            ResponseAnswer answer = Comparison
                    .of(question.of(List.of(new OwnResponse(OwnFactor.of("noise", records).orElseThrow(), 0))), shots)
                    .answers()
                    .get(0);
            claimed += !answer.together().isEmpty()
                    || answer.effects().stream().anyMatch(effect -> effect.verdict() instanceof Verdict.Differs) ? 1
                            : 0;
        }
        return claimed / (double) studies;
    }
}
