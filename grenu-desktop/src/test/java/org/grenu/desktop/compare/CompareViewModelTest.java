package org.grenu.desktop.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The comparison behind the window: asked anew when what it depends on changes, and only then. */
class CompareViewModelTest extends DeskFixture {

    private PickedShots picked;
    private Appearance appearance;
    private CompareViewModel model;

    @Override
    protected int shots() {
        return 8;
    }

    @BeforeEach
    void compare() {
        picked = new PickedShots(desk);
        appearance = new Appearance(desk.shots(), desk.shots(), desk.units());
        model = new CompareViewModel(desk, picked, appearance, onInterface::add);
    }

    @AfterEach
    void close() {
        model.close();
    }

    private Answered answered() {
        return model.answeredProperty().get();
    }

    private void answer() {
        picked.pickOnly(desk.shots());
        model.activeProperty().set(true);
        until(() -> answered() != null && !model.busyProperty().get());
    }

    @Test
    void nothingIsComputedWhileNobodyLooks() {
        picked.pickOnly(desk.shots());
        model.choose(now -> now.withBasis(ComparisonBasis.EQUAL_TIME));
        assertThat(model.busyProperty().get()).isFalse();
        assertThat(answered()).isNull();
        model.activeProperty().set(true);
        assertThat(model.busyProperty().get()).isTrue();
        until(() -> answered() != null);
        assertThat(answered().comparison().question().basis()).isEqualTo(ComparisonBasis.EQUAL_TIME);
    }

    @Test
    void ofManyQuestionsInARowOnlyTheLastIsAnswered() {
        answer();
        for (AxisKind axis : AxisKind.values()) {
            model.choose(now -> now.withAxis(axis));
        }
        model.choose(now -> now.withAxis(AxisKind.PRESSURE_ONSET).withHolm(true));
        Answered before = answered();
        until(() -> answered() != before);
        assertThat(answered().overlay().orElseThrow().axis()).isEqualTo(AxisKind.PRESSURE_ONSET);
        assertThat(answered().comparison().question().judging().holm()).isTrue();
        assertThat(model.busyProperty().get()).isFalse();
    }

    @Test
    void anEditIsComparedAsItWasStored() {
        answer();
        double before = value(3);
        desk.select(desk.shots().stream().filter(shot -> shot.number() == 3).findFirst().orElseThrow().id());
        until(() -> desk.openProperty().get().summary().number() == 3);
        desk.enter(RecordField.DOSE, "17");
        until(() -> answered() != null && !model.busyProperty().get() && Math.abs(value(3) - before) > 0.5);
        assertThat(value(3) / before).as("the same solids from less coffee").isBetween(1.05, 1.07);
        desk.enter(RecordField.FAULT, "tamped askew");
        until(() -> answered().comparison().faulty().stream().anyMatch(shot -> shot.name().equals("3")));
    }

    private double value(int number) {
        return answered().comparison()
                .answers()
                .get(0)
                .rows()
                .stream()
                .filter(row -> row.shot().name().equals(Integer.toString(number)))
                .findFirst()
                .map(row -> row.value())
                .orElse(Double.NaN);
    }

    @Test
    void theStudyOfTheOpenShotIsTheBeginningOnlyWhileNothingIsPicked() {
        picked.toggle(desk.shots().get(0));
        picked.beginWithTheStudy();
        assertThat(picked.shots()).extracting(shot -> shot.number()).containsExactly(1);
        picked.toggle(desk.shots().get(0));
        picked.beginWithTheStudy();
        assertThat(picked.ids()).hasSize(8);
        picked.pickOnly(List.of());
        assertThat(picked.shots()).isEmpty();
        assertThat(picked.contains(desk.shots().get(0))).isFalse();
    }

    @Test
    void aColourThatTellsNothingGivesWayOnceAndIsTheUsersFromThenOn() {
        appearance.colourByProperty().set(RecordFactor.COFFEE);
        answer();
        assertThat(appearance.colourByProperty().get()).isEqualTo(RecordFactor.GRIND);
        Answered before = answered();
        appearance.colourByProperty().set(RecordFactor.BASKET);
        until(() -> answered() != before && !model.busyProperty().get());
        assertThat(appearance.colourByProperty().get()).isEqualTo(RecordFactor.BASKET);
        assertThat(answered().comparison().sentence().headline()).startsWith("Basket did not change");
    }

    /**
     * A colour that was put in place for some shots does not stay for others that the user's own colour tells
     * apart.
     */
    @Test
    void aProposedColourGivesWayAgainWithOtherPicks() {
        picked.pickOnly(
                desk.shots()
                        .stream()
                        .filter(shot -> shot.record().number(RecordField.GRIND).orElse(0) == 2.4)
                        .toList());
        model.activeProperty().set(true);
        until(() -> answered() != null && !model.busyProperty().get());
        assertThat(appearance.colourByProperty().get()).isNotEqualTo(RecordFactor.GRIND);
        picked.pickOnly(desk.shots());
        until(() -> appearance.colourByProperty().get() == RecordFactor.GRIND && !model.busyProperty().get());
        assertThat(answered().comparison().question().variables().get(0).key()).isEqualTo("grind");
    }

