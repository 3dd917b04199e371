package org.grenu.core.hydraulics;

import java.util.Arrays;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.StraightLine;
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
    private static final double AVERAGED_SECONDS = 1;
    /** Where erosion begins is known no better than this, s. */
    private static final double BEGINS_WITHIN_SECONDS = 2;
    private static final double BUILDING_SECONDS = 1.5;
    /** Spouts and scales differ in their delay by about this, s (common practice, no source). */
    private static final double DELAY_U_SECONDS = 0.25;
    /** What the building stream leaves in the peak, as a share; measured on two simulators, docs/validation.md. */
    private static final double BUILDING_U = 0.045;
    private static final double STEADY_PER_SECOND = 0.12;
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
        Peak top = peak(resistance.get());
        if (!(top.value > 0)) {
            return new Hydraulics(resistance, Optional.empty(), Double.NaN, Optional.empty(), Optional.empty(),
                    Optional.empty(), balance);
        }
        double delay = DELAY_U_SECONDS * resistance.get().moving(top.seconds);
        double share = Math.hypot(Math.hypot(flowShare(measures, top.seconds), delay), BUILDING_U);
        double u = share * top.value;
        return new Hydraulics(resistance, Optional.of(Measured.independent(top.value, u)), top.seconds,
                erosion(resistance.get(), top.seconds),
                permeability(resistance.get(), measures, known), ChannelSign.of(resistance.get(), measures), balance);
    }

    /**
     * The largest, averaged over a second so that no single wobble of the scale makes it, where the pressure is steady;
     * of all when it nowhere is.
     */
    private static Peak peak(Resistance resistance) {
        UniformCurve r = resistance.linear();
        Peak top = new Peak(0, Double.NaN);
        Peak steady = top;
        for (int i = 0; i < r.size(); i++) {
            double mean = Double.isFinite(r.value(i)) ? about(r, i) : Double.NaN;
            top = mean > top.value ? new Peak(mean, r.time(i)) : top;
            if (mean > steady.value && resistance.moving(r.time(i)) < STEADY_PER_SECOND) {
                steady = new Peak(mean, r.time(i));
            }
        }
        return steady.value > 0 ? steady : top;
    }

    /** The mean of the second about that value; NaN where too much of it is missing. */
    private static double about(UniformCurve r, int index) {
        int reach = (int) Math.floor(AVERAGED_SECONDS / 2 / r.step() + 1e-9);
        double sum = 0;
        int count = 0;
        for (int i = Math.max(0, index - reach); i <= Math.min(r.size() - 1, index + reach); i++) {
            if (Double.isFinite(r.value(i))) {
                sum += r.value(i);
                count++;
            }
        }
        return count * r.step() < 0.8 * AVERAGED_SECONDS ? Double.NaN : sum / count;
    }

    private record Peak(double value, double seconds) {
    }

    /** Relative uncertainty of the flow there. */
    private static double flowShare(CurveMeasures measures, double seconds) {
        double u = measures.uncertainty(Channel.CUP_FLOW, seconds);
        double q = measures.find(Channel.CUP_FLOW).map(c -> c.at(seconds)).orElse(Double.NaN);
        return Double.isFinite(u / q) ? Math.abs(u / q) : 0;
    }

    /**
     * Slope of ln r from its peak on, by least squares; its uncertainty allows for samples that repeat each other,
     * for a course that is not straight, where its begin makes a difference, and for what the building stream leaves
     * in it.
     */
    private static Optional<Measured> erosion(Resistance resistance, double peak) {
        Optional<Measured> slope = slope(resistance, peak);
        Optional<Measured> later = slope(resistance, peak + BEGINS_WITHIN_SECONDS);
        double length = resistance.to() - peak;
        // A share that dies away within τ tilts a line over a length L by 6·share·τ/L².
        double building = 100 * 6 * BUILDING_U * BUILDING_SECONDS / (length * length);
        return slope.map(s -> Measured.independent(s.value(), Math.hypot(Math.hypot(s.independent(), building),
                later.map(l -> Math.abs(l.value() - s.value())).orElse(Math.abs(s.value()) / 2))));
    }

    private static Optional<Measured> slope(Resistance resistance, double from) {
        UniformCurve r = resistance.linear();
        double middle = (from + resistance.to()) / 2;
        StraightLine line = new StraightLine();
        for (int i = 0; i < r.size(); i++) {
            if (r.time(i) >= from) {
                line.add(r.time(i) - middle, Math.log(r.value(i)));
            }
        }
        if (line.count() * r.step() < LEAST_EROSION_SECONDS) {
            return Optional.empty();
        }
        double variance = line.residuals() / (line.count() - 2) * Math.max(1, NEW_EVERY_SECONDS / r.step());
        return Optional.of(Measured.independent(-100 * line.slope(), 100 * Math.sqrt(variance / line.spread())));
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
