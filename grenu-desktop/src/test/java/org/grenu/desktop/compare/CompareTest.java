package org.grenu.desktop.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.grenu.app.export.ComparisonExport;
import org.grenu.cli.CompareCommand;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Verdict;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Workspace;
import org.grenu.formats.ComparisonPackage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;

/** The Compare workspace in the real window: from a search to an answer, its evidence and its report. */
class CompareTest extends BenchFixture {

    @BeforeEach
    void compareTheGrinds() {
        openShot(5);
        interact(() -> bench.rack().filterProperty().set("blocks"));
        push(KeyCode.CONTROL, KeyCode.DIGIT4);
        answered(18);
    }

    private Comparison comparison() {
        return bench.compare().answeredProperty().get().comparison();
    }

    private void answered(int picked) {
        until("the " + picked + " picked shots are compared",
                () -> bench.picked().ids().size() == picked && !bench.compare().busyProperty().get()
                        && bench.compare().answeredProperty().get() != null
                        && comparison().shots().size() + comparison().faulty().size() == picked);
    }

    private void reanswered(Runnable change) {
        Answered before = bench.compare().answeredProperty().get();
        interact(change);
        until("it is answered anew",
                () -> bench.compare().answeredProperty().get() != before && !bench.compare().busyProperty().get());
    }

    @SuppressWarnings("unchecked")
    private ComboBox<Object> choice(String id) {
        return lookup("#" + id).queryAs(ComboBox.class);
    }

    @Test
    void theStudyOfTheOpenShotIsComparedAtOnceInWords() {
        assertThat(bench.workspace().get()).isEqualTo(Workspace.COMPARE);
        assertThat(text("compare-title")).isEqualTo("16 shots, 3 levels of grind");
        assertThat(text("answer")).startsWith("Grind +0.4 lowers EY as dosed by ").endsWith("points at equal setting.");
        assertThat(text("picked")).isEqualTo("18 picked");
        assertThat(comparison().question().variables()).extracting(v -> v.key())
                .containsExactly("grind", "temperature", "profile");
        assertThat(comparison().question().block()).as("both days had every grind").contains((Factor) RecordFactor.DAY);
        assertThat(bench.compare().sideBySide()).contains((Factor) RecordFactor.PROFILE);
        assertThat(lookup("#guard").lookup(
                "Shots 6, 13 are marked faulty: choked: wrong notch after cleaning; gusher: grinder still set for "
                        + "another coffee.")
                .tryQuery()).isPresent();
        assertThat(inSight(lookup("#strips").query())).as("the one shot's strips gave way").isFalse();
    }

    @Test
    void aCheckMarkOrTheSpaceBarTakesAShotOut() {
        clickOn("#pick-5");
        answered(17);
        assertThat(text("compare-title")).startsWith("15 shots");
        clickOn("#pick-5");
        answered(18);
        int before = bench.picked().ids().size();
        interact(() -> lookup("#rack").query().requestFocus());
        push(KeyCode.SPACE);
        until("the open shot is put back or picked", () -> bench.picked().ids().size() != before);
        clickOn("#pick-none");
        until("nothing is left", () -> bench.picked().ids().isEmpty() && !bench.compare().busyProperty().get());
        assertThat(text("compare-title")).isEqualTo("0 shots");
        assertThat(lookup("#compare").lookup("Pick shots in the rack: their check marks, or “All shown”.").tryQuery())
                .isPresent();
    }

    @Test
    void basisBlocksMarginsAndVariablesAreChosenAndNamed() {
        reanswered(() -> choice("compare-basis").setValue(ComparisonBasis.EQUAL_BEVERAGE_MASS));
        assertThat(text("answer")).contains("at equal beverage mass");
        assertThat(comparison().answers().get(0).effects()).extracting(effect -> effect.variable().key())
                .contains("beverage");
        reanswered(() -> choice("blocks").setValue(Optional.empty()));
        assertThat(comparison().question().block()).isEmpty();
        clickOn("#asked");
        TextField margin = lookup("#margin-ey_as_dosed").queryAs(TextField.class);
        interact(() -> {
            margin.requestFocus();
            margin.setText("2");
        });
        reanswered(() -> margin.getOnAction().handle(null));
        assertThat(comparison().answers().get(0).effects().get(0).verdict()).isInstanceOf(Verdict.SameInPractice.class);
        interact(() -> margin.setText("much"));
        interact(() -> margin.getOnAction().handle(null));
        assertThat(margin.getText()).as("what is no number is put back").isEqualTo("2");
        push(KeyCode.ESCAPE);
        clickOn("#changed");
        reanswered(() -> lookup("#option-grind-profile").queryAs(CheckBox.class).fire());
        assertThat(comparison().answers().get(0).tests()).extracting(test -> test.term()).contains("Grind × Profile");
        reanswered(() -> lookup("#variable-temperature").queryAs(CheckBox.class).fire());
        assertThat(comparison().question().variables()).extracting(v -> v.key()).doesNotContain("temperature");
        reanswered(() -> lookup("#option-by-level").queryAs(CheckBox.class).fire());
        assertThat(comparison().answers().get(0).effects()).extracting(effect -> effect.change())
                .contains("2.2, not 2.4", "2.4, not 2.6");
        push(KeyCode.ESCAPE);
    }

