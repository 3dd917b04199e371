package org.grenu.core.thirdlab;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;

/**
 * Draws shots: levers with a falling spring, a hand on a valve, gear pumps with their ripple, plain pumps; drips during
 * the soak or after it, ramps of half a second to five, beds that swell as they are pressed and then wear. The same
 * seed
 * gives the same shot.
 */
public final class ThirdLab {

    private static final double STEP = 0.01;
    private static final double DROP = 0.05;
    private static final double THIN = 0.6;
    private static final double AFTER = 14;
    private static final double LONGEST = 75;

    /** What makes the pressure. */
    private enum Kind {
        SPRING, HAND, GEAR, PUMP
    }

    private final Random random;
    private final Kind kind;
    private final double soakBar;
    private final double soak;
    private final double ramp;
    private final double bar;
    private final double holds;
    private final double falls;
    private final double stop;
    private final double before;
    private final double resistance;
    private final double swells;
    private final double swelling;
    private final double wears;
    private final double drips;
    private final double spout;
    private final double[] waver = new double[3];
    private double lost;
    private double opensAt;

    private ThirdLab(long seed, boolean broken) {
        random = new Random(seed * 2_862_933_555_777_941_757L + 3_037_000_493L);
        kind = Kind.values()[random.nextInt(Kind.values().length)];
        soakBar = between(1.2, 3.2);
        soak = random.nextDouble() < 0.25 ? between(0.3, 1) : between(3, 10);
        ramp = kind == Kind.HAND ? between(1.5, 5) : between(0.4, 2.5);
        bar = between(6, 9.5);
        holds = between(3, 12);
        falls = kind == Kind.SPRING ? between(0.008, 0.025) : random.nextDouble() < 0.3 ? between(0.01, 0.03) : 0;
        before = random.nextDouble() < 0.6 ? between(0.3, 2.5) : 0;
        resistance = between(2.2, 4.5);
        swells = random.nextDouble() < 0.6 ? between(1.2, 2.3) : between(1, 1.1);
        swelling = between(0.4, 1.2);
        wears = random.nextDouble() < 0.4 ? between(0.03, 0.055) : between(0, 0.025);
        drips = random.nextDouble() < 0.6 ? between(0.4, 0.95) : between(1, 1.3);
        spout = between(0.15, 0.55);
        stop = between(28, 44);
        lost = broken ? between(0.2, 0.6) : 0;
        opensAt = broken ? between(0.3, 0.65) * stop : Double.POSITIVE_INFINITY;
        for (int i = 0; i < waver.length; i++) {
            waver[i] = between(0.25, 1.1);
        }
    }

