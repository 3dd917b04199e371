package org.grenu.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.advice.SchoolAnswers;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.diagnosis.SchoolMove;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.learn.AgeTrend;
import org.grenu.core.learn.Ladder.Step;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A coffee is dialled in from nothing, rung by rung, without a window. */
class DialInViewModelTest extends DeskFixture {

    private static final String COFFEE = "Lot Wren 5";
    private static final String GRINDER = "G-burr N";

    private Duration apart = Duration.ofMinutes(10);
    private Instant now = Instant.parse("2026-07-03T09:30:00Z");
    private DialInViewModel dialIn;
    private NextShotViewModel next;
    private TargetViewModel target;

    @Override
    protected int shots() {
        return 0;
    }

    @BeforeEach
    void begin() {
        Clock clock = mock(Clock.class);
        when(clock.getZone()).thenReturn(ZoneOffset.UTC);
        when(clock.withZone(any(ZoneId.class))).thenReturn(clock);
        when(clock.instant()).thenAnswer(asked -> now);
        dialIn = new DialInViewModel(desk, onInterface::add, clock);
        next = new NextShotViewModel(dialIn, clock);
        target = new TargetViewModel(dialIn);
        put(ShelfKind.COFFEE, COFFEE, Entries.NONE);
    }

    @AfterEach
    void end() {
        dialIn.close();
    }

    private void put(ShelfKind kind, String name, Entries entries) {
        desk.onShelf().add(kind, name, entries, item -> {});
        until(() -> desk.shelfProperty().get().find(kind, name).isPresent());
    }

    private void grinder() {
        put(ShelfKind.GRINDER, GRINDER, Entries.NONE.with(ShelfField.STEP, "0.1")
                .with(ShelfField.FINEST, "0")
                .with(ShelfField.COARSEST, "6"));
    }

    private DialInAnswer answer() {
        return dialIn.answeredProperty().get();
    }

    private CoffeeAdvice given() {
        return answer().given().orElseThrow();
    }

    private void look() {
        dialIn.activeProperty().set(true);
        until(() -> answer() != null);
    }

    /** Writes a rung down and waits until it counts. */
    private void pull(String grind, String dose, String cup, String seconds, String taste) {
        int before = desk.shots().size();
        now = now.plus(apart);
        next.write(List.of(grind, "", dose, "", "", cup, seconds, "", taste));
        until(() -> desk.shots().size() == before + 1
                && answer().given().map(given -> given.advice().ladder().rungs().size()).orElse(0) == before + 1);
    }

    /** As the law of the handbook has it: 0.118 in ln(time) a notch of 0.1. */
    private void pull(double grind, String taste) {
        double seconds = 28 * Math.exp(1.18 * (2.4 - grind));
        pull(DecimalText.exact(grind), "18", "36", DecimalText.exact(Math.rint(10 * seconds) / 10), taste);
    }

    @Test
    void nothingIsWorkedOutWhileNobodyLooks() {
        assertThat(answer()).isNull();
        look();
        assertThat(dialIn.coffeeProperty().get()).as("the only one there is").isEqualTo(COFFEE);
        assertThat(answer().given()).isEmpty();
        assertThat(dialIn.coffees()).containsExactly(COFFEE);
    }

    /** Nobody has said what a notch is: it is asked for, refused where it is none, and kept on the shelf. */
    @Test
    void aNotchOfTheGrinderIsAskedForOnce() {
        look();
        assertThat(next.wantsGrinder()).isTrue();
        assertThatThrownBy(() -> next.keepGrinder(" ", "0.1")).isInstanceOf(RefusedEntry.class)
                .hasMessage("Name the grinder.");
        assertThatThrownBy(() -> next.keepGrinder(GRINDER, "wide")).isInstanceOf(RefusedEntry.class);
        assertThat(desk.shelfProperty().get().of(ShelfKind.GRINDER)).isEmpty();
        next.keepGrinder(GRINDER, "0.1");
        until(() -> desk.shelfProperty().get().find(ShelfKind.GRINDER, GRINDER).isPresent());
        assertThat(next.wantsGrinder()).isFalse();
        assertThat(next.grinder()).isEqualTo(GRINDER);
    }

