package org.grenu.app.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.grenu.app.advice.Notebook.card;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.app.advice.SchoolAnswers.Answer;
import org.grenu.app.advice.SchoolAnswers.Evidence;
import org.grenu.app.advice.SchoolAnswers.Verdict;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.formats.rules.ShippedPacks;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.TasteNote;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Schools are answered by the newest tasted shot, each lever with what this very log tells of it, or that it does not.
 */
class SchoolAnswersTest {

    private static final Aim AIM = Aim.ofTime(new AimRange(26, 30));
    private static final List<RulePack> ALL = ShippedPacks.all();

    /** Finer was less sour, by two points a notch, as often as it was tried. */
    private static Notebook sourerWhenCoarse(int rounds) {
        Notebook notebook = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"));
        for (int i = 0; i < rounds; i++) {
            notebook.off(0.01, 2.4, RecordField.TASTING, "sour 3").off(-0.01, 2.6, RecordField.TASTING, "sour 7");
        }
        return notebook;
    }

    private static SchoolAnswers answers(Notebook notebook, Optional<String> expected) {
        return SchoolAnswers.of(notebook.given(AIM), ALL, expected).orElseThrow();
    }

    private static Evidence finer(SchoolAnswers answers) {
        return answers.answers()
                .stream()
                .flatMap(answer -> answer.levers().stream())
                .filter(lever -> lever.move().lever() == Slope.GRIND && lever.move().by() > 0)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLeverThatTheLogHasMovedIsJudgedByIt() {
        SchoolAnswers answers = answers(sourerWhenCoarse(6), Optional.empty());
        assertThat(answers.note()).isEqualTo(TasteNote.SOUR);
        assertThat(answers.shot()).isEqualTo("12");
        Evidence finer = finer(answers);
        assertThat(finer.verdict()).isEqualTo(Verdict.DIFFERS);
        assertThat(finer.taste().orElseThrow().location()).isBetween(-2.4, -1.4);
        assertThat(finer.tasted()).isEqualTo(12);
    }

    /** A school for dark roasts has nothing to say of a light one, in Plan as in Read. */
    @ParameterizedTest
    @CsvSource({"dark, true", "light, false", "'', false"})
    void aSchoolSpeaksOfWhatItsRuleIsFor(String roast, boolean speaks) {
        Notebook bitter = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"))
                .pulled(2.5)
                .pulled(2.4, RecordField.TASTING, "bitter 6", RecordField.ROAST_LEVEL, roast);
        assertThat(answers(bitter, Optional.empty()).answers()
                .stream()
                .anyMatch(answer -> answer.school().title().equals("dose down for dark roasts"))).isEqualTo(speaks);
    }

    /** Two shots are not enough to tell; no number at all tells nothing, and both are said rather than guessed. */
    @Test
    void littleEvidenceCannotSayYet() {
        assertThat(finer(answers(sourerWhenCoarse(1), Optional.empty())).verdict()).isEqualTo(Verdict.CANNOT_SAY_YET);
        Notebook word = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"))
                .pulled(2.4)
                .pulled(2.4, RecordField.TASTING, "sour");
        Evidence unsized = finer(answers(word, Optional.empty()));
        assertThat(unsized.taste()).isEmpty();
        assertThat(unsized.verdict()).isEqualTo(Verdict.CANNOT_SAY_YET);
    }

    /** That a lever does nothing is never said of one that was not moved, however sure common practice is. */
    @Test
    void whatWasNeverMovedIsNotCalledTheSame() {
        Notebook still = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"));
        Notebook moved = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"));
        for (int i = 0; i < 16; i++) {
            String taste = i % 4 < 2 ? "sour 5" : "sour 4.8";
            still.off(0.01, 2.4 + i % 2 * 0.1, RecordField.TASTING, taste, RecordField.TEMPERATURE, "93");
            moved.off(0.01, 2.4, RecordField.TASTING, taste, RecordField.TEMPERATURE, i % 2 == 0 ? "90" : "95");
        }
        assertThat(of(still, Slope.TEMPERATURE)).satisfies(lever -> {
            assertThat(lever.verdict()).isEqualTo(Verdict.CANNOT_SAY_YET);
            assertThat(lever.mostlyAssumed()).isTrue();
            assertThat(lever.taste().orElseThrow().quantile(0.975)).as("practice leaves ±1 a degree open, which shots"
                    + " that agree make no smaller").isCloseTo(1, within(0.05));
        });
        assertThat(of(moved, Slope.TEMPERATURE)).satisfies(lever -> {
            assertThat(lever.verdict()).isEqualTo(Verdict.SAME_IN_PRACTICE);
            assertThat(lever.learnt()).isGreaterThan(0.9);
        });
        assertThat(of(moved, Slope.GRIND).verdict()).isEqualTo(Verdict.CANNOT_SAY_YET);
    }

    private static Evidence of(Notebook notebook, Slope lever) {
        return answers(notebook, Optional.empty()).answers()
                .stream()
                .flatMap(answer -> answer.levers().stream())
                .filter(evidence -> evidence.move().lever() == lever)
                .findFirst()
                .orElseThrow();
    }

    /**
     * By simulation, of shots that spread by a point: a lever that does nothing is seldom said to differ, one that does
     * more than the zone is wide seldom to be the same.
     */
    @ParameterizedTest
    @CsvSource({"0, DIFFERS, 0.05", "1.3, SAME_IN_PRACTICE, 0.025", "-1.3, SAME_IN_PRACTICE, 0.025"})
    void verdictsAreSeldomWrong(double perDegree, Verdict wrong, double most) {
        RandomGenerator random = new Well19937c(20_261_130);
        int said = 0;
        int rounds = 200;
        for (int round = 0; round < rounds; round++) {
            Notebook notebook = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER,
                    card(ShelfField.STEP, "0.1"));
            for (int i = 0; i < 14; i++) {
                int celsius = 92 + random.nextInt(3);
                double sour = 5 + perDegree * (celsius - 93) + random.nextGaussian();
                notebook.off(0.01, 2.4, RecordField.TEMPERATURE, Integer.toString(celsius), RecordField.TASTING,
                        String.format(Locale.ROOT, "sour %.1f", Math.max(0.5, Math.min(10, sour))));
            }
            notebook.off(0.01, 2.4, RecordField.TEMPERATURE, "93", RecordField.TASTING, "sour 5");
            said += of(notebook, Slope.TEMPERATURE).verdict() == wrong ? 1 : 0;
        }
        double chance = 3 * Math.sqrt(most * (1 - most) / rounds);
        assertThat(said / (double) rounds).isLessThan(most + chance);
    }

