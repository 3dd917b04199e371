package org.grenu.core.response;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which profiles go together, by the features of their shots and not by their names. The limits are ours: a soak counts
 * from 3 s, as in the shipped rules; low lies between the schools of 4–6 and of 9 ± 1 bar (handbook §8).
 *
 * @param soaked    begins with a soak
 * @param slow      climbs slowly to its peak
 * @param low       stays below what nine bar's school asks for
 * @param declining falls from its peak on
 */
public record ProfileFamily(boolean soaked, boolean slow, boolean low, boolean declining) {

    private static final double LEAST_SOAK_SECONDS = 3;
    private static final double SLOW_BAR_PER_SECOND = 1;
    private static final double LOW_BAR = 7;
    private static final double DECLINE_BAR_PER_SECOND = 0.1;

    /** {@return the family of a profile with those features; empty where its shots show no pressure} */
    public static Optional<ProfileFamily> of(ProfileSummary summary) {
        if (summary.mean(StandardResponse.PEAK_PRESSURE).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new ProfileFamily(
                summary.mean(StandardResponse.SOAK_TIME).orElse(0) >= LEAST_SOAK_SECONDS,
                summary.mean(StandardResponse.PRESSURE_RISE).orElse(Double.MAX_VALUE) < SLOW_BAR_PER_SECOND,
                summary.mean(StandardResponse.PEAK_PRESSURE).getAsDouble() < LOW_BAR,
                summary.mean(StandardResponse.PRESSURE_DECLINE).orElse(0) >= DECLINE_BAR_PER_SECOND));
    }

    /** {@return such as “soaked, declining”} */
    public String title() {
        List<String> words = new ArrayList<>();
        words.add(soaked ? "soaked" : "no soak");
        if (slow) {
            words.add("slow rise");
        }
        if (low) {
            words.add("low pressure");
        }
        words.add(declining ? "declining" : "level");
        return String.join(", ", words);
    }
}
