package org.grenu.desktop.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.desktop.entry.HistoryViewModel;
import org.grenu.figures.shelf.BagFigure;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class ShelfViewModelTest extends DeskFixture {

    private ShelfViewModel model;

    @BeforeEach
    void show() {
        model = new ShelfViewModel(desk, onInterface::add,
                Clock.fixed(Instant.parse("2026-05-20T08:00:00Z"), ZoneOffset.UTC));
        model.activeProperty().set(true);
    }

    @AfterEach
    void close() {
        model.close();
    }

    private ShelfItem add(ShelfKind kind, String name) {
        assertThat(model.add(kind, name)).isEmpty();
        until(() -> model.chosenProperty().get() != null && model.chosenProperty().get().item().name().equals(name));
        return model.chosenProperty().get().item();
    }

    private ShelfItem now() {
        return model.chosenProperty().get().item();
    }

    @Test
    void namesThatShotsUseAreOfferedUntilTheyStandOnTheShelf() {
        model.kindProperty().set(ShelfKind.GRINDER);
        assertThat(model.unshelved(ShelfKind.GRINDER)).containsExactly("G-burr A");
        add(ShelfKind.GRINDER, "G-burr A");
        assertThat(model.unshelved(ShelfKind.GRINDER)).isEmpty();
        assertThat(model.shotsWith(now())).hasSize(3);
        assertThat(model.add(ShelfKind.GRINDER, "g-BURR a")).contains("There is a grinder “G-burr A” already.");
        assertThat(model.add(ShelfKind.GRINDER, " ")).isPresent();
        until(() -> model.cards().size() == 1);
        assertThat(model.cards().get(0).figure().words()).contains("3 shots");
    }

    @Test
    void whatTheShelfTellsReachesTheOpenShotAtOnce() {
        desk.enter(RecordField.MOISTURE, "");
        desk.enter(RecordField.MOISTURE_U, "");
        until(() -> open().masses().moisture().isEmpty());
        add(ShelfKind.COFFEE, "Lot Heron 14");
        EntryViewModel moisture = model.entry(ShelfField.MOISTURE);
        assertThat(moisture.enter("much")).isEqualTo(EntryViewModel.Outcome.REFUSED);
        assertThat(moisture.refusalProperty().get()).contains("is not a number");
        assertThat(moisture.enter("2,4")).isEqualTo(EntryViewModel.Outcome.STORED);
        until(() -> open().masses().moisture().isPresent());
        assertThat(open().masses().moisture().orElseThrow().value()).isEqualTo(2.4);
        assertThat(open().written().has(RecordField.MOISTURE)).isFalse();
        desk.undo();
        until(() -> open().masses().moisture().isEmpty());
    }

    @Test
    void shotsAndBagsFollowARename() {
        ShelfItem coffee = add(ShelfKind.COFFEE, "Lot Heron 14");
        model.addBag(coffee);
        until(() -> now().kind() == ShelfKind.BAG);
        model.choose(coffee);
        until(() -> now().kind() == ShelfKind.COFFEE);
        model.rename("Heron");
        until(() -> model.shelf().find(ShelfKind.COFFEE, "Heron").isPresent());
        assertThat(desk.shots())
                .allSatisfy(shot -> assertThat(shot.record().text(RecordField.COFFEE)).hasValue("Heron"));
        assertThat(model.shelf().of(ShelfKind.BAG).get(0).entries().text(ShelfField.BAG_COFFEE)).hasValue("Heron");
        desk.undo();
        until(() -> model.shelf().find(ShelfKind.COFFEE, "Lot Heron 14").isPresent());
        assertThat(desk.shots())
                .allSatisfy(shot -> assertThat(shot.record().text(RecordField.COFFEE)).hasValue("Lot Heron 14"));
        add(ShelfKind.COFFEE, "Other");
        assertThatThrownBy(() -> model.rename("Lot Heron 14")).isInstanceOf(RefusedEntry.class)
                .hasMessageContaining("already");
    }

    @Test
    void changedPartsBeginAVersionFromADayOn() {
        add(ShelfKind.MACHINE, "Rig 1");
        assertThatThrownBy(() -> model.partsChanged("soon", "screen")).isInstanceOf(RefusedEntry.class)
                .hasMessageContaining("2026-05-20");
        model.partsChanged("2026-05-13", "new screen");
        until(() -> now().versions().size() == 2);
        assertThat(desk.shots()).allSatisfy(
                shot -> assertThat(shot.record().text(RecordField.MACHINE_VERSION)).hasValue("v2: new screen"));
        assertThatThrownBy(() -> model.partsChanged("2026-05-13", "again")).hasMessageContaining("must begin later");
        model.chooseVersion(1);
        assertThat(model.chosenProperty().get().version().number()).isEqualTo(1);
        model.enter(ShelfField.PUMP, "gear");
        until(() -> now().versions().get(0).entries().has(ShelfField.PUMP));
        assertThat(now().newest().entries().has(ShelfField.PUMP)).as("the other version is left alone").isFalse();
    }

    @Test
    void theRestWindowIsThatOfTheChosenSchool() {
        ShelfItem coffee = add(ShelfKind.COFFEE, "Lot Heron 14");
        model.addBag(coffee);
        until(() -> now().kind() == ShelfKind.BAG);
        model.enter(ShelfField.LIFE, "2026-04-27 roasted");
        model.chooseRest(
                model.restSchools().stream().filter(pack -> pack.id().equals("rest_5_14")).findFirst());
        assertThat(model.restSchool()).hasValueSatisfying(pack -> assertThat(pack.id()).isEqualTo("rest_5_14"));
        until(() -> model.cards().size() == 2 && model.cards().get(1).figure() instanceof BagFigure bag
                && bag.rest().isPresent() && bag.age().isPresent());
        BagFigure bag = (BagFigure) model.cards().get(1).figure();
        assertThat(bag.rest().orElseThrow().from()).hasValue(5);
        assertThat(bag.rest().orElseThrow().to()).hasValue(14);
        assertThat(bag.rest().orElseThrow().school()).contains("5–14 days");
        assertThat(bag.age()).as("by the clock of the test").hasValue(23);
        model.chooseRest(Optional.empty());
        assertThat(model.restSchool()).isEmpty();
    }

    @Test
    void theHistoryTellsAndRevertsCorrectionsOfTheChosenThing() {
        add(ShelfKind.SITE, "Hill");
        model.enter(ShelfField.ALTITUDE, "1370");
        until(() -> now().entries().has(ShelfField.ALTITUDE));
        model.enter(ShelfField.ALTITUDE, "1730");
        until(() -> now().entries().number(ShelfField.ALTITUDE).orElse(0) == 1730);
        HistoryViewModel history = model.history();
        until(() -> history.entries().size() == 3);
        assertThat(history.entries()).extracting(entry -> entry.change().after()).containsExactly("1730", "1370", "");
    }

    @Test
    void whatIsBinnedLeavesTheShelf() {
        add(ShelfKind.WATER, "Tap");
        model.bin();
        until(() -> model.shelf().of(ShelfKind.WATER).isEmpty());
        assertThat(model.chosenProperty().get()).isNull();
        desk.undo();
        until(() -> !model.shelf().of(ShelfKind.WATER).isEmpty());
        assertThat(List.of(ShelfViewModel.article(ShelfKind.WATER))).containsExactly("a water");
    }
}
