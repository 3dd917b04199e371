package org.grenu.core.demo;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.puck.Puck;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.phase.Phases;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.LogFlaw;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * How well the analysis finds what the simulator knows: random coffees, doses, grinds, temperatures, profiles and
 * stops;
 * a third of the logs clean, a third with one flaw, a third with two. The analysis sees the log alone: no profile, no
 * step numbers, no record.
 */
public final class RecoveryStudy {

    /** How near the first drip must be found, s. */
    public static final double DRIP_SECONDS = 0.5;
    /** How near every phase border must be found, s. */
    public static final double BORDER_SECONDS = 0.8;
    /** How near the beverage mass must be found, g. */
    public static final double BEVERAGE_GRAMS = 0.2;

    private final RandomGenerator random;
    private final long seed;

    private RecoveryStudy(long seed) {
        this.seed = seed;
        this.random = new Well19937c(seed);
    }

    /** {@return what was found in that many shots} The same seed gives the same shots. */
    public static Report run(long seed, int shots) {
        RecoveryStudy study = new RecoveryStudy(seed);
        Report report = new Report(shots);
        for (int i = 0; i < shots; i++) {
            study.judge(i, report);
        }
        return report;
    }

    private void judge(int index, Report report) {
        List<LogFlaw> flaws = flaws(index % 3);
        RigRecipe recipe = recipe();
        SimulatedShot shot = new SimulatedRig(seed + 1000L * (index + 1)).pull(recipe, flaws);
        CurveMeasures found = CurveMeasures.of(shot.log(), CurveSettings.STANDARD);
        SimulatedShot.Truth truth = shot.truth();
        double drip = found.times().firstDrip().map(TimedEvent::seconds).orElse(Double.NaN);
        report.drip += Math.abs(drip - truth.firstDripSeconds()) <= DRIP_SECONDS ? 1 : 0;
        report.borders(truth.phases(), Phases.of(found, List.of(), Optional.empty()).borders());
        boolean right = isRight(flaws, found, truth.beverageGrams());
        report.beverage += right ? 1 : 0;
        report.repairs(flaws, found.repaired().repairs());
    }

    private RigRecipe recipe() {
        DemoProfile profile = DemoProfile.values()[random.nextInt(DemoProfile.values().length)];
        SimulatedCoffee coffee = new SimulatedCoffee(between(0.23, 0.28), between(0.8, 1.2), between(0.8, 1.2));
        return new RigRecipe(
                new Puck(coffee, between(4, 40), between(16, 20), between(1.9, 3.1), between(88, 96)),
                profile.profile(), between(30, 45), 120);
    }

    private static boolean isRight(List<LogFlaw> flaws, CurveMeasures found, double grams) {
        boolean unknowable = flaws.contains(LogFlaw.SCALE_TIMED_OUT);
        return unknowable ? found.beverage().isEmpty()
                : found.beverage()
                        .filter(b -> Math.abs(b.value() - grams) <= BEVERAGE_GRAMS)
                        .isPresent();
    }

    /** Two flaws of one log never concern the same thing, so that each can be judged. */
    private List<LogFlaw> flaws(int count) {
        List<LogFlaw> flaws = new ArrayList<>();
        while (flaws.size() < count) {
            LogFlaw flaw = LogFlaw.values()[random.nextInt(LogFlaw.values().length)];
            boolean together = flaws.stream()
                    .anyMatch(other -> other.repairedBy().channel().equals(flaw.repairedBy().channel()));
            if (!together) {
                flaws.add(flaw);
            }
        }
        return flaws;
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** Counts of what was found. */
    public static final class Report {
        private final int shots;
        private int drip;
        private int allBorders;
        private int beverage;
        private int clean;
        private int falselyRepaired;
        private final Map<PhaseKind, int[]> borders = new EnumMap<>(PhaseKind.class);
        private final Map<LogFlaw, int[]> flaws = new EnumMap<>(LogFlaw.class);

        private Report(int shots) {
            this.shots = shots;
        }

        private void borders(List<PhaseBorder> truth, List<PhaseBorder> found) {
            boolean all = truth.size() == found.size();
            for (PhaseBorder border : truth) {
                boolean near = found.stream()
                        .anyMatch(f -> f.kind() == border.kind()
                                && Math.abs(f.seconds() - border.seconds()) <= BORDER_SECONDS);
                int[] count = borders.computeIfAbsent(border.kind(), k -> new int[2]);
                count[0] += near ? 1 : 0;
                count[1]++;
                all &= near;
            }
            allBorders += all ? 1 : 0;
        }

        private void repairs(List<LogFlaw> planted, List<Repair> repairs) {
            Set<RepairKind> kinds = new HashSet<>();
            repairs.forEach(repair -> kinds.add(repair.kind()));
            if (planted.isEmpty()) {
                clean++;
                falselyRepaired += kinds.isEmpty() ? 0 : 1;
            }
            for (LogFlaw flaw : planted) {
                int[] count = flaws.computeIfAbsent(flaw, f -> new int[2]);
                count[0] += kinds.contains(flaw.repairedBy()) ? 1 : 0;
                count[1]++;
            }
        }

        /** {@return the number of shots} */
        public int shots() {
            return shots;
        }

        /** {@return share of shots whose first drip was found near the truth} */
        public double drip() {
            return drip / (double) shots;
        }

        /** {@return share of shots in which every phase, and no other, was found near the truth} */
        public double allBorders() {
            return allBorders / (double) shots;
        }

        /** {@return share of shots whose beverage mass is right, or rightly withheld} */
        public double beverage() {
            return beverage / (double) shots;
        }

        /** {@return share of clean shots in which something was repaired} */
        public double falseRepairs() {
            return falselyRepaired / (double) clean;
        }

        /** {@return the number of clean shots} */
        public int clean() {
            return clean;
        }

        /** {@return found and all borders, by phase} */
        public Map<PhaseKind, int[]> borders() {
            return borders;
        }

        /** {@return found and all flaws, by kind} */
        public Map<LogFlaw, int[]> flaws() {
            return flaws;
        }
    }
}
