package org.grenu.core.diagnosis;

import java.util.List;
import org.grenu.core.hydraulics.ChannelSign;
import org.grenu.core.hydraulics.Hydraulics;
import org.grenu.core.hydraulics.WaterBalance;
import org.grenu.core.quantity.Measured;

/** Facts of the puck. */
final class PuckFacts {

    static final List<Fact> ALL = List.of(
            new Fact("peak_resistance", 1, "largest resistance, bar·s/g", c -> FactValue.of(hydraulics(c).peak())),
            new Fact("erosion_pct_s", 1, "fall of the resistance after its peak, % per second",
                    c -> FactValue.of(hydraulics(c).erosion())),
            new Fact("channel_likelihood_pct", 0, "likelihood of an abrupt loss of resistance",
                    c -> hydraulics(c).channel().flatMap(sign -> FactValue.of(100 * sign.likelihood()))),
            new Fact("channel_fall_pct", 0, "size of that loss",
                    c -> hydraulics(c).channel().flatMap(sign -> FactValue.of(100 * sign.fall()))),
            new Fact("channel_fall_u_pct", 0, "its expanded uncertainty, k = 2",
                    c -> hydraulics(c).channel()
                            .flatMap(sign -> FactValue.of(100 * Measured.COVERAGE_FACTOR * sign.fallU()))),
            new Fact("channel_at_s", 1, "moment of that loss, on the log's clock",
                    c -> hydraulics(c).channel().map(ChannelSign::seconds).flatMap(FactValue::of)),
            new Fact("kept_water_g_per_g", 2, "water kept in puck and headspace per gram of dose",
                    c -> FactValue.of(hydraulics(c).balance().flatMap(WaterBalance::keptPerGram))));

    private PuckFacts() {
    }

    private static Hydraulics hydraulics(ShotContext context) {
        return context.measures().hydraulics();
    }
}