    /** What is proposed stands in the fields; what is typed counts, and everything else is as for the shot before. */
    @Test
    void eachRungFollowsFromTheOneBefore() {
        grinder();
        look();
        next.keepGrinder(GRINDER, "0.1");
        pull("2.8", "18", "36.2", "18.9", "");
        assertThat(given().advice().next().inputs().finer()).isGreaterThan(given().advice().held().finer());
        String proposed = next.prefilled(RecordField.GRIND);
        assertThat(Double.parseDouble(proposed)).isBetween(2.2, 2.7);
        assertThat(next.prefilled(RecordField.DOSE)).isEqualTo("18");
        assertThat(next.prefilled(RecordField.BEVERAGE)).isEmpty();

        next.use(new SchoolMove(Slope.GRIND, 1));
        assertThat(next.prefilled(RecordField.GRIND)).as("one notch from what was pulled").isEqualTo("2.7");
        pull(next.prefilled(RecordField.GRIND), "18", "36", "21", "");
        assertThat(next.usedProperty().get()).as("a lever is chosen for one shot").isNull();
        ShotSummary written = desk.shots().get(1);
        assertThat(written.written().text(RecordField.GRINDER)).hasValue(GRINDER);
        assertThat(written.written().text(RecordField.COFFEE)).hasValue(COFFEE);
        assertThat(written.record().pulledAt().orElseThrow()).isEqualTo("2026-07-03T09:50");
        assertThat(answer().lines()).hasSize(2);
        assertThat(answer().lines().get(0).changed()).isEqualTo("finer by 1");

        assertThatThrownBy(() -> next.write(List.of("2.6", "", "-3", "", "", "36", "24", "", "")))
                .isInstanceOf(RefusedEntry.class)
                .hasMessage("Dose cannot be negative.");
        assertThat(desk.shots()).hasSize(2);
        dialIn.open("1");
        until(() -> open().number() == 1);
    }

    /** Shots that name no coffee become its shots in one step, which is taken back as one. */
    @Test
    void shotsWithoutACoffeeAreNamedTogether() {
        for (int i = 0; i < 3; i++) {
            ShotRecord record = ShotRecord.EMPTY.with(RecordField.GRIND, "2." + (4 + i)).with(RecordField.DOSE, "18");
            desk.library().write(tx -> tx.shots().write(record, ShotState.RECORDED, 0));
        }
        desk.reload(Stored.shots(desk.library()));
        look();
        dialIn.choose(COFFEE);
        assertThat(dialIn.unnamed()).hasSize(3);
        dialIn.nameShots();
        until(() -> dialIn.unnamed().isEmpty());
        assertThat(desk.shots()).allSatisfy(shot -> assertThat(shot.written().text(RecordField.COFFEE))
                .hasValue(COFFEE));
        desk.undo();
        until(() -> dialIn.unnamed().size() == 3);
    }

    /** A recipe begins with proposals, is edited where it stands, and its versions begin one after the other. */
    @Test
    void theTargetIsARecipeOfTheShelf() {
        look();
        target.start("", start -> target.keep(start.card()));
        until(() -> target.recipe().isPresent());
        assertThat(answer().target().aim().time().low()).isLessThan(answer().target().aim().time().high());

        EntryViewModel from = target.entry(ShelfField.AIM_TIME_FROM);
        assertThat(from.enter("20")).isEqualTo(EntryViewModel.Outcome.STORED);
        until(() -> answer().target().aim().time().low() == 20);
        assertThat(from.shownProperty().get()).isEqualTo("20");
        assertThat(from.enter("soon")).isEqualTo(EntryViewModel.Outcome.REFUSED);
        assertThat(from.refusalProperty().get()).isNotEmpty();

        EntryViewModel tastes = target.tastes();
        assertThat(tastes.enter("sour 0–3; sweetness 5 – 10")).isEqualTo(EntryViewModel.Outcome.STORED);
        until(() -> answer().target().aim().tastes().size() == 2);
        assertThat(tastes.shownProperty().get()).isEqualTo("sourness 0–3; sweetness 5–10");

        target.nextVersion();
        until(() -> target.recipe().orElseThrow().versions().size() == 2);
        target.nextVersion();
        until(() -> target.recipe().orElseThrow().versions().size() == 3);
        List<LocalDate> since = new ArrayList<>();
        target.recipe().orElseThrow().versions().forEach(version -> version.since().ifPresent(since::add));
        assertThat(since).isSorted().doesNotHaveDuplicates();

        target.start("milk", start -> target.keep(start.card()));
        until(() -> desk.shelfProperty().get().find(ShelfKind.RECIPE, COFFEE + " 2").isPresent());
    }

