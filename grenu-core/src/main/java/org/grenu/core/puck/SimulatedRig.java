package org.grenu.core.puck;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.grenu.core.hydraulics.Water;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.profile.Target;
import org.grenu.core.puck.SimulatedShot.Truth;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * Pulls simulated shots: machine, bed, spouts, scale and refractometer together. The numbers are chosen for plausible
 * shots, not fitted to any coffee or machine. The same seed gives the same shot.
 */
public final class SimulatedRig {

    static final double LOG_STEP = 0.1;
    private static final double STEP = 0.01;
    private static final double DRIP_OUT_SECONDS = 5.5;
    private static final double SPOUT_SECONDS = 0.45;
    private static final double DROP_GRAMS = 0.05;
    private static final double SHOT_TO_SHOT = 0.025;
    private static final double USUAL_SCALE_DELAY = 0.1;

    private final RandomGenerator random;
    private boolean logsSteps;
    private double channelSize;

    /** A rig whose every random number follows from the seed. */
    public SimulatedRig(long seed) {
        this.random = new Well19937c(seed);
    }

    /** Lets the machine log the number of the profile's step. {@return this rig} */
    public SimulatedRig loggingSteps() {
        logsSteps = true;
        return this;
    }

    /** Lets a channel open midway that adds that share to the flow, in [0, 2]. {@return this rig} */
    public SimulatedRig withChannel(double share) {
        channelSize = share;
        return this;
    }

    /** {@return the shot, logged at 10 Hz, with strength read three times} */
    public SimulatedShot pull(PuckRecipe recipe, Collection<LogFlaw> flaws) {
        return new Pull(recipe, flaws).run();
    }

    /** One shot under way. */
    private final class Pull {
        private final PuckRecipe recipe;
        private final Collection<LogFlaw> flaws;
        private final SimulatedBed bed;
        private final SimulatedMachine machine;
        private final SimulatedScale scale;
        private final RigLog log = new RigLog();
        private final List<PhaseBorder> phases = new ArrayList<>();
        private final List<Double> pressures = new ArrayList<>();
        private final double density;
        private double cup;
        private double cupSolids;
        private double spout;
        private double spoutSolids;
        private double waterPumped;
        private double firstDrip = Double.NaN;
        private double pumpOff = Double.NaN;
        private double celsius;

        Pull(PuckRecipe recipe, Collection<LogFlaw> flaws) {
            this.recipe = recipe;
            this.flaws = flaws;
            SimulatedCoffee coffee = recipe.coffee();
            SimulatedCoffee prepared = new SimulatedCoffee(coffee.solubleShare() * (1 + 0.004 * random.nextGaussian()),
                    coffee.drag() * StrictMath.exp(SHOT_TO_SHOT * random.nextGaussian()), coffee.hardness());
            PuckRecipe puck = new PuckRecipe(prepared, recipe.ageDays(), recipe.doseGrams(), recipe.grind(),
                    recipe.celsius(),
                    recipe.profile(), recipe.stopGrams(), recipe.stopSeconds());
            BedSettings settings = BedSettings.of(puck);
            bed = new SimulatedBed(settings);
            MachineSettings rig = MachineSettings.RIG_1;
            machine = new SimulatedMachine(rig, recipe.profile(),
                    Math.max(4, rig.headspace() - 1.6 * (recipe.doseGrams() - 18)));
            scale = new SimulatedScale(random, flaws.contains(LogFlaw.SCALE_LAG) ? 1.0 + 0.6 * random.nextDouble()
                    : USUAL_SCALE_DELAY, STEP);
            density = Water.density(recipe.celsius()) / 1000;
            celsius = recipe.celsius() - 4;
        }

