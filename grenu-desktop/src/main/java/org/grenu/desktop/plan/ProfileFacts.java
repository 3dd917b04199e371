package org.grenu.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.core.predict.PuckFit;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.ProfileFamily;
import org.grenu.core.response.ProfileSummary;
import org.grenu.desktop.desk.StudyDesk;

/**
 * What makes a profile what it is: as its shots show it, and as it is meant.
 *
 * @param shots  of those that were pulled by it
 * @param meant  of the curves that are predicted for the steps as they are drawn
 * @param family by the shots, or else as it is meant; empty where neither tells
 * @param kin    other profiles of that family, by name
 */
record ProfileFacts(ProfileSummary shots, ProfileSummary meant, Optional<ProfileFamily> family, List<String> kin) {

    /** The newest shots of a profile that its features are read off. */
    private static final int MOST_SHOTS = 30;

    /** {@return what is known of that profile among all; reads curves, so that it takes a while} */
    static ProfileFacts of(KnownProfile chosen, Profile drawn, List<KnownProfile> all, PuckFit puck, StudyDesk desk) {
        ProfileSummary shots = summary(chosen, desk);
        ProfileSummary meant = meant(drawn, puck);
        Optional<ProfileFamily> family = ProfileFamily.of(shots).or(() -> ProfileFamily.of(meant));
        List<String> kin = new ArrayList<>();
        for (KnownProfile other : all) {
            boolean same = !other.name().equals(chosen.name()) && family.isPresent()
                    && ProfileFamily.of(summary(other, desk)).equals(family);
            if (same) {
                kin.add(other.name());
            }
        }
        return new ProfileFacts(shots, meant, family, kin);
    }

    private static ProfileSummary summary(KnownProfile of, StudyDesk desk) {
        return ProfileSummary.of(of.shots()
                .stream()
                .skip(Math.max(0, of.shots().size() - MOST_SHOTS))
                .map(desk.analyses()::of)
                .map(ShotAnalysis::measured)
                .toList());
    }

    private static ProfileSummary meant(Profile drawn, PuckFit puck) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.PROFILE_STEPS, drawn.text());
        return ProfileSummary.of(List.of(
                new MeasuredShot("meant", record, ShotMeasures.of(new Shot(record, puck.log(drawn))))));
    }
}
