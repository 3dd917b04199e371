package org.grenu.desktop.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.entry.Entries;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.CoffeeNext;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.desktop.entry.HistoryViewModel;
import org.grenu.desktop.shell.AttachmentActions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The record of the shot being read: what changed, what can be taken over, corrections, photos. */
class RecordViewModelTest extends DeskFixture {

    private LedgerViewModel model;

    @BeforeEach
    void ledger() {
        model = new LedgerViewModel(desk, new Appearance(List.of(), desk.shots(), desk.units()),
                seconds -> {}, new CoffeeNext(desk, Runnable::run),
                Clock.fixed(Instant.parse("2026-06-01T08:00:59Z"), ZoneOffset.UTC));
    }

    @Test
    void whatChangedSinceTheShotBeforeIsNamed() {
        open(2);
        assertThat(model.before()).hasValueSatisfying(shot -> assertThat(shot.number()).isEqualTo(1));
        assertThat(model.changed()).extracting(SetUp.Changed::title)
                .contains("Grind", "Operator")
                .doesNotContain("Dose");
        open(1);
        assertThat(model.before()).isEmpty();
        assertThat(model.changed()).isEmpty();
    }

    private void takeOver() {
        LedgerViewModel.Copy copy = model.copy().orElseThrow();
        model.takeOver(copy, copy.edits());
    }

    @Test
    void whatIsUnknownIsTakenOverInOneStep() {
        open(3);
        for (RecordField field : List.of(RecordField.COFFEE, RecordField.WATER, RecordField.PROFILE_STEPS)) {
            desk.enter(field, "");
        }
        until(() -> !open().written().has(RecordField.PROFILE_STEPS));
        assertThat(model.offered()).isEqualTo(3);
        takeOver();
        until(() -> open().written().has(RecordField.PROFILE_STEPS));
        assertThat(open().written().text(RecordField.WATER)).hasValue("Brew water 3");
        assertThat(model.offered()).isZero();
        desk.undo();
        until(() -> !open().written().has(RecordField.COFFEE) && !open().written().has(RecordField.WATER));
    }

    /** Who types on while entries are still being taken over corrects what was taken over, not what stood before. */
    @Test
    void typeOnWhileEntriesAreTakenOver() {
        desk.enter(RecordField.WATER, "");
        until(() -> !open().written().has(RecordField.WATER));
        takeOver();
        desk.enter(RecordField.WATER, "Spring");
        until(() -> open().written().text(RecordField.WATER).filter("Spring"::equals).isPresent());
        assertThat(desk.noticeProperty().get()).isNull();
        desk.undo();
        until(() -> open().written().text(RecordField.WATER).filter("Brew water 3"::equals).isPresent());
    }

    @Test
    void namesAreOfferedFromShotsAndShelf() {
        desk.onShelf().add(ShelfKind.WATER, "Spring", Entries.NONE, item -> {});
        until(() -> !desk.shelfProperty().get().items().isEmpty());
        assertThat(model.earlier().known(RecordField.WATER)).containsExactly("Brew water 3", "Spring");
        desk.onShelf()
                .add(ShelfKind.STUDY, "Grind × profile, blocks 1–2",
                        Entries.NONE.with(ShelfField.ARMS, "gentle; straight"), item -> {});
        until(() -> desk.shelfProperty().get().items().size() == 2);
        assertThat(model.earlier().known(RecordField.ARM)).as("arms that the shot's study names")
                .containsExactlyInAnyOrder("gentle", "straight");
    }

    @Test
    void whatStoodLastIsOfferedNewestFirst() {
        open(1);
        desk.enter(RecordField.PURGE, "3");
        desk.enterOwn("beans frozen", "no");
        until(() -> open().written().extras().containsKey("beans frozen"));
        open(3);
        desk.enter(RecordField.PURGE, "2");
        desk.enterOwn("beans frozen", "yes");
        until(() -> open().written().extras().containsKey("beans frozen"));
        open(2);
        desk.enter(RecordField.PURGE, "3");
        until(() -> open().written().number(RecordField.PURGE).orElse(0) == 3);
        assertThat(model.earlier().last(RecordField.PURGE)).containsExactly("2", "3");
        assertThat(model.earlier().lastOwn("beans frozen")).containsExactly("yes", "no");
        assertThat(model.earlier().last(RecordField.PREPARATION)).isEmpty();
        assertThat(model.earlier().last(RecordField.PULLED_AT)).as("no shot is pulled at the time of another")
                .containsExactly("2026-06-01 08:00");
    }

