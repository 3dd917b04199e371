package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import org.grenu.core.diagnosis.FindingRule;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.SchoolMove;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.core.learn.Ladder.Rung;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.ResponseBelief;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;
import org.grenu.core.learn.StudentT;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.TasteNote;
import org.grenu.core.record.Tasting;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;

/**
 * What the schools answer to how the newest tasted shot tasted, each with this log's own evidence for its levers.
 *
 * @param shot    that was tasted
 * @param note    what is not wanted of it
 * @param answers the schools of that topic
 */
public record SchoolAnswers(String shot, TasteNote note, List<Answer> answers) {

    /** What the log says of a lever. */
    public enum Verdict {
        DIFFERS, SAME_IN_PRACTICE, CANNOT_SAY_YET
    }

    /** One school. */
    public record Answer(RulePack school, FindingRule rule, List<Evidence> levers) {

        public Answer {
            levers = List.copyOf(levers);
        }

        /** {@return whether the log itself says that its first lever does not help, which outranks the school} */
        public boolean contradicted() {
            return !levers.isEmpty() && levers.get(0)
                    .taste()
                    .map(effect -> levers.get(0).verdict() == Verdict.DIFFERS && effect.location() > 0)
                    .orElse(false);
        }
    }

    /**
     * What the log says of one lever.
     *
     * @param taste  by how much it moves the unwanted taste, 0–10; empty where none was noted with a number
     * @param yield  by how much it moves the extraction yield, points; empty where no shot was read
     * @param time   by how much it moves ln(time)
     * @param tasted how many shots were tasted with a number
     * @param learnt how much of what is known of the taste the log has told, 0 to 1; the rest is assumed
     */
    public record Evidence(SchoolMove move, Optional<StudentT> taste, Optional<StudentT> yield, StudentT time,
            int tasted, double learnt, Verdict verdict) {

        /** {@return whether what is assumed speaks louder than this log} */
        public boolean mostlyAssumed() {
            return learnt < 0.5;
        }
    }

    public SchoolAnswers {
        answers = List.copyOf(answers);
    }

    /** {@return the answers to the newest tasted shot of that ladder; empty where nothing unwanted was tasted} */
    public static Optional<SchoolAnswers> of(CoffeeAdvice given, List<RulePack> schools, Optional<String> expected) {
        List<Rung> rungs = given.advice().ladder().rungs();
        for (int i = rungs.size() - 1; i >= 0; i--) {
            Rung rung = rungs.get(i);
            Tasting tasting = Tasting.of(rung.shot().record());
            if (rung.step() != Step.APART && !tasting.notes().isEmpty()) {
                return tasting.unwanted(expected)
                        .stream()
                        .max((a, b) -> Double.compare(tasting.intensity(a).orElse(1), tasting.intensity(b).orElse(1)))
                        .map(note -> answers(given, rung.shot(), note, schools, expected));
            }
        }
        return Optional.empty();
    }

    private static SchoolAnswers answers(CoffeeAdvice given, MeasuredShot shot, TasteNote note,
            List<RulePack> schools, Optional<String> expected) {
        ShotRecord record = expected.map(notes -> shot.record().with(RecordField.EXPECTED_NOTES, notes))
                .orElse(shot.record());
        ShotContext tasted = new ShotContext(record, shot.measures(), Optional.empty());
        String topic = note.side() == TasteNote.Side.UNDER ? "Sour" : "Bitter";
        List<Answer> answers = new ArrayList<>();
        for (RulePack school : schools) {
            if (school.topic().equals(topic)) {
                school.rules()
                        .stream()
                        .filter(rule -> !rule.moves().isEmpty() && rule.speaksOf(tasted, school.school()))
                        .findFirst()
                        .ifPresent(rule -> answers.add(new Answer(school, rule, rule.moves()
                                .stream()
                                .map(move -> evidence(given, note, move))
                                .toList())));
            }
        }
        return new SchoolAnswers(shot.name(), note, answers);
    }

    private static Evidence evidence(CoffeeAdvice given, TasteNote note, SchoolMove move) {
        ShotInputs held = given.advice().held();
        ShotInputs moved = held.with(move.lever(), held.setting(move.lever()) + move.by());
        Optional<StandardResponse> response = StandardResponse.of(note);
        Optional<ResponseBelief> belief = response
                .map(asked -> given.advice().beliefs().tastes().get(asked.key()));
        Optional<StudentT> taste = belief.map(known -> known.effect(held, moved));
        int tasted = response.map(asked -> (int) given.advice()
                .ladder()
                .rungs()
                .stream()
                .filter(rung -> rung.step() != Step.APART && asked.of(rung.shot()).isPresent())
                .count()).orElse(0);
        double learnt = belief.map(known -> known.learnt(move.lever())).orElse(0.0);
        return new Evidence(move, taste,
                given.advice().beliefs().yield().map(known -> known.effect(held, moved)),
                given.advice().beliefs().time().effect(held, moved), tasted, learnt,
                taste.map(effect -> verdict(effect, learnt,
                        response.map(StandardResponse::usualMargin).orElse(1.0))).orElse(Verdict.CANNOT_SAY_YET));
    }

    /**
     * That a lever does nothing is said when the log would say so without what is assumed, which leaves small effects
     * only: its own share of the precision alone makes the interval wider, and the effect larger.
     */
    private static Verdict verdict(StudentT effect, double learnt, double margin) {
        boolean within = Math.abs(effect.location()) / learnt + effect.half() / Math.sqrt(learnt) < margin;
        return within ? Verdict.SAME_IN_PRACTICE
                : effect.excludesNought() ? Verdict.DIFFERS : Verdict.CANNOT_SAY_YET;
    }

    /** {@return whether two schools pull another lever first, so that a blind test of both would tell} */
    public boolean disagree() {
        return answers.stream()
                .filter(answer -> !answer.levers().isEmpty())
                .map(answer -> answer.levers().get(0).move())
                .distinct()
                .count() > 1;
    }

    /** {@return whether the log has moved that lever, by half a step or more, so that it tells what it does} */
    public static boolean varied(CoffeeAdvice given, Slope lever) {
        DoubleSummaryStatistics set = given.advice()
                .shots()
                .stream()
                .mapToDouble(shot -> shot.inputs().setting(lever))
                .summaryStatistics();
        SettingRange range = given.setUp().reach().others().get(lever);
        double step = lever == Slope.GRIND ? given.setUp().reach().grind().step() : range == null ? 1 : range.step();
        return set.getCount() > 0 && set.getMax() - set.getMin() >= step / 2;
    }
}
