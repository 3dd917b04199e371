package org.grenu.core.rig;

import java.util.Arrays;
import java.util.Collection;
import org.grenu.core.rig.RigLog.Column;
import org.hipparchus.random.RandomGenerator;

/** Spoils a clean log the way laboratories do. Where and how much follows from the random numbers it is given. */
final class FlawedLog {

    private static final double CUP_GRAMS = 96.4;

    private final RigLog log;
    private final RandomGenerator random;
    private final double firstDrip;
    private final double pumpOff;

    FlawedLog(RigLog log, RandomGenerator random, double firstDrip, double pumpOff) {
        this.log = log;
        this.random = random;
        this.firstDrip = Double.isNaN(firstDrip) ? 0.4 * pumpOff : firstDrip;
        this.pumpOff = pumpOff;
    }

    void spoil(Collection<LogFlaw> flaws) {
        flaws.forEach(this::spoil);
    }

    private void spoil(LogFlaw flaw) {
        double[] mass = log.column(Column.MASS);
        double[] pressure = log.column(Column.PRESSURE);
        switch (flaw) {
            case FORGOTTEN_TARE -> shift(mass, 0, mass.length, between(1.5, 6));
            case CUP_PLACED_LATE -> placeLate(mass);
            case KNOCKED_SCALE -> ring(mass, whileRunning(0.2, 0.8));
            case SCALE_SPIKE -> mass[whileRunning(0.1, 0.9)] += between(6, 40);
            case CUP_LIFTED -> lift(mass);
            case VESSEL_SWAP -> swap(mass);
            case SCALE_FROZEN -> freeze(mass);
            case SCALE_TIMED_OUT -> Arrays.fill(mass, whileRunning(0.45, 0.75), mass.length, 0);
            case DROPOUT -> dropOut(random.nextBoolean() ? mass : pressure);
            case GAP -> log.remove(whileRunning(0.3, 0.7), (int) between(23, 36));
            case TIME_DISORDER -> disorder(log.column(Column.TIME));
            case CLOCK_RESET -> resetClock(log.column(Column.TIME));
            case CLIPPED_PRESSURE -> clip(pressure);
            case PRESSURE_OFFSET -> shift(pressure, 0, pressure.length, between(0.25, 0.6));
            case PRESSURE_SPIKE -> pressure[whileRunning(0.2, 0.9)] += between(4, 9);
            case SCALE_LAG -> {
                // The rig delays the scale itself.
            }
        }
    }

    private static void shift(double[] values, int from, int to, double by) {
        for (int i = from; i < to; i++) {
            values[i] += by;
        }
    }

    /** The scale was tared with the cup, then the cup was away while the log began. */
    private void placeLate(double[] mass) {
        int placed = Math.max(4, Math.min(index(between(0.8, 2.0)), index(firstDrip) - 6));
        shift(mass, 0, placed, -CUP_GRAMS);
        mass[placed] += between(-20, 6);
    }

    private void ring(double[] mass, int at) {
        double size = between(0.6, 1.4);
        double[] ring = {6.4, 11.8, 5.1, -3.6, -2.2, 1.6};
        for (int i = 0; i < ring.length && at + i < mass.length; i++) {
            mass[at + i] += size * ring[i];
        }
    }

    private void lift(double[] mass) {
        int at = whileRunning(0.15, 0.8);
        int length = (int) between(8, 20);
        for (int i = at; i < Math.min(mass.length, at + length); i++) {
            mass[i] = -CUP_GRAMS + 0.3 * random.nextGaussian();
        }
    }

    private void swap(double[] mass) {
        int at = whileRunning(0.3, 0.7);
        shift(mass, at, mass.length, -mass[at]);
        mass[at] -= between(0, 30);
    }

    private void freeze(double[] mass) {
        int at = whileRunning(0.25, 0.6);
        Arrays.fill(mass, at, Math.min(mass.length, at + (int) between(25, 50)), mass[at]);
    }

    private void dropOut(double[] values) {
        int at = whileRunning(0.15, 0.8);
        Arrays.fill(values, at, Math.min(values.length, at + (int) between(6, 15)), Double.NaN);
    }

    private void disorder(double[] time) {
        for (int k = 0; k < 6; k++) {
            int at = whileRunning(0.05, 0.95);
            time[at] = k % 2 == 0 ? time[at - 1] : time[at - 1] - between(0.02, 0.15);
        }
    }

    private void resetClock(double[] time) {
        int at = whileRunning(0.3, 0.7);
        double lost = time[at];
        shift(time, at, time.length, -lost);
    }

    private void clip(double[] pressure) {
        double top = Arrays.stream(pressure).max().orElse(0);
        double most = top * between(0.8, 0.9);
        for (int i = 0; i < pressure.length; i++) {
            pressure[i] = Math.min(pressure[i], most);
        }
    }

    /** {@return a row between two shares of the time from first drip to pump off} */
    private int whileRunning(double from, double to) {
        return index(firstDrip + between(from, to) * (pumpOff - firstDrip));
    }

    private int index(double seconds) {
        return Math.max(1, Math.min(log.size() - 2, (int) Math.round(seconds / SimulatedRig.LOG_STEP)));
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }
}
