package org.grenu.core.otherlab;

/**
 * A bed as one lump: it soaks gradually, without a front, and lets water through before it is soaked; what it lets
 * through loses pressure by Forchheimer's law, p = r·q + b·q². Its resistance swells with time, is built up by fines
 * that travel with the water, gives way with the pressure and with what has passed, and may break open.
 */
final class LumpedPuck {

    /**
     * What the bed is like.
     *
     * @param holds       water it soaks up, mL
     * @param leaksFrom   share of that from which it lets water through
     * @param leakPower   how that grows
     * @param resistance  of the soaked bed, bar·s/mL
     * @param inertia     share of it that goes with the square of the flow, per mL/s
     * @param swelling    share gained with time
     * @param swellSeconds in which it is gained
     * @param fines       share gained with the first 12 mL that pass
     * @param stiffness   share lost at 9 bar
     * @param erosion     share lost per mL that has passed
     */
    record Bed(double holds, double leaksFrom, double leakPower, double resistance, double inertia, double swelling,
            double swellSeconds, double fines, double stiffness, double erosion) {
    }

    private final Bed bed;
    private double held;
    private double wetSeconds;
    private double passed;
    private double broken;

    LumpedPuck(Bed bed) {
        this.bed = bed;
    }

    /** {@return what flows into it under that pressure, mL/s} */
    double flow(double bar) {
        double soaked = held / bed.holds;
        double dry = 0.12 + 0.88 * soaked * soaked;
        double r = resistance(bar) * dry;
        double b = bed.inertia * r;
        double drive = Math.max(0, bar + 0.25 * (1 - soaked));
        return b > 1e-9 ? (Math.sqrt(r * r + 4 * b * drive) - r) / (2 * b) : drive / r;
    }

    /** {@return how much resistance it has once soaked, before the square of the flow, bar·s/mL} */
    private double resistance(double bar) {
        double swollen = 1 + bed.swelling * (1 - Math.exp(-wetSeconds / bed.swellSeconds));
        double clogged = 1 + bed.fines * (1 - Math.exp(-passed / 12));
        double pressed = 1 - bed.stiffness * 0.5 + bed.stiffness * 0.5 * Math.min(2, bar / 9);
        return bed.resistance * swollen * clogged * pressed * Math.exp(-bed.erosion * passed) * (1 - broken);
    }

    /** Lets that flow in for a time. {@return what comes out at the bottom, mL/s} */
    double advance(double flow, double seconds) {
        double soaked = held / bed.holds;
        double past = soaked <= bed.leaksFrom ? 0
                : Math.pow((soaked - bed.leaksFrom) / (1 - bed.leaksFrom), bed.leakPower);
        held = Math.min(bed.holds, held + flow * (1 - past) * seconds);
        passed += flow * past * seconds;
        wetSeconds += soaked > 0.3 ? seconds : 0;
        return flow * past;
    }

    /** Breaks open, by that much more of the whole. */
    void breakOpen(double share) {
        broken = share;
    }

    /** {@return share of its flow in that comes out} */
    double streaming() {
        double soaked = held / bed.holds;
        return soaked <= bed.leaksFrom ? 0 : Math.pow((soaked - bed.leaksFrom) / (1 - bed.leaksFrom), bed.leakPower);
    }
}