    /** A folded group says what is known of it, also by the gear, and counts what is not. */
    @Test
    void aFoldedGroupSaysWhatIsKnownOfIt() {
        open(1);
        assertThat(RecordGroup.STUDY.summary(desk.openProperty().get(), DisplayUnits.CANONICAL))
                .isEqualTo("Grind × profile, blocks 1–2 · Operator 1 · 2026-05-13 09:04 · 6 unknown");
        desk.enter(RecordField.PROFILE_STEPS, "");
        desk.enter(RecordField.DOSE_TARGET, "");
        desk.enter(RecordField.BEVERAGE_TARGET, "");
        desk.onShelf().add(ShelfKind.SITE, "Basalt Room", Entries.NONE.with(ShelfField.ALTITUDE, "320"), item -> {});
        until(() -> !open().written().has(RecordField.BEVERAGE_TARGET) && open().record().has(RecordField.ALTITUDE));
        assertThat(RecordGroup.MEANT.summary(desk.openProperty().get(), DisplayUnits.CANONICAL))
                .isEqualTo("nothing known");
        assertThat(RecordGroup.PLACE.summary(desk.openProperty().get(), DisplayUnits.CANONICAL))
                .contains("Basalt Room · altitude 320 m");
        assertThat(Arrays.stream(RecordGroup.values()).flatMap(group -> group.fields().stream()))
                .doesNotHaveDuplicates();
    }

    @Test
    void whatTheGearTellsStandsForAnOpenEntry() {
        desk.onShelf().add(ShelfKind.SITE, "Basalt Room", Entries.NONE.with(ShelfField.ALTITUDE, "320"), item -> {});
        EntryViewModel altitude = model.entry(RecordField.ALTITUDE);
        until(() -> altitude.insteadProperty().get().equals("320"));
        assertThat(altitude.shownProperty().get()).isEmpty();
        altitude.enter("400");
        until(() -> altitude.shownProperty().get().equals("400"));
        assertThat(altitude.insteadProperty().get()).isEmpty();
    }

    @Test
    void aCorrectionIsToldWithItsReasonAndReverted() {
        open(1);
        desk.enter(RecordField.DOSE, "17.5");
        until(() -> open().written().number(RecordField.DOSE).orElse(0) == 17.5);
        HistoryViewModel history = model.history();
        until(() -> history.entries().size() == 1);
        desk.background().run(() -> {
            desk.library().store(tx -> tx.history().giveReason(history.entries().get(0).id(), "tared late"));
            return 0;
        }, done -> {}, desk::failed);
        desk.change("Dose reverted", List.of(history.entries().get(0).change().inverse()), "reverted");
        until(() -> open().written().number(RecordField.DOSE).orElse(0) == 18 && history.entries().size() == 2);
        assertThat(history.entries().get(0).reason()).isEqualTo("reverted");
        assertThat(history.entries().get(1).reason()).isEqualTo("tared late");
        open(2);
        until(() -> history.entries().isEmpty());
    }

    /**
     * Two tasted shots of 18 g: 194 mg each by 1.2 % of the dose, nine tenths in the cup (common practice, no
     * source).
     */
    @Test
    void tastingTalliesCaffeineForTheDay() {
        open(2);
        assertThat(model.caffeine()).isEmpty();
        desk.enter(RecordField.TASTE, "sweet");
        until(() -> open().written().has(RecordField.TASTE));
        assertThat(model.caffeine())
                .hasValueSatisfying(words -> assertThat(words).startsWith("Tasted on this day: 1, about 194 mg")
                        .contains("200 mg at once and 400 mg a day, in pregnancy 200 mg a day"));
        open(1);
        desk.enter(RecordField.TASTE, "thin");
        until(() -> open().written().has(RecordField.TASTE));
        assertThat(model.caffeine().orElseThrow()).startsWith("Tasted on this day: 2, about 389 mg");
    }

    @Test
    void photosAreKeptWithTheShotAndBinned() throws IOException {
        open(1);
        AttachmentsViewModel files = new AttachmentsViewModel(desk);
        Path photo = Files.write(folder.resolve("puck.png"), new byte[] {1, 2, 3});
        new AttachmentActions(desk).attach(List.of(photo));
        until(() -> files.files().size() == 1);
        Files.delete(photo);
        assertThat(AttachmentsViewModel.picture(files.files().get(0))).isTrue();
        byte[][] read = {null};
        files.read(files.files().get(0), bytes -> read[0] = bytes);
        until(() -> read[0] != null);
        assertThat(read[0]).containsExactly(1, 2, 3);
        files.bin(files.files().get(0));
        until(() -> files.files().isEmpty());
        desk.undo();
        until(() -> files.files().size() == 1);
        new AttachmentActions(desk).attach(List.of(folder.resolve("none.png")));
        until(() -> desk.noticeProperty().get() != null && desk.noticeProperty().get().kind() == Notice.Kind.FAILED);
        assertThat(desk.noticeProperty().get().text()).contains("none.png").contains("cannot be read");
    }
}