    /** {@return a shot} */
    public static ThirdShot pull(long seed, boolean broken, boolean atStop) {
        return new ThirdLab(seed, broken).draw(atStop);
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private double pressure(double t) {
        double begins = soakBar * (1 - Math.exp(-t / 0.35));
        if (t < soak) {
            return begins * hand(t);
        }
        double share = Math.min(1, (t - soak) / ramp);
        double smooth = kind == Kind.GEAR ? share : share * share * (3 - 2 * share);
        double high = soakBar + (bar - soakBar) * smooth;
        double late = t - soak - ramp - holds;
        return high * (late > 0 ? Math.exp(-falls * late) : 1) * hand(t);
    }

    /** A hand wavers slowly, by a few per cent. */
    private double hand(double t) {
        return kind != Kind.HAND ? 1 : 1 + 0.02 * Math.sin(waver[0] * t) + 0.015 * Math.sin(waver[1] * t + waver[2]);
    }

    /** Swells about the middle of the ramp, then wears; an opened bed has lost its share within that time. */
    private double bed(double t, double opened, double quick) {
        double swollen = 1 / (1 + Math.exp(-(t - soak - ramp / 2) / (swelling / 2)));
        double r = resistance * (1 + (swells - 1) * swollen) * Math.exp(-wears * Math.max(0, t - soak - ramp));
        double share = Double.isNaN(opened) ? 0 : Math.min(1, Math.max(0, (t - opened) / quick));
        return r * (1 - lost * share);
    }

    private ThirdShot draw(boolean atStop) {
        double drip = drips * soak + 0.6;
        double quick = between(0.1, 0.6);
        double thins = between(0.6, 2);
        List<double[]> rows = new ArrayList<>();
        List<Double> seconds = new ArrayList<>();
        List<Double> truth = new ArrayList<>();
        double opened = Double.NaN;
        double off = Double.NaN;
        double first = Double.NaN;
        double held = 0;
        double hangs = 0;
        double cup = 0;
        double left = 0;
        double metered = 0;
        for (double t = -before; Double.isNaN(off) || t < off + AFTER; t += STEP) {
            boolean on = t >= 0 && Double.isNaN(off);
            if (on && (cup >= stop - 0.6 || t >= LONGEST)) {
                off = t;
                left = pressure(t);
                on = false;
            }
            if (on && Double.isNaN(opened) && cup >= opensAt && t > soak + ramp + 1) {
                opened = t;
            }
            double p = on ? pressure(t) : Double.isNaN(off) ? 0 : left * Math.exp(-(t - off) / 0.35);
            double r = bed(Math.max(0, t), opened, quick);
            // The stream grows from drops to all that is pressed through.
            double streams = t < drip ? 0 : 1 - Math.exp(-(t - drip) / thins);
            double through = on || p > 0.2 ? p / r : 0;
            held += streams * through * STEP;
            double flows = held * STEP / spout;
            held -= flows;
            hangs += flows;
            // A thin stream falls drop by drop.
            if (hangs >= DROP || flows > THIN * STEP) {
                cup += hangs;
                hangs = 0;
            }
            if (Double.isNaN(first) && cup >= DROP) {
                first = t;
            }
            metered += ((on ? through + (t < drip ? between(0.5, 1.5) : 0) : 0) - metered) * STEP / 0.3;
            rows.add(new double[] {t, p, cup, metered});
            if (on && Math.round(t / STEP) % 10 == 0) {
                seconds.add(t + before);
                truth.add(streams > 0.97 ? r : Double.NaN);
            }
        }
        lost = Double.isNaN(opened) ? 0 : lost;
        return new ThirdShot(kind.name().toLowerCase(Locale.ROOT), log(rows, off, atStop), before, off + before,
                first + before, cup, phases(off), open(), opened + before, lost, array(seconds), array(truth));
    }

    private static double[] array(List<Double> numbers) {
        return numbers.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private List<PhaseBorder> phases(double off) {
        List<PhaseBorder> phases = new ArrayList<>();
        if (soak > 2) {
            phases.add(new PhaseBorder(PhaseKind.RAMP, soak + before));
        }
        phases.add(new PhaseBorder(PhaseKind.MAIN, soak + ramp + before));
        if (falls > 0 && soak + ramp + holds < off - 4) {
            phases.add(new PhaseBorder(PhaseKind.TAPER, soak + ramp + holds + before));
        }
        phases.add(new PhaseBorder(PhaseKind.DRIP_OUT, off + before));
        return phases;
    }

    private List<PhaseKind> open() {
        List<PhaseKind> open = new ArrayList<>();
        if (kind == Kind.HAND) {
            open.addAll(List.of(PhaseKind.RAMP, PhaseKind.MAIN, PhaseKind.TAPER));
        }
        if (falls < 0.012) {
            open.add(PhaseKind.TAPER);
        }
        return open;
    }

    private ShotLog log(List<double[]> rows, double off, boolean atStop) {
        double rate = List.of(0.05, 0.1, 0.2, 0.25).get(random.nextInt(4));
        double until = atStop ? off + between(0, 0.25) : off + between(5, 12);
        double late = between(0.05, 0.4);
        double display = random.nextBoolean() ? 0.1 : 0.01;
        double noise = between(0.005, 0.05);
        double barNoise = between(0.01, 0.06);
        double ripple = kind == Kind.GEAR ? between(0.05, 0.35) : 0;
        double hertz = between(3, 9);
        boolean meter = random.nextDouble() < 0.45;
        List<Double> t = new ArrayList<>();
        List<Double> p = new ArrayList<>();
        List<Double> m = new ArrayList<>();
        List<Double> q = new ArrayList<>();
        double next = -before;
        for (double[] row : rows) {
            if (row[0] >= next - 1e-9 && row[0] <= until) {
                next += rate;
                t.add(row[0] + before);
                boolean on = row[0] >= 0 && row[0] <= off;
                p.add(row[1] + barNoise * random.nextGaussian()
                        + (on ? ripple * Math.sin(2 * Math.PI * hertz * row[0]) : 0));
                int behind = (int) Math.max(0, Math.round((row[0] + before - late) / STEP));
                m.add(Math.rint(
                        (rows.get(Math.min(behind, rows.size() - 1))[2] + noise * random.nextGaussian()) / display)
                        * display);
                q.add(Math.max(0, row[3] + 0.04 * random.nextGaussian()));
            }
        }
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        channels.put(Channel.PRESSURE, Samples.of(array(p)));
        channels.put(Channel.CUP_MASS, Samples.of(array(m)));
        if (meter) {
            channels.put(Channel.PUMP_FLOW, Samples.of(array(q)));
        }
        return new ShotLog(Samples.of(array(t)), channels);
    }
}
