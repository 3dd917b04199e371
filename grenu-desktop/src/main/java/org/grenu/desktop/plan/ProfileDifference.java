package org.grenu.desktop.plan;

import java.util.List;
import org.grenu.core.predict.PredictedDifference;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.predict.PuckFit;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfVersion;

/**
 * What the drawn steps are predicted to change.
 *
 * @param by      on the same puck
 * @param against what they are held against, such as “version 2”
 */
record ProfileDifference(PredictedDifference by, String against) {

    /**
     * Steps to hold others against.
     *
     * @param words what they are, such as “version 2”
     * @param steps null where there are none
     */
    record Against(String words, Profile steps) {

        /** {@return the kept version while it is being changed, else the version before it} */
        static Against of(KnownProfile known, boolean changing) {
            if (changing) {
                return new Against("version " + known.version(), known.profile());
            }
            List<ShelfVersion> versions = known.item().map(item -> item.versions()).orElse(List.of());
            for (int i = versions.size() - 2; i >= 0; i--) {
                ShelfVersion version = versions.get(i);
                if (version.entries().has(RecordField.PROFILE_STEPS)) {
                    return new Against("version " + version.number(),
                            Profile.parse(version.entries().entry(RecordField.PROFILE_STEPS).orElseThrow()));
                }
            }
            return new Against("", null);
        }
    }

    /** {@return the difference; null where there is nothing to hold it against} */
    static ProfileDifference of(ProfilePrediction predicted, Against against, PuckFit puck, int runs) {
        return against.steps == null ? null
                : new ProfileDifference(PredictedDifference.of(predicted.numbers(),
                        ProfilePrediction.of(puck, against.steps, runs).numbers()), against.words);
    }
}
