package org.grenu.app.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.RulePackError;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.figures.read.ReadOptions;
import org.grenu.formats.rules.ShippedPacks;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** Choices are kept as they are, and what is kept is read however old, new or broken it is. */
class StudySettingsTest {

    private static final RulePack PACK = ShippedPacks.all().get(3);

    @ParameterizedTest
    @Seeds(200)
    void whateverIsChosenIsKept(Draws any) {
        TimeConvention convention = any.of(TimeConvention.values());
        AxisKind axis = any.of(AxisKind.values());
        List<Channel> channels = List.copyOf(any.some(1, 6, List.of(Channel.values())));
        List<Boolean> speaks = any.list(0, ShippedPacks.all().size(), any::toss);
        StudySettings chosen = StudySettings.USUAL.with(convention)
                .with(ReadOptions.USUAL.along(axis).of(channels))
                .with(new Display(new DisplayUnits(any.of(DisplayUnits.TEMPERATURES), any.of(DisplayUnits.PRESSURES)),
                        any.of(Display.TEXT_SIZES)));
        Schools schools = Schools.USUAL;
        for (int i = 0; i < speaks.size(); i++) {
            schools = schools.with(ShippedPacks.all().get(i), speaks.get(i));
        }
        chosen = chosen.with(any.toss() ? schools.added(schools.begun()) : schools);
        assertThat(StudySettings.of(chosen.kept())).isEqualTo(chosen);
    }

    @Test
    void whatIsNotUnderstoodIsPassedOver() {
        assertThat(StudySettings.of(Map.of())).isEqualTo(StudySettings.USUAL);
        Map<String, String> odd = new HashMap<>(StudySettings.USUAL.kept());
        odd.put("time_convention", "since breakfast");
        odd.put("read_axis", "by moonlight");
        odd.put("temperature_unit", "psi");
        odd.put("pressure_unit", "fathom");
        odd.put("read_strips", "colour cup_mass cup_mass smell");
        odd.put("rule_packs", PACK.id() + " from_a_later_version");
        odd.put("rule_pack." + PACK.id(), "this is no pack");
        StudySettings read = StudySettings.of(odd);
        assertThat(read.convention()).isEqualTo(StudySettings.USUAL.convention());
        assertThat(read.units()).isEqualTo(DisplayUnits.CANONICAL);
        assertThat(read.options()).isEqualTo(ReadOptions.USUAL.of(List.of(Channel.CUP_MASS)));
        assertThat(read.packs()).as("the known school speaks, as it was shipped").containsExactly(PACK);
    }

    @Test
    void anEditedSchoolSpeaksUntilItIsTakenBack() {
        String text = PACK.text().replaceFirst("title .*", "title ours");
        Schools edited = Schools.USUAL.edited(PACK, text);
        assertThat(edited.all()).extracting(RulePack::title).contains("ours").doesNotContain(PACK.title());
        assertThat(edited.edited(PACK, "  \n")).isEqualTo(Schools.USUAL);
        assertThat(edited.edited(PACK, PACK.text() + "\n\n")).as("typed back to what it was")
                .isEqualTo(Schools.USUAL);
        assertThatThrownBy(() -> edited.edited(PACK, "rule: broken")).isInstanceOf(RulePackError.class);
        assertThatThrownBy(() -> edited.edited(PACK, text.replace(PACK.id(), "another")))
                .isInstanceOf(RulePackError.class)
                .hasMessageContaining("“" + PACK.id() + "” and stays");
    }

    @Test
    void aSchoolOfOnesOwnSpeaksBesideTheShippedOnesAndIsForgottenWhenRemoved() {
        Schools first = Schools.USUAL.added(Schools.USUAL.begun());
        Schools both = first.added(first.begun().replace("title our own way", "title another way"));
        assertThat(both.own()).extracting(RulePack::id).containsExactly("own_1", "own_2");
        assertThat(both.spoken()).hasSize(Schools.USUAL.spoken().size() + 2);
        assertThatThrownBy(() -> both.added(both.own().get(0).text())).isInstanceOf(RulePackError.class)
                .hasMessageContaining("choose another short name");
        assertThatThrownBy(() -> both.added(both.begun().replace("own_3", "our own")))
                .isInstanceOf(RulePackError.class)
                .hasMessageContaining("small letters");
        StudySettings before = StudySettings.USUAL.with(both);
        StudySettings after = before.with(both.without(both.own().get(0)));
        Map<String, String> kept = new HashMap<>(before.kept());
        kept.putAll(after.keptAfter(before));
        assertThat(StudySettings.of(kept)).isEqualTo(after);
        assertThat(after.schools().own()).extracting(RulePack::id).containsExactly("own_2");
    }
}
