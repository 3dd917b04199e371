package org.grenu.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.grenu.core.entry.Entries;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.Notice;
import org.grenu.library.Stored;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Profiles as things of their own, with versions, without a window. */
class ProfilesViewModelTest extends DeskFixture {

    private static final Profile SHORT = Profile.parse("main: pressure 8 ±0.5 until 30 g");

    private DialInViewModel dialIn;
    private ProfilesViewModel profiles;

    @BeforeEach
    void begin() {
        Clock clock = Clock.fixed(Instant.parse("2026-07-03T09:30:00Z"), ZoneOffset.UTC);
        dialIn = new DialInViewModel(desk, onInterface::add, clock);
        profiles = new ProfilesViewModel(desk, dialIn, onInterface::add);
        profiles.activeProperty().set(true);
        until(() -> profiles.figureProperty().get() != null);
    }

    @AfterEach
    void end() {
        profiles.close();
        dialIn.close();
    }

    private KnownProfile chosen() {
        return profiles.chosenProperty().get();
    }

    private ShelfItem item(String name) {
        return desk.shelfProperty().get().find(ShelfKind.PROFILE, name).orElseThrow();
    }

    private void choose(String name) {
        profiles.choose(name);
        until(() -> chosen() != null && chosen().name().equals(name));
    }

    private static Profile higher(Profile steps) {
        return Profile.parse(steps.text().replaceFirst("pressure \\d+(\\.\\d+)?", "pressure 7.5"));
    }

    /** What only shots have so far is drawn at once: the open shot's first. */
    @Test
    void whatShotsWerePulledByIsThere() {
        assertThat(profiles.all()).extracting(KnownProfile::name).containsExactly("Gentle ramp", "Straight nine");
        assertThat(chosen().name()).as("by which shot 3 was pulled").isEqualTo("Gentle ramp");
        assertThat(chosen().shots()).extracting(shot -> shot.number()).containsExactly(3);
        assertThat(chosen().version()).isEqualTo(1);
        assertThat(profiles.withoutSteps()).isEmpty();
        until(() -> profiles.factsProperty().get() != null);
        assertThat(profiles.factsProperty().get().kin()).isEmpty();
        assertThat(profiles.differenceProperty().get()).as("there is no other version").isNull();
    }

    /** An edit never changes what shots were pulled by; the version that it begins is edited in its place. */
    @Test
    void shotsKeepTheVersionTheyWerePulledBy() {
        choose("Straight nine");
        Profile before = profiles.profile();
        profiles.keep(before);
        assertThat(desk.shelfProperty().get().of(ShelfKind.PROFILE)).as("nothing was changed").isEmpty();
        profiles.keep(higher(before));
        until(() -> chosen().item().isPresent() && chosen().version() == 2);
        assertThat(profiles.profile()).isEqualTo(higher(before));
        assertThat(Profile.parse(item("Straight nine").versions()
                .get(0)
                .entries()
                .entry(RecordField.PROFILE_STEPS)
                .orElseThrow())).isEqualTo(before);
        assertThat(item("Straight nine").newest().since()).hasValue(LocalDate.of(2026, 7, 3));
        assertThat(desk.shots().get(0).record().profileSteps()).hasValue(before);

        profiles.keep(SHORT);
        until(() -> profiles.profile().equals(SHORT));
        until(() -> item("Straight nine").entries().entry(RecordField.PROFILE_STEPS).orElse("").equals(SHORT.text()));
        assertThat(item("Straight nine").versions()).as("no shot was pulled by it: it is edited where it is")
                .hasSize(2);
        until(() -> profiles.differenceProperty().get() != null);
        assertThat(profiles.differenceProperty().get().against()).isEqualTo("version 1");
        desk.undo();
        until(() -> profiles.profile().equals(higher(before)));
    }

    /** What is drawn and not kept is shown beside what it was, and taken back. */
    @Test
    void aDraftIsHeldAgainstWhatIsKept() {
        choose("Straight nine");
        Profile before = profiles.profile();
        profiles.draw(higher(before));
        until(() -> profiles.figureProperty().get().before().isPresent());
        assertThat(profiles.figureProperty().get().before()).hasValue(before);
        assertThat(profiles.profile()).isEqualTo(higher(before));
        profiles.takeBack();
        until(() -> profiles.figureProperty().get().before().isEmpty());
        assertThat(profiles.profile()).isEqualTo(before);
    }

