package org.grenu.core.hydraulics;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.NormalEquations;
import org.grenu.core.quantity.Measured;

/**
 * What a shot's curves say of its puck.
 *
 * @param resistance   over time
 * @param peak         largest resistance, bar·s/g
 * @param peakSeconds  when, s; NaN without resistance
 * @param erosion      how fast the resistance falls after its peak, % per second; negative when it rises
 * @param permeability Darcy's, at the middle of the shot, m²; only with the bed's diameter and depth
 * @param channel      sign of a channel
 * @param balance      where the water went
 */
public record Hydraulics(Optional<Resistance> resistance, Optional<Measured> peak, double peakSeconds,
        Optional<Measured> erosion,
        Optional<Measured> permeability, Optional<ChannelSign> channel, Optional<WaterBalance> balance) {

    private static final double LEAST_EROSION_SECONDS = 4;
    private static final double DEPTH_SHARE = 0.05;
    private static final double NEW_EVERY_SECONDS = 0.8;

    /**
     * What the record adds to the curves.
     *
     * @param bed      the bed's size, when known
     * @param celsius  temperature of the water, when known
     * @param beverage g
     * @param solids   g
     * @param dose     g
     */
    public record Known(Optional<Bed> bed, Optional<Double> celsius, Optional<Measured> beverage,
            Optional<Measured> solids,
            Optional<Measured> dose) {
    }

    /** {@return what the curves say of the puck} */
    public static Hydraulics of(CurveMeasures measures, Known known) {
        Optional<Resistance> resistance = Resistance.of(measures);
        Optional<WaterBalance> balance = WaterBalance.of(measures, known.beverage, known.solids, known.dose);
        if (resistance.isEmpty()) {
            return new Hydraulics(resistance, Optional.empty(), Double.NaN, Optional.empty(), Optional.empty(),
                    Optional.empty(), balance);
        }
        UniformCurve r = resistance.get().linear();
        int top = peak(r);
        double u = flowShare(measures, r.time(top)) * r.value(top);
        return new Hydraulics(resistance, Optional.of(Measured.independent(r.value(top), u)), r.time(top),
                erosion(resistance.get(), r.time(top)),
                permeability(resistance.get(), measures, known), ChannelSign.of(resistance.get()), balance);
    }

    private static int peak(UniformCurve r) {
        int top = -1;
        for (int i = 0; i < r.size(); i++) {
            if (Double.isFinite(r.value(i)) && (top < 0 || r.value(i) > r.value(top))) {
                top = i;
            }
        }
        return top;
    }

    /** Relative uncertainty of the flow there. */
    private static double flowShare(CurveMeasures measures, double seconds) {
        double u = measures.uncertainty(Channel.CUP_FLOW, seconds);
        double q = measures.find(Channel.CUP_FLOW).map(c -> c.at(seconds)).orElse(Double.NaN);
        return Double.isFinite(u / q) ? Math.abs(u / q) : 0;
    }

    /**
     * Slope of ln r from its peak on, by least squares; its uncertainty allows for samples that repeat each other.
     */
    private static Optional<Measured> erosion(Resistance resistance, double peak) {
        UniformCurve r = resistance.linear();
        double middle = (peak + resistance.to()) / 2;
        NormalEquations line = new NormalEquations(2);
        double sxx = 0;
        int n = 0;
        for (int i = 0; i < r.size(); i++) {
            if (Double.isFinite(r.value(i)) && r.time(i) >= peak) {
                double x = r.time(i) - middle;
                line.add(Math.log(r.value(i)), 1, x);
                sxx += x * x;
                n++;
            }
        }
        if (n * r.step() < LEAST_EROSION_SECONDS) {
            return Optional.empty();
        }
        double[] solution = line.solve().orElseThrow();
        double variance = line.residuals(solution) / (n - 2) * Math.max(1, NEW_EVERY_SECONDS / r.step());
        return Optional.of(Measured.independent(-100 * solution[1], 100 * Math.sqrt(variance / sxx)));
    }

    private static Optional<Measured> permeability(Resistance resistance, CurveMeasures measures, Known known) {
        if (known.bed.isEmpty() || known.celsius.isEmpty()) {
            return Optional.empty();
        }
        double middle = (resistance.from() + resistance.to()) / 2;
        double r = Arrays.stream(resistance.linear().between(middle - 1, middle + 1)).average().orElse(Double.NaN);
        if (!Double.isFinite(r)) {
            return Optional.empty();
        }
        double k = known.bed.get().permeability(1 / r, 1, known.celsius.get());
        return Optional.of(new Measured(k, flowShare(measures, middle) * k, DEPTH_SHARE * k));
    }
}
