package org.grenu.desktop.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.junit.jupiter.api.Test;

/** Completion while something is typed, in the filter and in the record. */
class SuggestionsTest extends BenchFixture {

    private static List<String> shown(List<Suggestions.Offer> offers) {
        return offers.stream().map(Suggestions.Offer::shown).toList();
    }

    @Test
    void namesThatBeginSoComeFirst() {
        List<String> names = List.of("Old rig", "Rig 1", "Rig 2", "Scale");
        assertThat(shown(Suggestions.among(names, " RIG "))).containsExactly("Rig 1", "Rig 2", "Old rig");
        assertThat(shown(Suggestions.among(names, "Rig 1"))).as("what is typed whole is not offered").isEmpty();
        assertThat(Suggestions.among(names, "steam")).isEmpty();
    }

    @Test
    void theLastOfSeveralPartsIsCompleted() {
        List<String> studies = List.of("Ageing", "Agitation", "Pressure and flow");
        assertThat(Suggestions.amongParts(studies, "Pressure and flow; ag")).extracting(Suggestions.Offer::becomes)
                .containsExactly("Pressure and flow; Ageing", "Pressure and flow; Agitation");
        assertThat(shown(Suggestions.amongParts(studies, "Ageing; ag"))).as("a study is not named twice")
                .containsExactly("Agitation");
        assertThat(Suggestions.amongParts(studies, "press")).extracting(Suggestions.Offer::becomes)
                .containsExactly("Pressure and flow");
    }

    /** Down and Up choose, Enter takes and the field goes on; Escape puts the offers away without the text. */
    @Test
    void offersAreTakenByKeys() {
        openShot(5);
        interact(() -> lookup("#filter").query().requestFocus());
        write("prof", 0);
        until("something is offered", () -> Suggestions.shownFor(filter()));
        push(KeyCode.DOWN);
        push(KeyCode.ENTER);
        assertThat(filter().getText()).isEqualTo("profile:");
        assertThat(Suggestions.shownFor(filter())).as("taking one puts the offers away").isFalse();
        write("g", 0);
        until("values are offered", () -> Suggestions.shownFor(filter()));
        push(KeyCode.DOWN);
        push(KeyCode.ENTER);
        assertThat(filter().getText()).isEqualTo("profile:\"Gentle ramp\" ");
        assertThat(bench.rack().shown()).isNotEmpty()
                .allSatisfy(shot -> assertThat(shot.record().text(RecordField.PROFILE)).hasValue("Gentle ramp"));

        write("co", 0);
        until("fields are offered", () -> Suggestions.shownFor(filter()));
        push(KeyCode.ESCAPE);
        assertThat(Suggestions.shownFor(filter())).isFalse();
        assertThat(filter().getText()).as("the first Escape leaves the text").endsWith("co");
        push(KeyCode.ESCAPE);
        assertThat(filter().getText()).isEmpty();
    }

    /**
     * Down in an empty entry offers what stood there last, and Enter enters it. A group that is folded is opened by
     * its heading.
     */
    @Test
    void theLastValueIsTakenByTwoKeys() {
        openShot(5);
        assertThat(lookup("#preparation").tryQuery()).as("it is not made before it is looked at").isEmpty();
        interact(() -> bench.desk().enter(RecordField.PREPARATION, "stirred with a needle"));
        openShot(6);
        interact(() -> lookup("#fold-beans").queryButton().fire());
        assertThat(inSight(field("preparation"))).isTrue();
        interact(() -> field("preparation").requestFocus());
        push(KeyCode.DOWN);
        until("the last is offered", () -> Suggestions.shownFor((TextField) field("preparation")));
        push(KeyCode.ENTER);
        until("it is entered",
                () -> bench.desk()
                        .openProperty()
                        .get()
                        .summary()
                        .written()
                        .text(RecordField.PREPARATION)
                        .orElse("")
                        .equals("stirred with a needle"));
        interact(() -> lookup("#fold-beans").queryButton().fire());
        assertThat(inSight(field("preparation"))).isFalse();
        assertThat(lookup("#fold-beans").queryButton().getAccessibleText())
                .isEqualTo("Beans and grounds: roasted on 2026-04-27 · purge 2 g · stirred with a needle · 6 unknown");
    }

    /** In a record's field Enter without a choice enters what is typed, whatever is offered. */
    @Test
    void whatIsTypedIsNeverReplacedUnasked() {
        openShot(5);
        push(KeyCode.CONTROL, KeyCode.R);
        interact(() -> {
            field("water").requestFocus();
            field("water").clear();
        });
        write("Brew", 0);
        until("a water is offered", () -> Suggestions.shownFor((TextField) field("water")));
        push(KeyCode.ENTER);
        until("it is entered as typed",
                () -> bench.desk()
                        .openProperty()
                        .get()
                        .summary()
                        .written()
                        .text(RecordField.WATER)
                        .orElse("")
                        .equals("Brew"));
        interact(() -> lookup("#rack").query().requestFocus());
        assertThat(Suggestions.shownFor((TextField) field("water"))).isFalse();
    }

    private TextField filter() {
        return (TextField) field("filter");
    }
}
