package org.grenu.core.otherlab;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;
import org.hipparchus.random.RandomGenerator;

/** Pulls one shot of the other laboratory, step by step. */
final class OtherPull {

    static final double STEP = 0.005;
    private static final double DROP_GRAMS = 0.05;
    private static final double UNTIL_NOTHING_FALLS = 45;
    private static final double STREAMS = 0.97;
    private static final double HIGHEST_BAR = 20;
    private static final double BROUGHT_DOWN = 0.005;

    private final OtherMachine machine;
    private final LumpedPuck puck;
    private final Outlet outlet;
    private final OtherScale scale;
    private final OtherLogger logger;
    private final RandomGenerator random;
    private final double breaksAtGrams;
    private final double breaks;
    private final double breakSeconds;
    private final List<double[]> rows = new ArrayList<>();
    private final List<PhaseBorder> phases = new ArrayList<>();
    private final List<Double> pressures = new ArrayList<>();
    private final List<double[]> course = new ArrayList<>();
    private final FlowMeter.Reading meter;
    private int stage;
    private double stageBegan;
    private double pushed;
    private double pumped;
    private double filled;
    private double bar;
    private double gauge;
    private double cup;
    private double firstDrip = Double.NaN;
    private double pumpOff = Double.NaN;
    private double opened = Double.NaN;
    private double nextRow;
    private double beforeTaper = Double.NaN;

    OtherPull(OtherMachine machine, LumpedPuck puck, Outlet outlet, OtherScale scale, OtherLogger logger, double[] open,
            RandomGenerator random) {
        this.machine = machine;
        this.puck = puck;
        this.outlet = outlet;
        this.scale = scale;
        this.logger = logger;
        this.random = random;
        this.breaksAtGrams = open[0];
        this.breaks = open[1];
        this.breakSeconds = open[2];
        this.meter = new FlowMeter.Reading(logger.meter(), logger.meterSeconds());
    }

    OtherShot shot(String name, List<PhaseKind> openTo, Fault fault) {
        double t = -logger.before();
        nextRow = t;
        while (Double.isNaN(pumpOff) || t < pumpOff + UNTIL_NOTHING_FALLS) {
            step(t);
            t += STEP;
        }
        addMain();
        fault.spoil(rows, firstDrip, pumpOff, random);
        double shift = logger.before();
        List<PhaseBorder> shifted = phases.stream().map(b -> new PhaseBorder(b.kind(), b.seconds() + shift)).toList();
        return new OtherShot(name, log(shift), fault.repairs(), shift, pumpOff + shift, firstDrip + shift, cup, shifted,
                openTo,
                opened + shift, breaks, course.stream().mapToDouble(c -> c[0] + shift).toArray(),
                course.stream().mapToDouble(c -> c[1]).toArray());
    }

    private void step(double t) {
        double shown = scale.weigh(cup, logger.massNoise() * random.nextGaussian());
        boolean running = t >= 0 && Double.isNaN(pumpOff);
        if (running && (shown >= machine.stopGrams() || t >= machine.stopSeconds() || spent())) {
            pumpOff = t;
            begin(PhaseKind.DRIP_OUT, t);
            running = false;
        }
        double wanted = running ? push(t) : 0;
        pumped += (wanted - pumped) * Math.min(1, STEP / machine.pumpSeconds());
        pumped = running ? pumped : 0;
        pushed += pumped * STEP;
        double into = press(running);
        double out = puck.advance(into, STEP);
        double fallen = outlet.fall(out, STEP);
        cup += fallen;
        if (Double.isNaN(firstDrip) && cup >= DROP_GRAMS) {
            firstDrip = t;
        }
        breakOpen(t, running);
        gauge += (bar - gauge) * Math.min(1, STEP / logger.gaugeSeconds());
        double metered = meter.follow(pumped, t, STEP);
        write(t, shown, metered);
        if (t >= 0 && running) {
            pressures.add(bar);
        }
        if (running && puck.streaming() > STREAMS && course.size() * 0.1 <= t) {
            while (course.size() * 0.1 <= t) {
                course.add(new double[] {t, bar / into});
            }
        } else if (running && course.size() * 0.1 <= t) {
            course.add(new double[] {t, Double.NaN});
        }
    }

    private boolean spent() {
        Stage now = machine.stages().get(Math.min(stage, machine.stages().size() - 1));
        return now.push() instanceof Push.Spring spring && pushed >= spring.stroke();
    }

