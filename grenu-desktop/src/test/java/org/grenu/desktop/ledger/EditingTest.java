package org.grenu.desktop.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.grenu.library.Stored;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/**
 * Editing in the ledger, as the user does it: the numbers follow, wrong entries are refused, everything can be
 * undone.
 */
class EditingTest extends BenchFixture {

    /**
     * Handbook §§3–4 through the window: 18 g, 41.2 g, 9.41 % give 21.54 ±0.16 % as dosed and 22.32 % dry at 3.5 %.
     */
    @Test
    void theWorkedExampleComesOutOfTheFields() {
        Locale.setDefault(Locale.ENGLISH);
        openShot(1);
        // The worked example knows of no blank of the water and of no scale but its step.
        interact(() -> bench.desk().enter(RecordField.WATER, ""));
        interact(() -> bench.desk().enter(RecordField.SCALE, ""));
        enter("dose_g", "18,0");
        enter("beverage_g", "41,2");
        enter("moisture_pct", "3.5");
        enter("strength_zero_pct", "");
        until("the zero check is gone", () -> text("strength_zero_pct").isEmpty());
        for (int left = 2; left >= 0; left--) {
            int count = left;
            clickOn("#remove-reading-" + left);
            until(count + " readings are left", () -> sheetReadings() == count);
        }
        assertThat(text("wanting")).isEqualTo("Unknown. Enter a strength reading below.");
        enter("new-reading", "9,41");
        until("the yield is there", () -> text("yield").equals("21.54"));
        assertThat(text("yield-u")).isEqualTo("±0.16");
        assertThat(text("other-basis")).startsWith("22.32 ±0.19 % dry");
        assertThat(text("value-ratio")).startsWith("1:2.289");
        assertThat(text("value-dissolved")).isEqualTo("3.877");
        assertThat(lookup("#budget").lookup("Strength 77 %").tryQuery()).isPresent();
        clickOn("#basis");
        assertThat(text("yield")).isEqualTo("22.32");
        until("the slip follows", () -> slips().stream().anyMatch(slip -> slip.contains("yield 21.54 ")));
        interact(() -> assertThat(bench.ledger().plane().get().chosen().orElseThrow().yield().value())
                .as("the map follows")
                .isBetween(21.53, 21.55));
    }

    /** The field with the caret stays where it is on the screen while words above it come and go. */
    @Test
    void fieldsDoNotMoveWhenTextAboveThemGrows() {
        openShot(1);
        Node taste = lookup("#taste").query();
        interact(() -> lookup("#to-record").queryButton().fire());
        interact(taste::requestFocus);
        double before = yOnScreen(taste);
        interact(() -> bench.desk().enter(RecordField.STATED_YIELD, "24.3"));
        until("a paragraph stands above", () -> text("stated-yield").startsWith("Stated 24.3 %"));
        assertThat(yOnScreen(taste)).isCloseTo(before, within(1.0));
        interact(() -> bench.desk().undo());
        until("it is gone", () -> text("stated-yield").isEmpty());
        assertThat(yOnScreen(taste)).isCloseTo(before, within(1.0));
    }

    private static double yOnScreen(Node node) {
        return node.localToScene(0, 0).getY();
    }

    private int sheetReadings() {
        return bench.desk().openProperty().get().summary().record().numbers(RecordField.READINGS).size();
    }

    @Test
    void wrongEntriesAreRefusedAtTheField() {
        openShot(1);
        int before = bench.desk().editDepthProperty().get().undoable();
        enter("dose_g", "abc");
        assertThat(text("dose_g-refusal")).isEqualTo("“abc” is not a number. Write it such as 18.5. 18.0 stays.");
        push(KeyCode.ESCAPE);
        assertThat(text("dose_g")).isEqualTo("18.0");
        assertThat(lookup("#dose_g-refusal").query().isVisible()).isFalse();
        enter("beverage_g", "-3");
        assertThat(text("beverage_g-refusal")).startsWith("Beverage mass cannot be negative.");
        enter("new-reading", "41");
        assertThat(text("new-reading-refusal")).isEqualTo("Strength reading must lie between 0 and 40 %.");
        assertThat(text("yield")).isEqualTo("21.13");
        interact(() -> lookup("#rack").query().requestFocus());
        assertThat(text("beverage_g")).as("the old value stays").isEqualTo("40.0");
        assertThat(bench.desk().editDepthProperty().get().undoable()).isEqualTo(before);
    }

    /**
     * A lost decimal mark made an extraction of 200 % and the advice “coarser”: now the field asks, and nothing is
     * advised.
     */
    @Test
    void anEntryThatWasHardlyMeantIsAskedAboutAtItsField() {
        openShot(5);
        enter("dose_g", "1.79");
        until("it is asked about", () -> lookup("#dose_g-doubt").tryQuery().filter(BenchFixture::inSight).isPresent());
        assertThat(lookup("#dose_g-doubt").queryButton().getText())
                .isEqualTo("1.79 g where about 18 g is expected: meant 17.9?");
        assertThat(text("next")).isEqualTo("Check the dose");
        assertThat(bench.desk().openProperty().get().findings())
                .allSatisfy(finding -> assertThat(finding.next()).isEmpty());
        interact(() -> lookup("#dose_g-doubt").queryButton().fire());
        until("what was meant is entered", () -> field("dose_g").getText().equals("17.9"));
        assertThat(lookup("#dose_g-doubt").query().isVisible()).isFalse();
        assertThat(text("next")).isNotEqualTo("Check the dose");
    }

