package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.app.settings.Display;
import org.grenu.library.Stored;
import java.util.List;
import java.util.Map;
import org.grenu.app.settings.Schools;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.Siblings;
import org.grenu.figures.read.ReadOptions;
import org.grenu.formats.rules.ShippedPacks;
import org.junit.jupiter.api.Test;

/** A choice made today is there tomorrow. */
class ChoicesTest extends DeskFixture {

    private static final RulePack PACK = ShippedPacks.all().get(3);

    @Test
    void choicesOutliveTheProgram() {
        StudySettings chosen = desk.settingsProperty()
                .get()
                .with(TimeConvention.FIRST_DRIP_TO_PUMP_OFF)
                .with(Schools.USUAL.with(PACK, !Schools.USUAL.speaks(PACK)));
        desk.choose(chosen);
        until(() -> Stored.settings(desk.library()).containsKey("time_convention"));
        restart();
        until(() -> desk.settingsProperty().get().equals(chosen));
        assertThat(desk.settingsProperty().get().packs()).hasSize(chosen.packs().size());
    }

    @Test
    void aSchoolThatFallsSilentTakesItsFindingsAlong() {
        desk.choose(new StudySettings(TimeConvention.PUMP_ON_TO_PUMP_OFF, ReadOptions.USUAL,
                new Schools(List.of(), Map.of()), List.of(), "", Display.USUAL, ""));
        until(() -> desk.openProperty().get().findings().isEmpty());
        assertThat(desk.openProperty().get().next(Siblings.NONE).change()).isEqualTo("Repeat this recipe");
    }
}
