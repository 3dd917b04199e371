package org.grenu.core.hydraulics;

import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.Measured;

/**
 * Where the pumped water went: ∫ pump flow dt × density = water in the beverage + water kept in puck and machine.
 *
 * @param pumped   water in, g; the meter's accuracy is taken as 5 % of reading (common practice, no source)
 * @param beverageWater water in the cup, g
 * @param kept     what stayed in the puck or left through the machine's valve, g
 * @param keptPerGram g of retained water per g of dose
 */
public record WaterBalance(Measured pumped, Measured beverageWater, Measured kept, Optional<Measured> keptPerGram) {

    private static final double METER_SHARE = 0.05;
    private static final double METERED_CELSIUS = 20;

    /**
     * {@return the balance; empty without pump flow or beverage mass}
     *
     * @param beverage g
     * @param solids   dissolved in it, g; without it the beverage counts as water
     * @param dose     g
     */
    static Optional<WaterBalance> of(CurveMeasures measures, Optional<Measured> beverage, Optional<Measured> solids,
            Optional<Measured> dose) {
        Optional<UniformCurve> flow = measures.find(Channel.PUMP_FLOW);
        if (flow.isEmpty() || beverage.isEmpty() || measures.sparse()) {
            return Optional.empty();
        }
        double volume = volume(flow.get());
        if (!(volume > 1)) {
            return Optional.empty();
        }
        Measured pumped = pumped(volume);
        Measured water = less(beverage.get(), solids.orElse(Measured.exact(0)));
        Measured kept = less(pumped, water);
        return Optional.of(new WaterBalance(pumped, water, kept, dose.filter(d -> d.value() > 0).map(kept::dividedBy)));
    }

    private static double volume(UniformCurve flow) {
        double volume = 0;
        for (int i = 1; i < flow.size(); i++) {
            double mean = (flow.value(i) + flow.value(i - 1)) / 2;
            volume += Double.isFinite(mean) ? Math.max(0, mean) * flow.step() : 0;
        }
        return volume;
    }

    private static Measured pumped(double volume) {
        double grams = volume * Water.density(METERED_CELSIUS) / 1000;
        return new Measured(grams, 0, METER_SHARE * grams / Math.sqrt(3));
    }

    private static Measured less(Measured a, Measured b) {
        return new Measured(a.value() - b.value(), Math.hypot(a.independent(), b.independent()),
                Math.hypot(a.shared(), b.shared()));
    }
}
