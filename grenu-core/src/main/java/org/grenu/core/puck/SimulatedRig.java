package org.grenu.core.puck;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.Samples;
import org.grenu.core.curve.ShotLog;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * Pulls simulated shots: water fills the headspace and wets the bed, then flows by p/r with a resistance that depends on
 * grind and dose and falls as the bed erodes; fast solids wash out with the beverage, slow ones with contact time and
 * temperature. The numbers are chosen for plausible curves, not fitted to any coffee. The same seed gives the same shot.
 */
public final class SimulatedRig {

    private static final double STEP = 0.01;
    private static final double LOG_STEP = 0.1;
    private static final double PUMP_LIMIT = 7.5;
    private static final double DRIP_OUT_SECONDS = 4.5;

    private final RandomGenerator random;
    private final List<double[]> rows = new ArrayList<>();

    /** A rig whose every random number follows from the seed. */
    public SimulatedRig(long seed) {
        this.random = new Well19937c(seed);
    }

    /** {@return the shot, logged at 10 Hz, with strength read three times} */
    public SimulatedShot pull(PuckRecipe recipe, LogFlaw flaw) {
        rows.clear();
        double resistanceAtStart = 4.6 * StrictMath.exp(1.25 * (2.4 - recipe.grind())
                + 0.12 * (recipe.doseGrams() - 18) + 0.03 * random.nextGaussian());
        double toFill = 9 + 1.05 * recipe.doseGrams();
        double filled = 0;
        double cup = 0;
        double pressure = 0;
        double sinceDrip = -1;
        double firstDrip = Double.NaN;
        double pumpOff = Double.NaN;
        double contact = 0;
        double shown = 0;
        double water = recipe.celsius() - 4;
        double nextLog = 0;
        for (double t = 0; Double.isNaN(pumpOff) || t < pumpOff + DRIP_OUT_SECONDS; t += STEP) {
            boolean running = Double.isNaN(pumpOff);
            double wet = Math.min(1, filled / toFill);
            double erosion = 1 - 0.30 * (1 - StrictMath.exp(-cup / 22));
            double resistance = resistanceAtStart * erosion;
            double target = running ? recipe.profile().target(sinceDrip, cup) : 0;
            // An unfilled headspace cannot hold pressure; a coarse bed lets the pump run into its limit.
            double reachable = wet < 1 ? 0.25 + target * StrictMath.pow(wet, 6) : Math.min(target, PUMP_LIMIT * resistance);
            pressure += (reachable - pressure) * STEP / (running ? 0.45 : 0.55);
            double through = wet < 1 ? 0 : Math.max(0, pressure / resistance) * (1 - StrictMath.exp(-Math.max(0, sinceDrip + 0.4) / 2.5));
            double pumped = !running ? 0 : wet < 1 ? fillingFlow(recipe.profile()) : pressure / resistance;
            if (wet < 1) {
                filled += pumped * STEP;
            } else {
                sinceDrip = Math.max(0, sinceDrip) + STEP;
                if (through > 0.02 && Double.isNaN(firstDrip) && resistance < 25) {
                    firstDrip = t;
                }
                cup += (resistance < 25 ? through : 0) * STEP;
                contact += STEP;
            }
            shown += (cup - shown) * STEP / 0.25;
            water += (recipe.celsius() - water) * STEP / 2.2;
            if (t >= nextLog - 1e-9) {
                rows.add(new double[] {nextLog, pressure, pumped, shown, water});
                nextLog += LOG_STEP;
            }
            if (running && (shown >= recipe.stopGrams() || t >= recipe.stopSeconds())) {
                pumpOff = t;
            }
        }
        double strength = strength(recipe, cup, contact);
        return new SimulatedShot(log(flaw), readings(strength), zero(), cup, strength, firstDrip, pumpOff);
    }

    private static double fillingFlow(PressureProfile profile) {
        return profile == PressureProfile.STRAIGHT_NINE ? 6.0 : 4.2;
    }

    private double strength(PuckRecipe recipe, double cup, double contact) {
        if (cup < 1) {
            return Double.NaN;
        }
        double rate = 0.027 * StrictMath.exp(0.45 * (2.4 - recipe.grind()) + 0.035 * (recipe.celsius() - 93));
        double fast = 14.6 * (1 - StrictMath.exp(-cup / recipe.doseGrams() / 0.42));
        double slow = 11.5 * (1 - StrictMath.exp(-rate * contact));
        return (fast + slow + 0.12 * random.nextGaussian()) * recipe.doseGrams() / cup;
    }

    private List<Double> readings(double strength) {
        if (Double.isNaN(strength)) {
            return List.of();
        }
        double bias = 0.012;
        List<Double> readings = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            readings.add(rounded(strength + bias + 0.018 * random.nextGaussian(), 2));
        }
        return readings;
    }

    private double zero() {
        return rounded(0.01 * random.nextGaussian(), 2);
    }

    private ShotLog log(LogFlaw flaw) {
        int n = rows.size();
        double[][] columns = new double[5][n];
        int knock = (int) (0.55 * n);
        for (int i = 0; i < n; i++) {
            double[] row = rows.get(i);
            columns[0][i] = rounded(row[0], 2);
            columns[1][i] = rounded(Math.max(0, row[1] + 0.035 * random.nextGaussian()), 2);
            columns[2][i] = rounded(row[2] < 0.01 ? 0 : Math.max(0, row[2] + 0.05 * random.nextGaussian()), 2);
            columns[3][i] = rounded(row[3] + 0.03 * random.nextGaussian() + flawAt(flaw, i - knock), 1);
            columns[4][i] = rounded(row[4] + 0.06 * random.nextGaussian(), 1);
        }
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        channels.put(Channel.PRESSURE, Samples.of(columns[1]));
        channels.put(Channel.PUMP_FLOW, Samples.of(columns[2]));
        channels.put(Channel.CUP_MASS, Samples.of(columns[3]));
        channels.put(Channel.TEMPERATURE, Samples.of(columns[4]));
        return new ShotLog(Samples.of(columns[0]), channels);
    }

    /** A knock rings for half a second. */
    private static double flawAt(LogFlaw flaw, int sinceKnock) {
        double[] ring = {6.4, 11.8, 5.1, -3.6, -2.2, 1.6};
        return switch (flaw) {
            case NONE -> 0;
            case FORGOTTEN_TARE -> 3.7;
            case KNOCKED_SCALE -> sinceKnock >= 0 && sinceKnock < ring.length ? ring[sinceKnock] : 0;
        };
    }

    private static double rounded(double value, int decimals) {
        double scale = StrictMath.pow(10, decimals);
        double result = Math.rint(value * scale) / scale;
        return result == 0 ? 0 : result;
    }
}
