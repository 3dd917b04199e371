package org.grenu.app.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.grenu.app.advice.Notebook.card;

import java.util.ArrayList;
import java.util.List;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.diagnosis.NextStep;
import org.grenu.core.diagnosis.NextStep.Rank;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** One mind: whoever asks what to pull next is answered alike. */
class AdvisorTest {

    private static Notebook ladder() {
        return new Notebook()
                .onShelf(ShelfKind.GRINDER, Notebook.GRINDER,
                        card(ShelfField.STEP, "0.1", ShelfField.FINEST, "1", ShelfField.COARSEST, "5"))
                .pulled(2.8)
                .pulled(2.6);
    }

    private static Advisor advisor(Notebook notebook) {
        List<ShotSummary> summaries = new ArrayList<>();
        for (MeasuredShot shot : notebook.shots()) {
            int number = Integer.parseInt(shot.name());
            summaries.add(new ShotSummary(number, number, shot.record(), null));
        }
        return new Advisor(summaries, summary -> notebook.shots().get(summary.number() - 1), notebook.shelf(),
                StudySettings.USUAL);
    }

    /** Beside a shot that asks for nothing by itself stands its coffee's advice, in the words of the room Plan. */
    @ParameterizedTest
    @EnumSource(value = Rank.class, names = {"NOTHING_ASKED", "OF_A_SCHOOL"})
    void aShotThatIsReadSaysWhatPlanSays(Rank rank) {
        Advisor.Answer answer = advisor(ladder()).ask(new Advisor.Question(Notebook.COFFEE));
        NextStep own = new NextStep("Keep this recipe", "Nothing asks for a change.", "a school", rank);
        NextStep shown = ShotNext.of("2", own, answer.outcome(), DisplayUnits.CANONICAL);
        assertThat(shown.change()).isEqualTo(new AdviceWords(answer.given().orElseThrow()).next());
        assertThat(shown.reason().contains("Keep this recipe")).isEqualTo(rank == Rank.OF_A_SCHOOL);
        assertThat(ShotNext.of("1", own, answer.outcome(), DisplayUnits.CANONICAL).reason())
                .startsWith("After shot 2, the newest of this coffee.");
    }

    /** A question or a fault of the shot itself goes before any advice; an older one’s holds the coffee’s back. */
    @Test
    void aQuestionGoesBeforeTheAdvice() {
        Advisor.Answer answer = advisor(ladder()).ask(new Advisor.Question(Notebook.COFFEE));
        NextStep question = new NextStep("Check the dose", "1.8 g: meant 18?", "", Rank.BEFORE_ADVICE);
        assertThat(ShotNext.of("2", question, answer.outcome(), DisplayUnits.CANONICAL)).isEqualTo(question);
        Advisor.Answer held = advisor(ladder().pulled(2.4, RecordField.DOSE, "1.8"))
                .ask(new Advisor.Question(Notebook.COFFEE));
        NextStep own = new NextStep("Repeat this recipe", "", "", Rank.NOTHING_ASKED);
        assertThat(ShotNext.of("1", own, held.outcome(), DisplayUnits.CANONICAL).change())
                .isEqualTo("Check the dose of shot 3");
    }

    /** The coffee in any case, on the grinder of its newest shot by date, whatever the numbers say. */
    @ParameterizedTest
    @CsvSource({"Lot Wren 5", "lot wren 5"})
    void theGrinderIsThatOfTheNewestShotByDate(String asked) {
        Notebook notebook = ladder().pulled(2.4, RecordField.GRINDER, "G-burr X", RecordField.PULLED_AT,
                "2026-01-01T08:00");
        assertThat(advisor(notebook).ask(new Advisor.Question(asked)).given().orElseThrow().grinder())
                .isEqualTo(Notebook.GRINDER);
    }
}