    /** Who reads °F is told and asked in °F, and °C is kept. */
    @Test
    void temperaturesAreInTheUsersUnit() {
        grinder();
        look();
        next.keepGrinder(GRINDER, "0.1");
        StudySettings usual = desk.settingsProperty().get();
        desk.choose(usual.with(usual.display().in(new DisplayUnits(Unit.FAHRENHEIT, Unit.BAR))));
        now = now.plus(apart);
        next.write(List.of("2.6", "", "18", "200", "", "36", "24", "", ""));
        until(() -> answer().given().isPresent());
        assertThat(desk.shots().get(0).written().number(RecordField.TEMPERATURE).orElseThrow())
                .isCloseTo(93.33, within(0.01));
        assertThat(Double.parseDouble(next.prefilled(RecordField.TEMPERATURE))).isCloseTo(200, within(0.2));
        assertThat(answer().lines().get(0).set()).contains("°F");
        AdviceWords words = answer().words().orElseThrow();
        assertThat(words.setting(Slope.TEMPERATURE, given().advice().held())).isEqualTo("200 °F");
        assertThat(new SchoolMove(Slope.TEMPERATURE, -2).words(answer().units())).isEqualTo("cooler by 3.6 °F");
        target.start("", start -> target.keep(start.card()));
        until(() -> target.recipe().isPresent());
        EntryViewModel water = target.entry(RecordField.TEMPERATURE);
        water.enter("190");
        until(() -> target.recipe().orElseThrow().entries().number(RecordField.TEMPERATURE).orElse(99) < 90);
        assertThat(target.recipe().orElseThrow().entries().number(RecordField.TEMPERATURE).orElseThrow())
                .isCloseTo(87.78, within(0.01));
    }

    /** Two schools that disagree become a study; asked again, another of its own name. */
    @Test
    void disagreementBecomesAStudy() {
        grinder();
        look();
        next.keepGrinder(GRINDER, "0.1");
        pull(2.6, "sour 7");
        pull(2.4, "sour 4");
        SchoolAnswers answers = answer().schools().orElseThrow();
        assertThat(answers.disagree()).isTrue();
        next.testBoth(answers);
        String name = "Two schools on sourness, " + COFFEE;
        until(() -> desk.shelfProperty().get().find(ShelfKind.STUDY, name).isPresent());
        next.testBoth(answers);
        until(() -> desk.shelfProperty().get().find(ShelfKind.STUDY, name + " 2").isPresent());
        ShelfItem study = desk.shelfProperty().get().find(ShelfKind.STUDY, name).orElseThrow();
        assertThat(study.entries().rows(ShelfField.ARMS)).hasSizeGreaterThan(1);
        assertThat(study.entries().text(ShelfField.QUESTION).orElseThrow())
                .startsWith("What makes it less sour: finer by 1 notch or ");
        until(() -> desk.noticeProperty().get() != null);
    }

    /** The same setting on later days tells how a coffee ages; what is asked of another response is its own. */
    @Test
    void ageingIsReadOffShotsOfOneSetting() {
        grinder();
        put(ShelfKind.BAG, "Wren 5 bag A", Entries.NONE.with(ShelfField.BAG_COFFEE, COFFEE)
                .with(ShelfField.LIFE, "2026-06-24 roasted"));
        apart = Duration.ofDays(3);
        look();
        next.keepGrinder(GRINDER, "0.1");
        for (int day = 0; day < 6; day++) {
            pull("2.4", "18", "36", DecimalText.exact(30 - 0.6 * day), "sour " + (2 + day));
        }
        assertThat(answer().lines().get(0).rung().step()).isIn(Step.ONE_THING, Step.REPEAT);
        AgeTrend time = dialIn.ageTrend().orElseThrow();
        assertThat(time.points()).hasSize(6);
        assertThat(time.points().get(0).days()).isCloseTo(12, within(1.0));
        assertThat(time.smooth()[40]).isLessThan(time.smooth()[0] - 2);
        String sourness = answer().curves()
                .stream()
                .map(curve -> curve.response().key())
                .filter(key -> key.startsWith("sour"))
                .findFirst()
                .orElseThrow();
        dialIn.responseProperty().set(sourness);
        assertThat(dialIn.curve().orElseThrow().response()).isInstanceOf(StandardResponse.class);
        assertThat(dialIn.ageTrend().orElseThrow().smooth()[40]).isGreaterThan(5);
        dialIn.responseProperty().set("nothing of that name");
        assertThat(DialInViewModel.tab(dialIn.curve().orElseThrow())).isEqualTo("Time");
    }
}