    private double push(double t) {
        if (phases.isEmpty()) {
            begin(PhaseKind.WETTING, 0);
        }
        Stage now = machine.stages().get(stage);
        boolean last = stage == machine.stages().size() - 1;
        if (!last && (t - stageBegan >= now.seconds() || cup >= now.grams())) {
            stage++;
            stageBegan = t;
            pushed = 0;
            now = machine.stages().get(stage);
            if (now.kind() == PhaseKind.TAPER) {
                beforeTaper = bar;
            } else if (now.push() instanceof Push.Rest || full() || stage > 1) {
                begin(now.kind(), t);
            }
        }
        if (now.push() instanceof Push.Spring spring && spring.heldVolume() > 0 && pushed > spring.heldVolume()
                && Double.isNaN(beforeTaper)) {
            beforeTaper = bar;
        }
        // A valve that begins to close brings nothing down yet.
        if (bar < (1 - BROUGHT_DOWN) * beforeTaper) {
            begin(PhaseKind.TAPER, t);
        }
        return now.push().flow(bar, t - stageBegan, pushed);
    }

    private boolean full() {
        return filled >= machine.headspace();
    }

    /** The group fills, then the pressure follows what comes in and goes out. {@return flow into the bed} */
    private double press(boolean running) {
        if (!full()) {
            double into = Math.min(puck.flow(0.03), 0.25 * pumped + Math.min(0.4, filled));
            into = Math.min(into, filled / STEP);
            filled += (pumped - into) * STEP;
            bar = 0.03 * pumped;
            if (full() && running) {
                double t = pressures.size() * STEP;
                begin(machine.stages().get(stage).kind(), t);
            }
            return into;
        }
        double into = puck.flow(bar);
        double soft = machine.air() / ((1 + bar) * (1 + bar)) + machine.hose();
        bar += (pumped - into) * STEP / soft;
        if (!running) {
            bar -= bar * Math.min(1, STEP / machine.ventSeconds());
        }
        bar = Math.max(0, Math.min(HIGHEST_BAR, bar));
        return bar > 0.02 ? into : Math.min(into, pumped);
    }

    private void begin(PhaseKind kind, double t) {
        if (phases.isEmpty() || phases.get(phases.size() - 1).kind() != kind) {
            phases.add(new PhaseBorder(kind, t));
        }
    }

    private void breakOpen(double t, boolean running) {
        if (breaks > 0 && running && cup >= breaksAtGrams && Double.isNaN(opened)) {
            opened = t;
        }
        if (!Double.isNaN(opened)) {
            puck.breakOpen(breaks * (1 - Math.exp(-(t - opened) / breakSeconds)));
        }
    }

    private void write(double t, double shown, double metered) {
        boolean over = !Double.isNaN(pumpOff) && t > pumpOff + logger.after();
        if (t < nextRow - 1e-9 || over) {
            return;
        }
        double pressure = gauge + logger.pressureNoise() * random.nextGaussian();
        double steps = Math.rint(Math.max(0, pressure) / logger.pressureStep()) * logger.pressureStep();
        double noise = metered > 0.01 && logger.meter() != FlowMeter.PULSES ? 0.05 * random.nextGaussian() : 0;
        rows.add(new double[] {t, steps, Math.max(0, metered + noise), shown});
        nextRow += logger.step() * (1 + logger.jitter() * (2 * random.nextDouble() - 1));
    }

    /** Where the rise came to its end: near the height at which it had become a tenth of its steepest, or slow. */
    private void addMain() {
        int ramp = -1;
        for (int i = 0; i < phases.size(); i++) {
            ramp = phases.get(i).kind() == PhaseKind.RAMP ? i : ramp;
        }
        if (ramp < 0) {
            return;
        }
        double until = ramp + 1 < phases.size() ? phases.get(ramp + 1).seconds() : pumpOff;
        int from = (int) Math.round(phases.get(ramp).seconds() / STEP);
        int to = Math.min(pressures.size() - 1, (int) Math.round(until / STEP));
        int back = (int) Math.round(0.3 / STEP);
        double steepest = 0;
        double highest = 0;
        for (int i = from + back; i <= to; i++) {
            steepest = Math.max(steepest, (pressures.get(i) - pressures.get(i - back)) / 0.3);
            highest = Math.max(highest, pressures.get(i));
        }
        for (int i = from + back; i <= to; i++) {
            double slope = (pressures.get(i) - pressures.get(i - back)) / 0.3;
            if (slope < Math.max(0.2, 0.1 * steepest) && pressures.get(i) > 0.6 * highest) {
                int reached = from;
                while (pressures.get(reached) < 0.95 * pressures.get(i)) {
                    reached++;
                }
                phases.add(ramp + 1, new PhaseBorder(PhaseKind.MAIN, reached * STEP));
                return;
            }
        }
    }

    private ShotLog log(double shift) {
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        channels.put(Channel.PRESSURE, column(1, 1000));
        if (logger.meter() != FlowMeter.NONE) {
            channels.put(Channel.PUMP_FLOW, column(2, 100));
        }
        channels.put(Channel.CUP_MASS, column(3, 100));
        return new ShotLog(
                Samples.of(rows.stream().mapToDouble(r -> Math.rint((r[0] + shift) * 1000) / 1000).toArray()),
                channels);
    }

    private Samples column(int index, double scale) {
        return Samples.of(rows.stream().mapToDouble(r -> Math.rint(r[index] * scale) / scale).toArray());
    }
}