    @Test
    void anotherColourIsAnotherQuestion() {
        reanswered(() -> bench.appearance().colourByProperty().set(RecordFactor.PROFILE));
        assertThat(text("answer")).startsWith(
                "Gentle ramp, not Straight nine raises EY as dosed by 0.7");
        assertThat(text("compare-title")).isEqualTo("16 shots, 2 levels of profile");
        reanswered(() -> bench.appearance().colourByProperty().set(RecordFactor.BASKET));
        assertThat(text("answer")).startsWith("Basket did not change among these shots");
    }

    @Test
    void pagesAxesAndTheHairlineAnswerToMouseAndKeys() {
        clickOn("#page-differ");
        assertThat(lookup("#difference").query().isVisible()).isTrue();
        assertThat(text("differing")).startsWith("The curves of 2.2 and 2.6");
        clickOn("#page-Surface");
        assertThat(lookup("#surface").query().isVisible()).isTrue();
        clickOn("#page-shot");
        assertThat(lookup("#points").query().isVisible()).isTrue();
        clickOn("#page-did");
        interact(() -> lookup("#effects").query().requestFocus());
        push(KeyCode.RIGHT);
        // The grind alone, then with each profile, for the first drip on which the two act together.
        push(KeyCode.DOWN);
        push(KeyCode.DOWN);
        push(KeyCode.DOWN);
        assertThat(text("numbers")).startsWith("Temperature +3 °C: +0.16")
                .contains("degrees of freedom")
                .contains("same in practice within ±0.3");
        reanswered(() -> bench.compare().choose(now -> now.withAxis(AxisKind.CUP_MASS)));
        assertThat(bench.compare().answeredProperty().get().overlay().orElseThrow().unit()).isEqualTo("g");
        interact(() -> lookup("#overlay").query().requestFocus());
        push(KeyCode.RIGHT);
        double at = bench.compare().cursorProperty().get();
        push(KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(bench.compare().cursorProperty().get()).isGreaterThan(at + 0.9);
        assertThat(lookup("#overlay-reading-1").queryAs(Label.class).getText()).as("the second field's own groups")
                .startsWith("2.2: ")
                .contains("2.4: ")
                .contains("2.6: ");
        double whole = bench.compare().viewProperty().get().length();
        push(KeyCode.PLUS);
        assertThat(bench.compare().viewProperty().get().length()).isLessThan(whole);
        push(KeyCode.DIGIT0);
        assertThat(bench.compare().viewProperty().get().length()).isEqualTo(whole);
        push(KeyCode.CONTROL, KeyCode.DIGIT3);
        assertThat(bench.workspace().get()).isEqualTo(Workspace.READ);
    }

    @Test
    void theSentenceIsCopiedWithItsBasis() {
        clickOn("#copy-sentence");
        interact(
                () -> assertThat(Clipboard.getSystemClipboard().getString()).startsWith("Grind +0.4 lowers EY as dosed")
                        .contains("at equal setting.")
                        .endsWith("(± is the 95 % interval where no other is named.)"));
    }

    @Test
    void everythingIsExportedAndThePackageGivesTheSameAnswerAgain() throws IOException {
        for (ComparisonExport kind : ComparisonExport.values()) {
            chosenTarget = folder.resolve(kind.suggestedName());
            interact(() -> lookup("#compare-export").queryAs(javafx.scene.control.MenuButton.class)
                    .getItems()
                    .stream()
                    .filter(item -> item.getId().equals("compare-export-" + kind.name().toLowerCase(Locale.ROOT)))
                    .findFirst()
                    .orElseThrow()
                    .fire());
            Path target = chosenTarget;
            until(kind + " is written", () -> Files.exists(target) && text("notice").equals("Saved " + target));
        }
        assertThat(new String(Files.readAllBytes(folder.resolve("report.pdf")), StandardCharsets.ISO_8859_1))
                .startsWith("%PDF-");
        assertThat(Files.readAllLines(folder.resolve("effects.csv"))).hasSize(18);
        StringWriter out = new StringWriter();
        String[] options = (folder.resolve("comparison.zip") + " "
                + ComparisonPackage.options(comparison().question()).replace("\"", "")).split(" ");
        int code = new CommandLine(new CompareCommand()).setOut(new PrintWriter(out))
                .setErr(new PrintWriter(new StringWriter()))
                .execute(Stream.of(options).toArray(String[]::new));
        assertThat(code).isZero();
        assertThat(out.toString()).startsWith(comparison().sentence().headline());
    }

    /**
     * A search becomes a comparison; where nothing asked about changed, repeats speak, and what did change is
     * offered.
     */
    @Test
    void repeatsSayTheirSpreadAndOfferWhatElseToAsk() {
        interact(() -> bench.rack().filterProperty().set("siskin ageing"));
        clickOn("#pick-all");
        answered(12);
        assertThat(text("answer")).isEqualTo("Grind did not change among these shots: they count as repeats.");
        assertThat(lookup("#nothing-changed").query().isVisible()).isTrue();
        assertThat(lookup("#nothing-changed")
                .lookup((Label label) -> label.getText().startsWith("EY as dosed 21.")
                        && label.getText().contains("two arms of 12 tell differences from"))
                .tryQuery()).isPresent();
        Answered before = bench.compare().answeredProperty().get();
        clickOn("#ask-age");
        until("it is asked",
                () -> bench.compare().answeredProperty().get() != before && !bench.compare().busyProperty().get());
        assertThat(text("answer")).startsWith(
                "Days off roast +28 d cannot be told from day: they moved together. EY as dosed came out −0.37");
        assertThat(lookup("#nothing-changed").query().isVisible()).isFalse();
        assertThat(bench.appearance().colourByProperty().get()).isEqualTo(RecordFactor.AGE);
    }

    /** Two shots: a badge for what changed, measuring alone to judge by, and advice to repeat. */
    @Test
    void twoShotsAreABadgeAndNoVerdict() {
        interact(() -> bench.picked()
                .pickOnly(bench.desk().shots().stream().filter(shot -> shot.number() <= 2).toList()));
        answered(2);
        assertThat(text("answer")).startsWith("One shot each: Grind +0.2 came with")
                .contains("it says nothing before both are repeated");
        assertThat(lookup("#compare-title").queryAs(Label.class).getText()).isEqualTo("2 shots, 2 levels of grind");
        assertThat(lookup("#answer-ledger")
                .lookup((Label label) -> label.getText().startsWith("2 things changed: grind 2.4 → 2.2"))
                .tryQuery()).isPresent();
        assertThat(lookup("#next-shots")
                .lookup((Label label) -> label.getText().startsWith("Repeat both shots, in turn, at least three times"))
                .tryQuery()).isPresent();
        assertThat(text("differing"))
                .isEqualTo("A difference of curves needs two levels of Grind with two shots each.");
        assertThat(lookup("#spread").query().isVisible()).as("no spread to speak of").isFalse();
    }

    /** Few shots leave things open: the ledger says what to pull again. */
    @Test
    void whatIsOpenSaysWhatToPullNext() {
        interact(() -> bench.picked()
                .pickOnly(bench.desk()
                        .shots()
                        .stream()
                        .filter(shot -> List.of(1, 4, 5, 11, 12, 15).contains(shot.number()))
                        .toList()));
        answered(6);
        Optional<Verdict.CannotSay> open = comparison().answers()
                .get(0)
                .effects()
                .stream()
                .map(effect -> effect.verdict())
                .filter(Verdict.CannotSay.class::isInstance)
                .map(Verdict.CannotSay.class::cast)
                .filter(cannot -> cannot.more() > 0)
                .findFirst();
        String next = lookup("#next-shots").lookup((Label label) -> label.getText().length() > 10)
                .queryAs(Label.class)
                .getText();
        if (open.isPresent()) {
            assertThat(next).contains(Integer.toString(open.get().more()))
                    .contains("if its effect is as large as it seems");
            assertThat(open.get().repeat())
                    .allMatch(name -> comparison().shots().stream().anyMatch(shot -> shot.name().equals(name)));
        } else {
            assertThat(next).matches(said -> said.startsWith("Nothing is open on the first response.")
                    || said.startsWith("More shots like these cannot settle it."), "says why none are proposed");
        }
        assertThat(lookup("#model").lookup((Label label) -> label.getText().contains("degrees of freedom left")
                || label.getText().contains("degree of freedom left")).tryQuery()).isPresent();
    }

    /**
     * The rack keeps working as it does for reading: slips open, the filter filters, and picks outlast the filter.
     */
    @Test
    void theRackStaysTheRack() {
        interact(() -> bench.rack().filterProperty().set("siskin ageing"));
        assertThat(bench.rack().shown()).hasSize(12);
        assertThat(bench.picked().ids()).as("what is picked stays picked").hasSize(18);
        interact(() -> bench.rack().filterProperty().set(""));
        push(KeyCode.CONTROL, KeyCode.DIGIT3);
        until("the picks step back", () -> !lookup("#picked").query().getParent().isVisible());
        openShot(7);
        assertThat(text("shot-title")).isEqualTo("Shot 7");
        clickOn("#workspace-compare");
        until("and come back", () -> lookup("#picked").query().getParent().isVisible());
        assertThat(bench.picked().ids()).hasSize(18);
        assertThat(lookup("#pick-7").queryAs(CheckBox.class).isSelected()).isTrue();
    }

    /** Strips, zero and what stands side by side are chosen below the curves. */
    @Test
    void theCurvesAreArrangedFromTheBarBelowThem() {
        Answered first = bench.compare().answeredProperty().get();
        clickOn("#compare-axis-pump_on");
        until("they begin at pump on",
                () -> bench.compare().answeredProperty().get() != first && !bench.compare().busyProperty().get());
        assertThat(bench.compare().answeredProperty().get().overlay().orElseThrow().axis()).isEqualTo(AxisKind.PUMP_ON);
        reanswered(() -> choice("side-by-side").setValue(Optional.empty()));
        assertThat(bench.compare().answeredProperty().get().overlay().orElseThrow().facets()).hasSize(1);
        reanswered(() -> choice("side-by-side").setValue(Optional.of(RecordFactor.TEMPERATURE)));
        assertThat(bench.compare().answeredProperty().get().overlay().orElseThrow().facets())
                .extracting(facet -> facet.title())
                .containsExactly("90", "93");
        clickOn("#compare-strips");
        reanswered(() -> lookup("#compare-strip-temperature").queryAs(CheckBox.class).fire());
        assertThat(bench.compare().answeredProperty().get().overlay().orElseThrow().strips()).hasSize(4);
        push(KeyCode.ESCAPE);
    }

    @Test
    void anEntryOfOnesOwnBecomesAFactor() {
        push(KeyCode.CONTROL, KeyCode.DIGIT3);
        for (int number : List.of(1, 2, 4, 5)) {
            openShot(number);
            String value = number % 2 == 0 ? "yes" : "no";
            if (lookup("#own-beans-frozen").tryQuery().isEmpty()) {
                interact(() -> lookup("#own-name").queryAs(TextField.class).setText("dose_g"));
                interact(() -> lookup("#own-name").queryAs(TextField.class).getOnAction().handle(null));
                assertThat(lookup("“dose_g” cannot name an entry: letters, digits, space, _ . and - can.").tryQuery())
                        .isPresent();
                interact(() -> lookup("#own-name").queryAs(TextField.class).setText("beans frozen"));
                interact(() -> lookup("#own-name").queryAs(TextField.class).getOnAction().handle(null));
            }
            enter("own-beans-frozen", value);
            until("it is stored", () -> value
                    .equals(bench.desk().openProperty().get().summary().record().extras().get("beans frozen")));
        }
        interact(() -> bench.desk().undo());
        until("the last is taken back", () -> bench.desk().openProperty().get().summary().record().extras().isEmpty());
        interact(() -> bench.desk().redo());
        until("and made again", () -> !bench.desk().openProperty().get().summary().record().extras().isEmpty());
        interact(() -> bench.picked()
                .pickOnly(bench.desk().shots().stream().filter(shot -> !shot.record().extras().isEmpty()).toList()));
        push(KeyCode.CONTROL, KeyCode.DIGIT4);
        answered(4);
        Factor own = bench.compare()
                .dividingFactors()
                .stream()
                .filter(factor -> factor.key().equals("beans frozen"))
                .findFirst()
                .orElseThrow();
        reanswered(() -> bench.appearance().colourByProperty().set(own));
        assertThat(comparison().question().variables().get(0).title()).isEqualTo("Beans frozen");
        assertThat(comparison().shots()).hasSize(4);
    }
}