    /** Where schools pull another lever first, a blind test of both would tell. */
    @Test
    void schoolsThatDisagreeAreSaidTo() {
        SchoolAnswers answers = answers(sourerWhenCoarse(3), Optional.empty());
        assertThat(answers.answers()).extracting(Answer::school).extracting(RulePack::topic).containsOnly("Sour");
        assertThat(answers.disagree()).isTrue();
        assertThat(new SchoolAnswers(answers.shot(), answers.note(), answers.answers().subList(0, 1)).disagree())
                .isFalse();
    }

    /** What the coffee is expected to taste of is no fault; what was faulty on purpose is no taste of the coffee. */
    @Test
    void onlyWhatIsUnwantedIsAnswered() {
        Notebook bitter = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"))
                .pulled(2.4, RecordField.TASTING, "sweet 6; acidic 5");
        assertThat(SchoolAnswers.of(bitter.given(AIM), ALL, Optional.empty())).isEmpty();
        Notebook apart = sourerWhenCoarse(2).pulled(2.4, RecordField.TASTING, "bitter 9", RecordField.FAULT, "choked");
        assertThat(answers(apart, Optional.empty()).note()).isEqualTo(TasteNote.SOUR);
    }

    /** A rung is told in the grinder's notches, with everything that was changed and what follows from it. */
    @Test
    void rungsAreToldInWords() {
        Notebook notebook = new Notebook().onShelf(ShelfKind.GRINDER, Notebook.GRINDER, card(ShelfField.STEP, "0.1"))
                .pulled(2.6, RecordField.TEMPERATURE, "93")
                .pulled(2.4, RecordField.TEMPERATURE, "93")
                .pulled(2.4, RecordField.TEMPERATURE, "93")
                .pulled(2.5, RecordField.TEMPERATURE, "95", RecordField.PURGE, "")
                .pulled(2.5, RecordField.TEMPERATURE, "95", RecordField.FAULT, "choked");
        List<LadderLine> lines = LadderLine.of(notebook.given(AIM), DisplayUnits.CANONICAL);
        assertThat(lines).extracting(LadderLine::changed)
                .containsExactly("stands apart", "coarser by 1 and hotter by 2", "nothing: a repeat", "finer by 2",
                        "first of the ladder");
        assertThat(lines).extracting(LadderLine::follows)
                .containsExactly("", "no purge: allowed for", "for the spread", "", "");
        assertThat(lines.get(0).detail()).isEqualTo("choked");
        assertThat(lines.get(1).detail()).isEqualTo("2.4 → 2.5, 93 → 95 °C");
        assertThat(lines.get(3).words()).isEqualTo("Shot 2, grind 2.4 · 93 °C, 28.0 s. finer by 2, 2.6 → 2.4: one "
                + "thing: yes.");
    }
}
