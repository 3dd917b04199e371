package org.grenu.core.phase;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.ProfileFamily;
import org.grenu.core.response.ProfileSummary;
import org.junit.jupiter.api.Test;

/** Features, steps and corridors that are read off shots, against the profile that the simulator followed. */
class ProfileFromShotsTest {

    private static final List<ShotMeasures> GENTLE = DemoStudy.shots()
            .stream()
            .map(DemoStudy.DemoShot::shot)
            .filter(shot -> shot.record().text(RecordField.PROFILE).orElse("").equals("Gentle ramp"))
            .map(ShotMeasures::of)
            .toList();
    private static final Shot STRAIGHT = DemoStudy.shots().get(0).shot();

    /** The demo's gentle ramp soaks at 2.4 bar, rises to 8.8 in 3 s and falls to 5.5 over 10 s. */
    @Test
    void featuresSayWhatTheProfileIs() {
        ProfileFeatures gentle = GENTLE.get(0).features();
        assertThat(gentle.soakBar().orElseThrow()).isCloseTo(2.4, within(0.3));
        assertThat(gentle.soakSeconds().orElseThrow()).isBetween(8.0, 26.0);
        assertThat(gentle.riseBarPerSecond().orElseThrow()).isCloseTo(6.4 / 3, within(0.5));
        assertThat(gentle.declinePerSecond().orElseThrow()).isCloseTo(0.33, within(0.1));
        assertThat(gentle.waterBeforeDrip().orElseThrow()).isBetween(20.0, 60.0);
        ProfileFeatures straight = ShotMeasures.of(STRAIGHT).features();
        assertThat(straight.soakSeconds()).hasValue(0);
        assertThat(straight.soakBar()).isEmpty();
        assertThat(straight.declinePerSecond().orElseThrow()).isLessThan(0.1);
        assertThat(straight.peakSeconds().orElseThrow()).isGreaterThan(15);
    }

    @Test
    void stepsFitTheShotTheyWereReadOff() {
        ShotMeasures shot = GENTLE.get(0);
        ProfileFit fit = ProfileFit.of(shot.phases(), shot.curve()).orElseThrow();
        assertThat(fit.profile().steps()).extracting(ProfileStep::name).contains("soak", "main", "taper");
        ProfileStep main = fit.profile()
                .steps()
                .stream()
                .filter(s -> s.name().equals("main"))
                .findFirst()
                .orElseThrow();
        assertThat(main.to()).isCloseTo(8.8, within(0.3));
        assertThat(main.rampSeconds()).isCloseTo(3, within(1.2));
        assertThat(Profile.parse(fit.profile().text())).isEqualTo(fit.profile());
        PlannedRun run = PlannedRun.of(fit.profile(), shot.curve()).orElseThrow();
        assertThat(run.inside().orElseThrow()).isGreaterThan(0.75);
        ShotMeasures nine = ShotMeasures.of(STRAIGHT);
        assertThat(ProfileFit.of(nine.phases(), nine.curve()).orElseThrow().notFit())
                .anySatisfy(words -> assertThat(words).contains("is no step"));
    }

    /** Nineteen twentieths of the time of the shots lie within the corridors that were learnt from them. */
    @Test
    void learntCorridorsHoldTheShots() {
        Profile wide = Profile
                .parse(DemoStudy.shots().get(2).shot().record().entry(RecordField.PROFILE_STEPS).orElseThrow());
        List<CurveMeasures> curves = GENTLE.stream().map(ShotMeasures::curve).toList();
        LearntTolerances learnt = LearntTolerances.of(wide, curves);
        assertThat(learnt.shots()).isEqualTo(GENTLE.size());
        for (CurveMeasures shot : curves) {
            assertThat(PlannedRun.of(learnt.profile(), shot).orElseThrow().inside().orElseThrow()).isGreaterThan(0.8);
        }
        assertThat(LearntTolerances.of(wide, List.of()).profile()).isEqualTo(wide);
    }

    /** Profiles go together by what their shots show, whatever they are called. */
    @Test
    void familiesFollowFromTheFeatures() {
        assertThat(family("Gentle ramp")).isEqualTo("soaked, declining");
        assertThat(family("Straight nine")).isEqualTo("no soak, level");
        assertThat(family("Low six")).contains("low pressure");
        assertThat(ProfileFamily.of(ProfileSummary.of(List.of()))).isEmpty();
    }

    private static String family(String profile) {
        return ProfileFamily.of(ProfileSummary.of(DemoStudy.shots()
                .stream()
                .map(DemoStudy.DemoShot::shot)
                .filter(shot -> shot.record().text(RecordField.PROFILE).orElse("").equals(profile))
                .map(shot -> new MeasuredShot("", shot.record(), ShotMeasures.of(shot)))
                .toList())).orElseThrow().title();
    }
}
