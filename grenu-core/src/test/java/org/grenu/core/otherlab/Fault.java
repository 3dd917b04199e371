package org.grenu.core.otherlab;

import java.util.List;
import java.util.Set;
import org.grenu.core.curve.RepairKind;
import org.hipparchus.random.RandomGenerator;

/** What goes wrong with a log of the other laboratory. */
enum Fault {
    NONE, LATE_SCALE(RepairKind.SCALE_LAG), KNOCK(RepairKind.SCALE_KNOCK), LEANT(RepairKind.SCALE_KNOCK),
    SWAP(RepairKind.VESSEL_SWAP), TARE(RepairKind.TARE_OFFSET), GAUGE_OFFSET(RepairKind.PRESSURE_OFFSET);

    private static final int PRESSURE = 1;
    private static final int MASS = 3;
    private final Set<RepairKind> repairs;

    Fault(RepairKind... repairs) {
        this.repairs = Set.of(repairs);
    }

    Set<RepairKind> repairs() {
        return repairs;
    }

    void spoil(List<double[]> rows, double firstDrip, double pumpOff, RandomGenerator random) {
        double share = 0.25 + 0.5 * random.nextDouble();
        double at = firstDrip + share * (pumpOff - firstDrip);
        double size = random.nextDouble();
        switch (this) {
            case KNOCK -> rows.stream()
                    .filter(r -> Math.abs(r[0] - at) < 0.15)
                    .forEach(
                            r -> r[MASS] += (8 + 20 * size) * (r[0] < at ? 1 : -0.4));
            case LEANT -> rows.stream()
                    .filter(r -> r[0] > at && r[0] < at + 0.4 + 1.2 * share)
                    .forEach(
                            r -> r[MASS] += 3 + 8 * size);
            case SWAP -> {
                double held = rows.stream().filter(r -> r[0] <= at).mapToDouble(r -> r[MASS]).reduce(0, (a, b) -> b);
                rows.stream().filter(r -> r[0] > at).forEach(r -> r[MASS] -= held);
            }
            case TARE -> rows.forEach(r -> r[MASS] += 1.5 + 30 * size);
            case GAUGE_OFFSET -> rows.forEach(r -> r[PRESSURE] += 0.25 + 0.6 * size);
            default -> {
                // Nothing to spoil: a late scale is late from the start.
            }
        }
    }
}