    @Test
    void theTimeIsCountedAsTheStudyCountsIt() {
        answer();
        assertThat(model.responses()).contains(StandardResponse.TIME_PUMP_ON_TO_PUMP_OFF);
        Answered before = answered();
        desk.choose(desk.settingsProperty().get().with(TimeConvention.FIRST_DRIP_TO_PUMP_OFF));
        until(() -> answered() != before);
        assertThat(answered().comparison().question().responses())
                .contains(StandardResponse.TIME_FIRST_DRIP_TO_PUMP_OFF);
    }

    @Test
    void everythingThatChangedCanBeAskedAboutAndNothingElse() {
        answer();
        assertThat(model.possibleVariables()).extracting(Variable::key)
                .contains("profile", "temperature", "operator", "purge_g", "run_order")
                .doesNotContain("grind", "coffee", "basket")
                .as("treatments change them themselves")
                .doesNotContain("beverage", "temperature_shown");
        assertThat(model.dividingFactors()).contains(RecordFactor.PROFILE)
                .doesNotContain(RecordFactor.COFFEE, RecordFactor.DAY);
        assertThat(model.others()).extracting(Variable::key).containsExactly("temperature", "profile");
        assertThat(model.possibleResponses()).hasSize(StandardResponse.values().length);
    }

    @Test
    void hairlineAndViewStayWithinTheFigure() {
        answer();
        var whole = answered().overlay().orElseThrow().whole();
        assertThat(model.viewProperty().get()).isEqualTo(whole);
        model.zoom(5, 3);
        assertThat(model.viewProperty().get().length()).isLessThan(whole.length());
        model.pan(1000);
        assertThat(model.viewProperty().get().to()).isEqualTo(whole.to());
        model.moveCursor(-1e6);
        assertThat(model.cursorProperty().get()).isEqualTo(model.viewProperty().get().from());
        model.reset();
        assertThat(model.viewProperty().get()).isEqualTo(whole);
    }

    /** A choice changes what it says and nothing else. */
    @Test
    void choicesAreCopies() {
        CompareChoices changed = CompareChoices.USUAL.withBasis(ComparisonBasis.EQUAL_RESISTANCE)
                .withBlock(Optional.of(RecordFactor.OPERATOR))
                .withByLevel(true)
                .withChannels(List.of(Channel.PRESSURE))
                .withInteractions(List.of("grind:profile", "grind:water"))
                .withOthers(List.of(Variable.of(RecordFactor.PROFILE)))
                .withResponses(List.of(StandardResponse.STRENGTH))
                .withSideBySide(Optional.empty())
                .withMargins(Map.of("strength", 0.1))
                .withHolm(true);
        var question = changed.question(RecordFactor.GRIND, desk.shots().stream().map(shot -> shot.record()).toList(),
                List.of());
        assertThat(question.variables()).containsExactly(new Variable.Treatment(RecordFactor.GRIND, true),
                new Variable.Treatment(RecordFactor.PROFILE, true));
        assertThat(question.interactions()).hasSize(1);
        assertThat(question.margin(StandardResponse.STRENGTH)).isEqualTo(0.1);
        assertThat(question.block()).contains(RecordFactor.OPERATOR);
        assertThat(question.basis()).isEqualTo(ComparisonBasis.EQUAL_RESISTANCE);
        assertThat(changed.channels()).containsExactly(Channel.PRESSURE);
        assertThat(CompareChoices.USUAL.basis()).isEqualTo(ComparisonBasis.EQUAL_SETTING);
    }

    /** What is asked in general outlasts the window; what belonged to those shots does not. */
    @Test
    void choicesAreKeptForTheNextTime() {
        answer();
        model.choose(now -> now.withBasis(ComparisonBasis.EQUAL_BEVERAGE_MASS)
                .withAxis(AxisKind.CUP_MASS)
                .withHolm(true)
                .withByLevel(true)
                .withMargins(Map.of("strength", 0.15, "ey_as_dosed", 0.4))
                .withSteps(Map.of("grind", 0.1))
                .withResponses(List.of(StandardResponse.STRENGTH, StandardResponse.EROSION))
                .withChannels(List.of(Channel.PRESSURE, Channel.TEMPERATURE))
                .withWindows(Map.of("time_pump_on_to_pump_off", new ResponseSurface.Window(25, 30.5)))
                .withBlock(Optional.of(RecordFactor.OPERATOR)));
        CompareChoices chosen = model.choicesProperty().get();
        model.close();
        restart();
        until(() -> desk.settingsProperty().get().compare().equals(chosen.kept()));
        compare();
        assertThat(model.choicesProperty().get()).isEqualTo(new CompareChoices(
                new CompareChoices.Asked(Optional.empty(), List.of(),
                        List.of(StandardResponse.STRENGTH, StandardResponse.EROSION),
                        ComparisonBasis.EQUAL_BEVERAGE_MASS, Optional.empty()),
                new CompareChoices.Judged(Map.of("strength", 0.15, "ey_as_dosed", 0.4), Map.of("grind", 0.1),
                        Map.of("time_pump_on_to_pump_off", new ResponseSurface.Window(25, 30.5)), true, true),
                new CompareChoices.Shown(Optional.empty(), AxisKind.CUP_MASS,
                        List.of(Channel.PRESSURE, Channel.TEMPERATURE)),
                new KeptFactors(Optional.empty(), Optional.empty(), Optional.of("operator"), Optional.empty())));
        CompareChoices strange = CompareChoices.kept(
                "basis=equal-luck\nmargins=strength:much;:3\nsteps=grind:0\nnew=thing\nresponses=crema",
                List.of(StandardResponse.values()));
        assertThat(strange).as("what is not understood is passed over").isEqualTo(CompareChoices.USUAL);
    }

