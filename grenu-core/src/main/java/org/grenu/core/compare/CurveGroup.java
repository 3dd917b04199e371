package org.grenu.core.compare;

import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.UniformCurve;

/**
 * The curves of one level of a factor, lined up.
 *
 * @param level   of the factor; empty when unknown
 * @param members one a shot
 * @param mean    where all members are known; empty with fewer than two of them or nowhere in common
 * @param half    half the 95 % interval of the mean, by the spread pooled over the groups; empty without a degree of
 *                freedom
 */
public record CurveGroup(String level, List<AlignedCurve> members, Optional<UniformCurve> mean,
        Optional<UniformCurve> half) {

    public CurveGroup {
        members = List.copyOf(members);
    }
}