        SimulatedShot run() {
            double nextLog = 0;
            double end = Double.POSITIVE_INFINITY;
            phases.add(new PhaseBorder(PhaseKind.WETTING, 0));
            for (int i = 0; i * STEP < end; i++) {
                double t = i * STEP;
                if (Double.isNaN(pumpOff) && (scale.shown() >= recipe.stopGrams() || t >= recipe.stopSeconds())) {
                    pumpOff = t;
                    end = t + DRIP_OUT_SECONDS;
                    phases.add(new PhaseBorder(PhaseKind.DRIP_OUT, t));
                }
                if (t >= nextLog - 1e-9) {
                    write(nextLog);
                    nextLog += LOG_STEP;
                }
                advance(t);
                pressures.add(machine.pressure());
            }
            TruePhases.addMain(phases, pressures, STEP, pumpOff);
            if (!flaws.isEmpty()) {
                new FlawedLog(log, random, firstDrip, pumpOff).spoil(flaws);
            }
            Truth truth = new Truth(cup, cupSolids, firstDrip, pumpOff, phases, waterPumped, bed.waterHeld(),
                    List.copyOf(flaws));
            SimulatedRefractometer refractometer = new SimulatedRefractometer(random);
            return new SimulatedShot(log.rounded(logsSteps), refractometer.read(truth.strengthPercent(), 3),
                    refractometer.zero(), truth);
        }

        private void advance(double t) {
            double pressure = machine.pressure();
            double into = bed.flow(pressure);
            double past = bed.channelFlow(pressure);
            boolean running = Double.isNaN(pumpOff);
            if (running) {
                machine.run(into + past, STEP);
                waterPumped += machine.pumped() * STEP;
            } else {
                machine.release(into + past, STEP);
            }
            double water = bed.waterOut();
            double solids = bed.solidsOut();
            bed.advance(into, pressure, STEP);
            intoCup((bed.waterOut() - water) * density, bed.solidsOut() - solids);
            scale.weigh(cup);
            celsius += (recipe.celsius() - celsius) * STEP / 2.2;
            if (Double.isNaN(firstDrip) && cup >= DROP_GRAMS) {
                firstDrip = t + STEP;
            }
            if (running) {
                follow(t + STEP);
            }
        }

        /** What leaves the bed hangs in the spouts for a moment. */
        private void intoCup(double water, double solids) {
            spout += water + solids;
            spoutSolids += solids;
            double share = STEP / SPOUT_SECONDS;
            cup += spout * share;
            cupSolids += spoutSolids * share;
            spout -= spout * share;
            spoutSolids -= spoutSolids * share;
            if (channelSize > 0 && cup > 0.45 * recipe.stopGrams()) {
                bed.channel(channelSize * 1.6 / 8);
                channelSize = 0;
            }
        }

        private void follow(double t) {
            boolean moved = machine.moveOn(scale.shown(), Double.isNaN(firstDrip) ? -1 : t - firstDrip);
            PhaseKind last = phases.get(phases.size() - 1).kind();
            PhaseKind named = PhaseKind.ofStep(recipe.profile().steps().get(machine.step()).name());
            // The rise to a held pressure is a ramp, whatever the step that makes it is called.
            boolean held = recipe.profile().steps().get(machine.step()).target() == Target.PRESSURE;
            PhaseKind begun = named == PhaseKind.MAIN && held ? PhaseKind.RAMP : named;
            boolean wetted = last == PhaseKind.WETTING && machine.full();
            if (last != PhaseKind.RAMP || named != PhaseKind.MAIN) {
                begin(begun, t, moved && last != PhaseKind.WETTING || wetted);
            }
        }

        private void begin(PhaseKind kind, double t, boolean now) {
            if (now && kind != phases.get(phases.size() - 1).kind()) {
                phases.add(new PhaseBorder(kind, t));
            }
        }

        private void write(double t) {
            double pressure = Math.max(0, machine.pressure() + 0.035 * random.nextGaussian());
            double flow = machine.pumped() < 0.01 ? 0 : Math.max(0, machine.pumped() + 0.05 * random.nextGaussian());
            log.add(t, pressure, flow, scale.reading(), celsius + 0.06 * random.nextGaussian(), machine.step() + 1);
        }
    }
}