    /** Factors chosen once are asked about the next time, where they changed among the shots picked then. */
    @Test
    void chosenFactorsAreKept() throws Exception {
        answer();
        appearance.colourByProperty().set(RecordFactor.OPERATOR);
        until(() -> !model.busyProperty().get());
        model.choose(now -> now.withOthers(List.of(Variable.of(RecordFactor.GRIND))).withSideBySide(Optional.empty()));
        until(() -> !model.busyProperty().get());
        CompareChoices chosen = model.choicesProperty().get();
        model.close();
        restart();
        until(() -> desk.settingsProperty().get().compare().equals(chosen.kept()));
        compare();
        answer();
        assertThat(answered().comparison().question().variables()).extracting(Variable::key)
                .containsExactly("operator", "grind");
        assertThat(answered().sideBySide()).as("none was chosen").isEmpty();
        List<ShotSummary> sameGrind = desk.shots()
                .stream()
                .filter(shot -> shot.record().number(RecordField.GRIND).orElse(0) == 2.4)
                .toList();
        picked.pickOnly(sameGrind);
        until(() -> !model.busyProperty().get() && answered().comparison().shots().size() == sameGrind.size());
        assertThat(answered().comparison().question().variables()).extracting(Variable::key)
                .as("grind did not change among these")
                .doesNotContain("grind");
    }

    /** Windows are the usual ones until the user gives others; what is no window changes nothing. */
    @Test
    void windowsAreWantedAsTyped() {
        assertThat(CompareChoices.window("25–30,5")).contains(new ResponseSurface.Window(25, 30.5));
        assertThat(CompareChoices.window("18-22")).contains(new ResponseSurface.Window(18, 22));
        assertThat(CompareChoices.window("30–25")).isEmpty();
        assertThat(CompareChoices.window("about 20")).isEmpty();
        assertThat(CompareChoices.text(new ResponseSurface.Window(25, 30.5))).isEqualTo("25–30.5");
        CompareChoices chosen = CompareChoices.USUAL.withWindows(Map.of("strength", new ResponseSurface.Window(9, 10)));
        assertThat(chosen.wanted()).containsEntry("strength", new ResponseSurface.Window(9, 10))
                .containsEntry("ey_as_dosed", new ResponseSurface.Window(18, 22));
        answer();
        model.choose(now -> now.withWindows(Map.of("time_pump_on_to_pump_off", new ResponseSurface.Window(0, 1))));
        until(() -> answered().surface().filter(surface -> surface.windows().size() == 4).isPresent());
        ResponseSurface surface = answered().surface().orElseThrow();
        assertThat(surface.wanted(20, 20)).as("no shot takes less than a second").isFalse();
    }

    @Test
    void theShotBeingReadIsTheReference() {
        answer();
        assertThat(answered().distance().orElseThrow().reference().name()).as("the newest is open").isEqualTo("8");
        desk.select(desk.shots().get(0).id());
        until(() -> answered().distance().filter(found -> found.reference().name().equals("1")).isPresent());
        assertThat(answered().distance().orElseThrow().words(DisplayUnits.CANONICAL))
                .startsWith("Nearest to shot 1 (root mean square): shot ")
                .contains(" pressure ", " bar, cup flow 0.", " g. Farthest: shot ");
        picked.toggle(desk.shots().get(0));
        until(() -> answered().distance().isEmpty());
    }

    @Test
    void anEffectSaysAllItsNumbers() {
        answer();
        var effect = answered().comparison().answers().get(0).effects().get(0);
        assertThat(EffectText.of(effect)).startsWith("Grind +0.4")
                .contains("standard error 0.", "degrees of freedom, p ", ", by ranks ")
                .contains("same in practice within ±0.5");
        picked.pickOnly(desk.shots().subList(0, 2));
        until(() -> answered().comparison().shots().size() == 2 && !model.busyProperty().get());
        assertThat(EffectText.of(answered().comparison().answers().get(0).effects().get(0)))
                .doesNotContain("degrees of freedom")
                .contains("seen once");
        assertThat(EffectText.p(0.0004)).isEqualTo("below 0.001");
        assertThat(answered().comparison().shots()).extracting(MeasuredShot::name).containsExactly("1", "2");
    }
}