    @Test
    void aNewOneNeverTakesTheNameOfAnother() {
        profiles.add("gentle RAMP", SHORT);
        until(() -> chosen().name().equals("gentle RAMP 2"));
        profiles.add("gentle RAMP", SHORT);
        until(() -> chosen().name().equals("gentle RAMP 3"));
        assertThat(chosen().shots()).isEmpty();
        assertThat(chosen().used()).isFalse();
    }

    /** A name that no steps are known of is told rather than left out. */
    @Test
    void namesWithoutStepsAreCounted() {
        for (int i = 0; i < 2; i++) {
            desk.library()
                    .write(tx -> tx.shots()
                            .write(ShotRecord.EMPTY.with(RecordField.PROFILE, "By feel"), ShotState.RECORDED, 0));
        }
        desk.reload(Stored.shots(desk.library()));
        until(() -> profiles.withoutSteps().containsKey("By feel"));
        assertThat(profiles.withoutSteps()).containsOnlyKeys("By feel").containsEntry("By feel", 2L);
    }

    /** Without a curve there is nothing to learn or to read off, and both say so. */
    @Test
    void whatCannotBeLearntIsSaid() {
        profiles.add("Drawn", SHORT);
        until(() -> chosen().name().equals("Drawn"));
        profiles.learnTolerances();
        until(() -> desk.noticeProperty().get() != null);
        assertThat(desk.noticeProperty().get().kind()).isEqualTo(Notice.Kind.FAILED);
        assertThat(desk.noticeProperty().get().text()).startsWith("No logged shot was pulled by Drawn");
        desk.noticeProperty().set(null);
        desk.library().write(tx -> tx.shots().write(ShotRecord.EMPTY, ShotState.RECORDED, 0));
        desk.reload(Stored.shots(desk.library()));
        until(() -> desk.shots().size() == 4);
        open(4);
        profiles.fromOpenShot();
        assertThat(desk.noticeProperty().get().text()).startsWith("Shot 4 has no pressure curve");
    }

    /** A shot's own curve becomes steps, and corridors are learnt from the shots that were pulled by a profile. */
    @Test
    void stepsAndCorridorsComeFromShots() {
        profiles.fromOpenShot();
        until(() -> chosen().name().equals("Like shot 3"));
        assertThat(profiles.profile().steps()).hasSizeGreaterThan(1);
        choose("Straight nine");
        profiles.learnTolerances();
        until(() -> chosen().version() == 2);
        assertThat(desk.noticeProperty().get().text()).startsWith("Corridors learnt from 2 shots");
    }

    /** A valve follows the prediction by its own runs; the pressure before it is assumed where nobody has said. */
    @Test
    void aManualValveFollowsWhatIsPredicted() {
        choose("Straight nine");
        assertThat(ValvePlan.machines(desk.shelfProperty().get())).isEmpty();
        Entries machine = Entries.NONE.with(ShelfField.VALVE_RUNS, "1 30 30; 2 30 90; 4 30 240; 6 30 330");
        desk.onShelf().add(ShelfKind.MACHINE, "Rig V", machine, item -> {});
        desk.onShelf().add(ShelfKind.MACHINE, "Rig L", machine.with(ShelfField.LINE_PRESSURE, "6"), item -> {});
        until(() -> ValvePlan.machines(desk.shelfProperty().get()).size() == 2);
        var predicted = profiles.figureProperty().get().prediction().orElseThrow();
        ValvePlan assumed = ValvePlan.of(predicted,
                desk.shelfProperty().get().find(ShelfKind.MACHINE, "Rig V").orElseThrow());
        assertThat(assumed.assumed()).isTrue();
        assertThat(assumed.line()).isEqualTo(9);
        ValvePlan low = ValvePlan.of(predicted,
                desk.shelfProperty().get().find(ShelfKind.MACHINE, "Rig L").orElseThrow());
        assertThat(low.assumed()).isFalse();
        assertThat(low.beyond()).as("nine bar cannot be had from six").isPresent();
    }
}
