package org.grenu.core.otherlab;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.phase.PhaseKind;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * Draws shots of another laboratory: vibration, rotary and gear pumps, controllers, needle valves and levers; beds,
 * filters, spouts, scales and loggers of every make. The same seed gives the same shot.
 */
public final class OtherLab {

    private static final double NO_END = 1e9;

    private final RandomGenerator random;
    private final List<PhaseKind> open = new ArrayList<>();
    private double stop;
    private boolean vented;

    private OtherLab(long seed) {
        this.random = new Well19937c(seed);
    }

    /** The kinds of shot that are drawn. */
    private enum Kind {
        VIBRATION, VIBRATION_PAUSED, ROTARY, ROTARY_MAINS, PRESSURE_PROFILE, FLOW_PROFILE, LEVER, NEEDLE
    }

    /**
     * {@return a shot}
     *
     * @param seed    of all its random numbers
     * @param broken  whether the bed breaks open
     * @param atStop  whether the log ends when the pump stops
     */
    public static OtherShot pull(long seed, boolean broken, boolean atStop) {
        return new OtherLab(seed).draw(broken, atStop);
    }

    private OtherShot draw(boolean broken, boolean atStop) {
        Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
        double dose = between(14, 20);
        stop = dose * between(1.5, 2.8);
        vented = kind != Kind.LEVER && random.nextDouble() < 0.75;
        LumpedPuck puck = new LumpedPuck(bed(dose, kind));
        Outlet outlet = new Outlet(between(0.05, 0.9), between(0.12, 0.7), between(0, 0.12), between(1, 4),
                between(0.03, 0.09));
        Fault fault = broken || atStop || random.nextDouble() < 0.6 ? Fault.NONE : Fault.values()[random.nextInt(
                Fault.values().length)];
        double late = fault == Fault.LATE_SCALE ? between(1.4, 2.5) : 0;
        OtherScale scale = new OtherScale(between(0.05, 0.5), late + between(0.02, 0.25),
                random.nextBoolean() ? 0.1 : 0.01,
                of(0.05, 0.1, 0.2), OtherPull.STEP);
        double share = between(0.35, 0.7);
        double[] opening = {share * stop, broken ? between(0.2, 0.6) : 0, between(0.05, 0.35)};
        OtherMachine machine = machine(kind);
        return new OtherPull(machine, puck, outlet, scale, logger(kind, atStop), opening, random).shot(
                kind.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '), List.copyOf(open), fault);
    }

    private LumpedPuck.Bed bed(double dose, Kind kind) {
        double flow = between(1.0, 3.2);
        double usual = kind == Kind.LEVER ? 7 : 8.5;
        return new LumpedPuck.Bed(dose * between(0.55, 0.95), between(0.72, 0.96), between(0.5, 2), usual / flow,
                between(0, 0.15), between(0, 0.35), between(2, 8), between(0, 0.3), between(0, 0.4),
                between(0, 0.022));
    }

    private OtherLogger logger(Kind kind, boolean atStop) {
        double step = of(0.05, 0.1, 0.2, 0.25);
        FlowMeter meter = kind == Kind.LEVER || random.nextDouble() < 0.3 ? FlowMeter.NONE
                : FlowMeter.values()[1 + random.nextInt(3)];
        double before = random.nextDouble() < 0.6 ? between(0.4, 3) : 0;
        double after = atStop ? between(0, 0.25) : between(4, 12);
        return new OtherLogger(step, random.nextBoolean() ? 0.3 : 0, before, after, between(0.005, 0.07),
                random.nextDouble() < 0.3 ? 0.1 : 0.01, between(0.02, 0.15), meter, between(0.25, 0.8),
                between(0.005, 0.05));
    }

    private OtherMachine machine(Kind kind) {
        List<Stage> stages = switch (kind) {
            case VIBRATION -> List.of(new Stage(vibration(), NO_END, NO_END, PhaseKind.RAMP));
            case VIBRATION_PAUSED -> paused();
            case ROTARY -> List.of(new Stage(rotary(), NO_END, NO_END, PhaseKind.RAMP));
            case ROTARY_MAINS -> mains();
            case PRESSURE_PROFILE -> pressures();
            case FLOW_PROFILE -> flows();
            case LEVER -> lever();
            case NEEDLE -> needle();
        };
        double headspace = kind == Kind.LEVER ? between(3, 8) : between(6, 18);
        return new OtherMachine(stages, headspace, between(0.5, 3), between(0.08, 0.5),
                vented ? between(0.08, 0.5) : Double.POSITIVE_INFINITY, between(0.02, 0.25), stop, 95);
    }

    private Push vibration() {
        return new Push.Vibration(between(5, 9), between(11, 17), between(8.5, 11), between(1, 5));
    }

    private Push rotary() {
        return new Push.Line(between(8, 9.6), between(0.15, 0.6), between(8, 14), between(0.1, 0.8));
    }

    private List<Stage> paused() {
        Push pump = vibration();
        return List.of(new Stage(pump, between(1.5, 2.5), NO_END, PhaseKind.WETTING),
                new Stage(new Push.Rest(), between(3, 8), NO_END, PhaseKind.SOAK),
                new Stage(pump, NO_END, NO_END, PhaseKind.RAMP));
    }

    private List<Stage> mains() {
        return List.of(new Stage(new Push.Line(between(2, 3.5), between(0.3, 0.5), 8, 0), between(6, 14),
                between(0.5, 6), PhaseKind.SOAK), new Stage(rotary(), NO_END, NO_END, PhaseKind.RAMP));
    }

    private List<Stage> pressures() {
        double gain = between(2, 6);
        double soak = between(1.5, 4);
        double high = between(5.5, 9.5);
        List<Stage> stages = new ArrayList<>();
        stages.add(new Stage(new Push.HeldPressure(soak, soak, 0, gain, between(4, 8)), between(6, 16), between(0.5, 5),
                PhaseKind.SOAK));
        double over = between(0, 5);
        stages.add(new Stage(new Push.HeldPressure(soak, high, over, gain, 9), NO_END, stop * between(0.4, 0.75),
                PhaseKind.RAMP));
        if (random.nextBoolean()) {
            stages.add(new Stage(new Push.HeldPressure(high, high * between(0.45, 0.75), between(3, 9), gain, 9),
                    NO_END, NO_END, PhaseKind.TAPER));
        } else {
            stages.set(1, new Stage(stages.get(1).push(), NO_END, NO_END, PhaseKind.RAMP));
        }
        return stages;
    }

    private List<Stage> flows() {
        open.add(PhaseKind.MAIN);
        open.add(PhaseKind.RAMP);
        double flow = between(1.4, 2.6);
        double most = between(8.5, 11);
        double soak = between(1.5, 3.5);
        List<Stage> stages = new ArrayList<>();
        stages.add(new Stage(new Push.HeldPressure(soak, soak, 0, 4, between(4, 8)), between(8, 14), between(0.5, 4),
                PhaseKind.SOAK));
        stages.add(new Stage(new Push.HeldFlow(flow, flow, 0, most), NO_END, stop * between(0.45, 0.7),
                PhaseKind.RAMP));
        if (random.nextDouble() < 0.6) {
            stages.add(new Stage(new Push.HeldFlow(flow, flow * between(0.4, 0.7), between(0, 7), most), NO_END, NO_END,
                    PhaseKind.TAPER));
        } else {
            stages.set(1, new Stage(stages.get(1).push(), NO_END, NO_END, PhaseKind.RAMP));
        }
        return stages;
    }

    private List<Stage> lever() {
        double bar = between(6, 9.5);
        boolean held = random.nextBoolean();
        if (!held) {
            open.add(PhaseKind.TAPER);
            open.add(PhaseKind.MAIN);
        }
        double hold = held ? between(8, 18) : 0;
        List<Stage> stages = new ArrayList<>();
        stages.add(new Stage(new Push.Line(between(0.7, 1.6), between(0.2, 0.4), 8, 0), between(5, 12), NO_END,
                PhaseKind.SOAK));
        double stroke = stop * between(0.7, 1.5);
        stages.add(new Stage(new Push.Spring(bar, hold, bar * between(0.3, 0.6) / Math.max(10, stroke - hold), stroke),
                NO_END, NO_END, PhaseKind.RAMP));
        return stages;
    }

    private List<Stage> needle() {
        double line = between(8.5, 10.5);
        double slight = between(0.25, 0.6);
        double wide = between(1.5, 4);
        List<Stage> stages = new ArrayList<>();
        stages.add(new Stage(new Push.Needle(line, slight + 0.9, 0.3, 0), between(2, 4), NO_END, PhaseKind.WETTING));
        open.add(PhaseKind.SOAK);
        stages.add(new Stage(new Push.Needle(line, slight, 0.4, slight + 0.9), between(4, 9), between(1, 5),
                PhaseKind.SOAK));
        boolean closes = random.nextBoolean();
        stages.add(new Stage(new Push.Needle(line, wide, between(0.3, 2.5), slight), NO_END,
                closes ? stop * between(0.45, 0.7) : NO_END, PhaseKind.RAMP));
        if (closes) {
            stages.add(new Stage(new Push.Needle(line, between(0.35, 0.6), between(0.4, 5), wide), NO_END, NO_END,
                    PhaseKind.TAPER));
        }
        return stages;
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private double of(double... values) {
        return values[random.nextInt(values.length)];
    }
}
