package org.grenu.core.compare;

import org.grenu.core.quantity.DisplayUnits;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiFunction;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;

/** Everything else that differed, each kind by itself. */
class BalanceReviewTest {

    private static final Variable GRIND = Variable.of(RecordFactor.GRIND);
    private static final List<Response> EY = List.of(StandardResponse.EY_AS_DOSED);

    /** Twelve shots of three grinds in turn, finer extracts more; {@code more} adds to the record of each. */
    private static List<MeasuredShot> shots(BiFunction<Integer, ShotRecord, ShotRecord> more) {
        Random random = new Random(12);
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            ShotRecord record = Bench.record(18, 40, 9 - 0.3 * (i % 3) + 0.03 * random.nextGaussian())
                    .with(RecordField.GRIND, (22 + 2 * (i % 3)) / 10.0);
            shots.add(Bench.shot(Integer.toString(i + 1), more.apply(i, record)));
        }
        return shots;
    }

    private static Optional<BalanceNote> note(Question question, List<MeasuredShot> shots, String title) {
        return Comparison.of(question, shots).balance().stream().filter(note -> note.title().equals(title)).findFirst();
    }

    private static BalanceNote ofGrind(String title, BiFunction<Integer, ShotRecord, ShotRecord> more) {
        return note(Question.of(List.of(GRIND), EY), shots(more), title).orElseThrow();
    }

    @Test
    void aDoseThatMovedWithTheGrindIsSaidByHowMuch() {
        BalanceNote note = ofGrind("Dose",
                (i, record) -> record.with(RecordField.DOSE, 18 + 0.5 * (i % 3) + 0.02 * (i % 2)));
        assertThat(note.kind()).isEqualTo(BalanceNote.Kind.CONFOUNDED);
        assertThat(note.words()).isEqualTo("Dose and grind moved together (18–19 g): they cannot be told apart");
    }

    @Test
    void aDoseThatFollowedTheGrindInPartIsSaidByHowMuch() {
        double[] off = {0.5, -0.5, 0.3, -0.5, 0.5, -0.3, 0.5, 0.2, -0.4, -0.5, -0.2, 0.4};
        BalanceNote note = ofGrind("Dose", (i, record) -> record.with(RecordField.DOSE, 18 + 0.5 * (i % 3) + off[i]));
        assertThat(note.kind()).isEqualTo(BalanceNote.Kind.CHANGED);
        assertThat(note.words())
                .matches("17\\.5–19\\.4 g, moved with grind: \\+1\\.0\\d* ±0\\.\\d+ g by 2\\.6, not 2\\.2");
    }

    @Test
    void aDoseThatOnlyScatteredIsEvenByEquivalence() {
        BalanceNote note = ofGrind("Dose", (i, record) -> record.with(RecordField.DOSE, 18 + 0.05 * (i % 2)));
        assertThat(note.kind()).isEqualTo(BalanceNote.Kind.EVEN);
        assertThat(note.words()).isEqualTo("18–18.05 g, even within ±0.3 g");
    }

    @Test
    void aDoseThatScatteredTooMuchIsNotShownToBeEven() {
        double[] doses = {17, 19.2, 18.1, 18.9, 17.2, 18.6, 18.4, 17.5, 19, 17.8, 18.7, 17.3};
        BalanceNote note = ofGrind("Dose", (i, record) -> record.with(RecordField.DOSE, doses[i]));
        assertThat(note.words()).isEqualTo("17–19.2 g, not shown to be even within ±0.3 g");
        assertThat(note.kind()).isEqualTo(BalanceNote.Kind.CHANGED);
    }

    @Test
    void whatOnlySomeWroteDownIsUnknownInTheOthers() {
        assertThat(ofGrind("Basket", (i, record) -> i < 9 ? record.with(RecordField.BASKET, "18 g") : record).words())
                .isEqualTo("18 g where written down; unknown in 3 of 12");
        BalanceNote two = ofGrind("Basket",
                (i, record) -> i < 9 ? record.with(RecordField.BASKET, i % 2 == 0 ? "old" : "new") : record);
        assertThat(two.words()).isEqualTo("new (4), old (5); unknown in 3");
    }

    @Test
    void aReadingByAnotherMethodStandsOut() {
        BalanceNote note = ofGrind("Sample filtered",
                (i, record) -> record.with(RecordField.SAMPLE_FILTERED, i == 6 ? "no" : "yes"));
        assertThat(note.kind()).isEqualTo(BalanceNote.Kind.CHANGED);
        assertThat(note.words()).isEqualTo("also changed in 1 of 12: shot 7 was at no");
        assertThat(note.sensitivity().orElseThrow().stands()).isTrue();
    }

    @Test
    void anotherInstrumentMakesItsBiasCount() {
        List<MeasuredShot> one = shots((i, record) -> record.with(RecordField.REFRACTOMETER, "R-2"));
        List<MeasuredShot> two = shots((i, record) -> record.with(RecordField.REFRACTOMETER, i == 0 ? "R-2" : "R-3"));
        Question pair = Question.of(List.of(GRIND), EY);
        double shared = Comparison.of(pair, one.subList(0, 2)).answers().get(0).effects().get(0).halfWidth();
        double apart = Comparison.of(pair, two.subList(0, 2)).answers().get(0).effects().get(0).halfWidth();
        assertThat(apart).as("what one instrument gets wrong cancels, what two do does not")
                .isGreaterThan(1.3 * shared);
        assertThat(note(pair, two, "Refractometer").orElseThrow().words()).startsWith("also changed in 1 of 12");
    }

    @Test
    void firstOfASessionAndAGrindChangedWithoutAPurgeAreFound() {
        List<MeasuredShot> shots = shots(
                (i, record) -> record.with(RecordField.PULLED_AT, "2026-05-" + (11 + i / 6) + "T09:" + (10 + i % 6 * 8))
                        .with(RecordField.MACHINE, "Rig 1")
                        .with(RecordField.GRINDER, "G-burr A")
                        .with(RecordField.PURGE, i == 4 ? 0 : 2));
        Question question = Question.of(List.of(GRIND), EY);
        assertThat(note(question, shots, "First of a session").orElseThrow().words())
                .isEqualTo("shots 1, 7 were the first of their day among these");
        assertThat(note(question, shots, "Grind changed without a purge").orElseThrow().words())
                .isEqualTo(
                        "shot 5 followed a change of the grind without a known purge: about 20 %, at most 60 % of the "
                                + "grounds may be those of the setting before (assumed; nobody wrote down what the "
                                + "grinder "
                                + "keeps); it is taken out");
        List<MeasuredShot> keeping = shots.stream()
                .map(shot -> Bench.shot(shot.name(), shot.record().with(RecordField.RETENTION, 3)))
                .toList();
        assertThat(note(question, keeping, "Grind changed without a purge").orElseThrow().words())
                .as("never silent: every shot that a purge of 2 g leaves something in is named")
                .startsWith("shots 2, 3, 4, 5, 6, 8, 9, 10, 11 and 12 followed")
                .contains("what the grinder keeps, over the dose");
        List<MeasuredShot> purged = shots(
                (i, record) -> record.with(RecordField.PULLED_AT, "2026-05-" + (11 + i) + "T09:00"));
        assertThat(note(question, purged, "First of a session")).as("one shot a day: every shot is the first")
                .isEmpty();
    }

    @Test
    void aShotFarFromTheOthersIsLeftOutOnceToSee() {
        List<MeasuredShot> shots = shots(
                (i, record) -> i == 7 ? record.with(RecordField.READINGS, "11.2; 11.2; 11.2") : record);
        Comparison comparison = Comparison.of(Question.of(List.of(GRIND), EY), shots);
        BalanceNote far = note(Question.of(List.of(GRIND), EY), shots, "Far from the others").orElseThrow();
        assertThat(far.words()).isEqualTo("shot 8 lies further from the others than chance explains");
        assertThat(comparison.sentence().doubts()).extracting(Doubt::words)
                .anySatisfy(doubt -> assertThat(doubt)
                        .startsWith("Shot 8 lies further from the others than chance explains. Without shot 8: "));
        assertThat(note(Question.of(List.of(GRIND), EY), shots((i, record) -> record), "Far from the others"))
                .isEmpty();
    }

    @Test
    void aCovariateThatMovedAlmostWithAFactorIsWarnedOf() {
        Question question = Question.of(List.of(GRIND), EY).on(ComparisonBasis.EQUAL_BEVERAGE_MASS);
        double[] off = {0, 0.05, -0.04, 0.03, -0.05, 0.02, 0.04, -0.02, 0.01, -0.03, 0.05, 0};
        List<MeasuredShot> together = shots((i, record) -> record.with(RecordField.BEVERAGE, 40 + i % 3 + off[i]));
        BalanceNote note = note(question, together, "Beverage mass").orElseThrow();
        assertThat(note.words()).isEqualTo(
                "40–42 g, in the model, but it moved almost together with grind: what one did may be put down to the "
                        + "other");
        List<MeasuredShot> apart = shots((i, record) -> record.with(RecordField.BEVERAGE, 40 + i / 3 * 0.5));
        assertThat(note(question, apart, "Beverage mass").orElseThrow().kind())
                .isEqualTo(BalanceNote.Kind.IN_THE_MODEL);
    }

    @Test
    void twoFactorsThatCanJustBeToldApartAreWarnedOf() {
        List<MeasuredShot> shots = shots(
                (i, record) -> record.with(RecordField.TEMPERATURE, i == 11 ? 92 : 90 + i % 3));
        Question question = Question.of(List.of(GRIND, Variable.of(RecordFactor.TEMPERATURE)), EY);
        List<MeasuredShot> nearly = new ArrayList<>(shots);
        nearly.set(0, Bench.shot("1", shots.get(0).record().with(RecordField.TEMPERATURE, 91)));
        assertThat(note(question, nearly, "Grind and temperature").orElseThrow().words())
                .isEqualTo("moved almost together: their effects are told apart by few shots");
        assertThat(Comparison.of(question, shots).sentence().headline()).as("wholly together is worse")
                .contains("moved together");
    }

    @Test
    void withoutTheShotsThatStandOutTheAnswerMayFall() {
        // Finest shots extract more, but only the hot ones by much; a temperature that one shot lacks is not taken out.
        List<MeasuredShot> shots = new ArrayList<>();
        double[] strengths = {9.30, 9.02, 9.0, 9.28, 9.03, 8.99, 9.31, 9.01, 9.0, 9.04, 9.02, 9.01};
        for (int i = 0; i < 12; i++) {
            shots.add(Bench.shot(Integer.toString(i + 1),
                    Bench.record(18, 40, strengths[i])
                            .with(RecordField.GRIND, (22 + 2 * (i % 3)) / 10.0)
                            .with(RecordField.TEMPERATURE, i == 0 || i == 3 || i == 6 ? "96" : i == 5 ? "" : "93")));
        }
        Question strict = new Question(List.of(GRIND), List.of(), EY, ComparisonBasis.EQUAL_SETTING, Optional.empty(),
                new Question.Judging(Map.of("ey_as_dosed", 0.2), Map.of(), false),
                DisplayUnits.CANONICAL);
        Sensitivity sensitivity = note(strict, shots, "Temperature").orElseThrow().sensitivity().orElseThrow();
        assertThat(sensitivity.before().verdict()).isEqualTo(new Verdict.Differs());
        assertThat(sensitivity.stands()).isFalse();
        assertThat(sensitivity.words()).startsWith("Without shots 1, 4, 7: ").contains("the answer becomes “");
    }

    @Test
    void notesComeByWeight() {
        List<BalanceNote> balance = Comparison.of(Question.of(List.of(GRIND), EY),
                shots((i, record) -> record.with(RecordField.TEMPERATURE, 90 + i % 3)
                        .with(RecordField.COFFEE, i < 6 ? "Lot Heron 14" : "Lot Siskin 3")
                        .with(RecordField.MACHINE, "Rig 1")))
                .balance();
        assertThat(balance).extracting(BalanceNote::kind).isSorted();
        assertThat(balance.get(0).kind()).isEqualTo(BalanceNote.Kind.CONFOUNDED);
        assertThat(balance.get(balance.size() - 1).kind()).isEqualTo(BalanceNote.Kind.SAME);
    }
}
