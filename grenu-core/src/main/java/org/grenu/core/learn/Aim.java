package org.grenu.core.learn;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * All that is wanted of a shot, fixed before.
 *
 * @param time     s
 * @param yield    extraction yield as dosed, %
 * @param strength %
 * @param tastes   intensities or liking, 0 to 10, by the entry that keeps them
 */
public record Aim(AimRange time, Optional<AimRange> yield, Optional<AimRange> strength, Map<String, AimRange> tastes) {

    public Aim {
        tastes = Collections.unmodifiableMap(new LinkedHashMap<>(tastes));
    }

    /** {@return an aim of time alone} */
    public static Aim ofTime(AimRange time) {
        return new Aim(time, Optional.empty(), Optional.empty(), Map.of());
    }

    /**
     * {@return the yields that meet what is wanted of yield and strength at that brew ratio, %; empty where none can or
     * nothing is wanted of either} Strength is yield over ratio, so that both are one question.
     */
    public Optional<AimRange> yieldAt(double ratio) {
        if (yield.isEmpty() && strength.isEmpty()) {
            return Optional.empty();
        }
        double low = Math.max(yield.map(AimRange::low).orElse(0.0), strength.map(AimRange::low).orElse(0.0) * ratio);
        double high = Math.min(yield.map(AimRange::high).orElse(100.0),
                strength.map(AimRange::high).orElse(100.0) * ratio);
        return high > low ? Optional.of(new AimRange(low, high)) : Optional.empty();
    }
}
