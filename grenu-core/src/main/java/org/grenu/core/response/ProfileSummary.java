package org.grenu.core.response;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.hipparchus.stat.StatUtils;

/**
 * What makes a profile what it is, as its shots show it: each feature's mean over them and their spread.
 *
 * @param features by {@link StandardResponse#profileFeatures()}; those that at least one shot shows
 */
public record ProfileSummary(Map<StandardResponse, Row> features) {

    public ProfileSummary {
        features = Collections.unmodifiableMap(new LinkedHashMap<>(features));
    }

    /**
     * One feature.
     *
     * @param mean   in the response's unit
     * @param spread standard deviation of the shots; empty for one alone
     * @param shots  how many show it
     */
    public record Row(double mean, OptionalDouble spread, int shots) {
    }

    /** {@return the summary of those shots; faulty ones stay out} */
    public static ProfileSummary of(List<MeasuredShot> shots) {
        Map<StandardResponse, Row> features = new LinkedHashMap<>();
        for (StandardResponse feature : StandardResponse.profileFeatures()) {
            double[] values = shots.stream()
                    .filter(shot -> !shot.faulty())
                    .flatMap(shot -> feature.of(shot).stream())
                    .mapToDouble(measured -> measured.value())
                    .toArray();
            if (values.length > 0) {
                features.put(feature, new Row(StatUtils.mean(values), values.length > 1
                        ? OptionalDouble.of(Math.sqrt(StatUtils.variance(values))) : OptionalDouble.empty(),
                        values.length));
            }
        }
        return new ProfileSummary(features);
    }

    /** {@return the feature's mean; empty where no shot shows it} */
    public OptionalDouble mean(StandardResponse feature) {
        return features.containsKey(feature) ? OptionalDouble.of(features.get(feature).mean) : OptionalDouble.empty();
    }
}