    @Test
    void everyEditIsStoredAtOnceAndUndoneAndRedone() {
        openShot(1);
        for (String dose : new String[] {"17.5", "17.6", "17.7"}) {
            enter("dose_g", dose);
            until("it is stored",
                    () -> stored().record().number(RecordField.DOSE).orElse(0) == Double.parseDouble(dose));
        }
        assertThat(text("stored")).startsWith("Stored ");
        interact(() -> field("beverage_g").requestFocus());
        write("9", 0);
        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(text("beverage_g")).as("what is being typed is undone by itself").isEqualTo("40.0");
        assertThat(text("dose_g")).isEqualTo("17.7");
        interact(() -> field("dose_g").requestFocus());
        openShot(3);
        push(KeyCode.CONTROL, KeyCode.Z);
        until("the edited shot is back", () -> text("shot-title").equals("Shot 1") && text("dose_g").equals("17.6"));
        push(KeyCode.CONTROL, KeyCode.Z);
        push(KeyCode.CONTROL, KeyCode.Z);
        until("all is undone",
                () -> text("dose_g").equals("18.0") && bench.desk().editDepthProperty().get().redoable() == 3);
        assertThat(text("yield")).isEqualTo("21.13");
        clickOn("#redo");
        until("one is redone", () -> text("dose_g").equals("17.5"));
    }

    @Test
    void goingOnToAnotherShotStoresWhatWasTypedAndStaysThere() {
        openShot(18);
        interact(() -> {
            field("dose_g").requestFocus();
            field("dose_g").selectAll();
        });
        write("17.2", 0);
        interact(() -> {
            lookup("#rack").query().requestFocus();
            bench.rack().step(1);
        });
        until("the other shot is open", () -> text("shot-title").equals("Shot 17"));
        until("the edit is stored",
                () -> bench.desk().shots().get(17).record().number(RecordField.DOSE).orElse(0) == 17.2);
        assertThat(text("shot-title")).isEqualTo("Shot 17");
        assertThat(bench.desk().openProperty().get().summary().record().number(RecordField.DOSE).orElse(0))
                .isNotEqualTo(17.2);
    }

    /** Read by another connection, so that it is on the disk and not only in this window. */
    private ShotSummary stored() {
        try (Library other = Library.open(folder.resolve("library.sqlite"))) {
            return Stored.shots(other).get(0);
        }
    }

    @Test
    void aRepairCanBeSwitchedOff() {
        openShot(16);
        enter("beverage_g", "");
        until("the curve gives the mass", () -> text("beverage-source").equals("g, from the curve"));
        assertThat(field("beverage_g").getPromptText()).isEqualTo("39.8");
        CheckBox tare = lookup("#repair-tare_offset").queryAs(CheckBox.class);
        assertThat(tare.isSelected()).isTrue();
        interact(tare::fire);
        until("the curve is shown as logged",
                () -> bench.desk()
                        .openProperty()
                        .get()
                        .measures()
                        .curve()
                        .repaired()
                        .repairs()
                        .stream()
                        .noneMatch(repair -> repair.applied()));
        double low = bench.read()
                .figureProperty()
                .get()
                .strips()
                .stream()
                .filter(s -> s.channel().key().equals("cup_mass"))
                .findFirst()
                .orElseThrow()
                .curve()
                .value(0);
        assertThat(low).isGreaterThan(1.5);
        until("the words follow", () -> lookup("Tare offset removed: switched off.").tryQuery().isPresent());
        interact(() -> lookup("#rack").query().requestFocus());
        push(KeyCode.CONTROL, KeyCode.Z);
        until("the words and the box go back", () -> lookup("Tare offset removed.").tryQuery().isPresent()
                && lookup("#repair-tare_offset").queryAs(CheckBox.class).isSelected());
    }

    @Test
    void theTitleFollowsTheRecord() {
        openShot(1);
        enter("coffee", "Lot Siskin 3");
        until("the title names it",
                () -> lookup("Lot Siskin 3 · Straight nine · grind 2.4 · 93 °C · 09:04 · simulated").tryQuery()
                        .isPresent());
    }

    /** Words are picked, not parsed; each has a strength, and below one it is gone. */
    @Test
    void tastingNotesArePickedFromWords() {
        openShot(5);
        interact(() -> lookup("#fold-tasting").queryButton().fire());
        until("the words are there", () -> lookup("#tasting-sour").tryQuery().isPresent());
        interact(() -> lookup("#tasting-sour").queryButton().fire());
        until("it is noted", () -> bench.desk().latestRecord().entry(RecordField.TASTING).orElse("").equals("sour 5"));
        until("it can be made more", () -> lookup("#tasting-sour-more").tryQuery().isPresent());
        interact(() -> lookup("#tasting-sour-more").queryButton().fire());
        until("it is more", () -> bench.desk().latestRecord().entry(RecordField.TASTING).orElse("").equals("sour 6"));
        for (int strength = 6; strength > 0; strength--) {
            int now = strength;
            until("it can be made less", () -> lookup("#tasting-sour-less").tryQuery().isPresent());
            interact(() -> lookup("#tasting-sour-less").queryButton().fire());
            until("it is less", () -> !bench.desk()
                    .latestRecord()
                    .entry(RecordField.TASTING)
                    .orElse("")
                    .equals("sour " + now));
        }
        assertThat(bench.desk().latestRecord().has(RecordField.TASTING)).isFalse();
    }
}
