package org.grenu.core.curve;

import java.util.OptionalDouble;
import java.util.Set;

/**
 * What the record says about the log.
 *
 * @param repairsOff     kinds of repair that are switched off
 * @param pumpOn         stated start of the pump, s on the log's axis
 * @param pumpOff        stated end of the pump, s on the log's axis
 * @param massResolution display step of the scale under the cup, g
 * @param scaleLag       stated delay of the scale, s; empty: found from the log
 * @param pressureAtRest what the sensor shows without pressure, as its machine's entry says, bar; counts where the log
 *                       itself does not show it
 */
public record CurveSettings(Set<RepairKind> repairsOff, OptionalDouble pumpOn, OptionalDouble pumpOff,
        double massResolution, OptionalDouble scaleLag, OptionalDouble pressureAtRest) {

    /** Nothing stated, all repairs on, a 0.1 g scale. */
    public static final CurveSettings STANDARD = new CurveSettings(Set.of(), OptionalDouble.empty(),
            OptionalDouble.empty(), 0.1, OptionalDouble.empty(), OptionalDouble.empty());

    public CurveSettings {
        repairsOff = Set.copyOf(repairsOff);
    }

    /** {@return whether that kind of repair is to be applied} */
    boolean applies(RepairKind kind) {
        return !repairsOff.contains(kind);
    }
}
