package org.grenu.core.rig;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.hydraulics.Water;
import org.grenu.core.numbers.Samples;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.Target;
import org.grenu.core.puck.BedParameters;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedBed;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.SimulatedShot.Truth;
import org.grenu.core.rig.instrument.SimulatedRefractometer;
import org.grenu.core.rig.instrument.SimulatedScale;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.util.ResizableDoubleArray;

/** One simulated shot under way: machine, bed, spouts and scale go on together, from sample to sample. */
public final class RigPull {

    private static final double DRIP_OUT_SECONDS = 5.5;
    private static final double SPOUT_SECONDS = 0.45;
    private static final double DROP_GRAMS = 0.05;
    private static final double SHOT_TO_SHOT = 0.025;
    private static final double USUAL_SCALE_DELAY = 0.1;
    /** How slowly the water above the bed follows what the machine heats to, s. */
    private static final double HEATING_SECONDS = 2.2;
    /** A change of the water that the bed need not notice, °C. */
    private static final double SAME_HEAT = 0.1;

    /**
     * What the rig is made to do beside the recipe.
     *
     * @param logsSteps   whether the machine logs the number of the profile's step
     * @param channelSize share that a channel adds to the flow midway; 0: none
     * @param grid        how finely it is reckoned
     */
    record Settings(boolean logsSteps, double channelSize, SimulationGrid grid) {
    }

    /**
     * A sample as it is logged, before it is rounded to what the instruments show.
     *
     * @param seconds  since the pump started
     * @param pressure bar
     * @param flow     of the pump, mL/s
     * @param mass     in the cup, g
     * @param celsius  of the water above the bed
     * @param step     of the profile, from 1
     */
    public record Sample(double seconds, double pressure, double flow, double mass, double celsius, int step) {
    }

    private final RandomGenerator random;
    private final Settings settings;
    private final double step;
    /** What leaves the spouts in a step of what hangs in them. */
    private final double spoutShare;
    private final RigRecipe recipe;
    private final Collection<LogFlaw> flaws;
    private final SimulatedBed bed;
    private final Puck puck;
    /** Of the water that the bed brews with, and that it was last told, °C. */
    private double brewing;
    private double told;
    private final SimulatedMachine machine;
    private final SimulatedScale scale;
    private final RigLog log = new RigLog();
    private final List<PhaseBorder> phases = new ArrayList<>();
    private final ResizableDoubleArray pressures = new ResizableDoubleArray(4096);
    private final double density;
    private double cup;
    private double cupSolids;
    private double spout;
    private double spoutSolids;
    private double leaving;
    private int wetSamples;
    private double waterPumped;
    private final List<Double> resistance = new ArrayList<>();
    private double firstDrip = Double.NaN;
    private double channelOpened = Double.NaN;
    private double pumpOff = Double.NaN;
    private double celsius;
    private double channelSize;
    private int steps;
    private double nextLog;
    private double end = Double.POSITIVE_INFINITY;
    private boolean stopped;
    private Sample latest;

    RigPull(RandomGenerator random, RigRecipe recipe, Collection<LogFlaw> flaws, Settings settings) {
        this.random = random;
        this.recipe = recipe;
        this.flaws = List.copyOf(flaws);
        this.settings = settings;
        this.channelSize = settings.channelSize;
        this.step = settings.grid.step();
        this.spoutShare = -StrictMath.expm1(-step / SPOUT_SECONDS);
        SimulatedCoffee coffee = recipe.puck().coffee();
        SimulatedCoffee prepared = new SimulatedCoffee(coffee.solubleShare() * (1 + 0.004 * random.nextGaussian()),
                coffee.drag() * StrictMath.exp(SHOT_TO_SHOT * random.nextGaussian()), coffee.hardness());
        brewing = target(recipe, 0);
        told = brewing;
        puck = recipe.puck().of(prepared);
        bed = new SimulatedBed(BedParameters.of(puck.at(brewing)).inLayers(settings.grid.layers()));
        MachineSettings rig = MachineSettings.RIG_1;
        machine = new SimulatedMachine(rig, recipe.profile(),
                Math.max(4, rig.headspace() - 1.6 * (recipe.puck().doseGrams() - 18)));
        scale = new SimulatedScale(random, this.flaws.contains(LogFlaw.SCALE_LAG) ? 1.0 + 0.6 * random.nextDouble()
                : USUAL_SCALE_DELAY, step);
        density = Water.density(recipe.puck().celsius()) / 1000;
        celsius = brewing - 4;
        phases.add(new PhaseBorder(PhaseKind.WETTING, 0));
    }

    /** Goes on to the next sample. {@return whether there was one: not when nothing drips any more} */
    public boolean next() {
        while (steps * step < end) {
            double t = steps * step;
            if (running() && (stopped || scale.shown() >= recipe.stopGrams() || t >= recipe.stopSeconds())) {
                pumpOff = t;
                end = t + DRIP_OUT_SECONDS;
                phases.add(new PhaseBorder(PhaseKind.DRIP_OUT, t));
            }
            boolean due = t >= nextLog - 1e-9;
            if (due) {
                write(nextLog);
                note();
                nextLog += SimulatedRig.LOG_STEP;
            }
            advance(t);
            pressures.addElement(machine.pressure());
            steps++;
            if (due) {
                return true;
            }
        }
        return false;
    }

    /** {@return whether the pump runs} */
    public boolean running() {
        return Double.isNaN(pumpOff);
    }

    /** Stops the pump before its time. */
    public void stop() {
        stopped = true;
    }

    /** {@return the sample that {@link #next} has come to; null before the first} */
    public Sample latest() {
        return latest;
    }

    /**
     * {@return the shot, with strength read three times}
     *
     * @throws IllegalStateException while it is under way
     */
    public SimulatedShot shot() {
        if (steps * step < end) {
            throw new IllegalStateException("the shot is still under way");
        }
        TruePhases.addMain(phases, pressures.getElements(), step, pumpOff);
        if (!flaws.isEmpty()) {
            new FlawedLog(log, random, firstDrip, pumpOff).spoil(flaws);
        }
        double[] course = resistance.stream().mapToDouble(r -> r).toArray();
        Truth truth = new Truth(cup, cupSolids, new Truth.Moments(firstDrip, pumpOff, channelOpened, phases),
                waterPumped, bed.waterHeld(), new UniformCurve(0, SimulatedRig.LOG_STEP, Samples.of(course)),
                List.copyOf(flaws));
        SimulatedRefractometer refractometer = new SimulatedRefractometer(random);
        return new SimulatedShot(log.rounded(settings.logsSteps), refractometer.read(truth.strengthPercent(), 3),
                refractometer.zero(), truth);
    }

    private void note() {
        if (running()) {
            wetSamples = bed.wet() ? wetSamples + 1 : 0;
            // The sample in which the front arrives is wet for part of its time only.
            boolean streams = wetSamples > 3 && leaving > 0;
            resistance.add(streams ? machine.pressure() / leaving : Double.NaN);
        }
    }

    private void advance(double t) {
        double pressure = machine.pressure();
        double into = bed.flow(pressure);
        double past = bed.channelFlow(pressure);
        boolean running = running();
        if (running) {
            machine.run(into + past, step);
            waterPumped += machine.pumped() * step;
        } else {
            machine.release(into + past, step);
        }
        double water = bed.waterOut();
        double solids = bed.solidsOut();
        double before = cup;
        bed.advance(into, pressure, step);
        leaving = ((bed.waterOut() - water) * density + bed.solidsOut() - solids) / step;
        intoCup((bed.waterOut() - water) * density, bed.solidsOut() - solids);
        scale.weigh(cup);
        heat();
        if (Double.isNaN(firstDrip) && cup >= DROP_GRAMS) {
            firstDrip = t + step * (DROP_GRAMS - before) / (cup - before);
        }
        if (running) {
            follow(t + step);
        }
    }

    private void heat() {
        double target = target(recipe, machine.step());
        celsius += (target - celsius) * step / HEATING_SECONDS;
        brewing += (target - brewing) * step / HEATING_SECONDS;
        if (Math.abs(brewing - told) > SAME_HEAT) {
            told = brewing;
            bed.heat(BedParameters.of(puck.at(brewing)).inLayers(settings.grid.layers()));
        }
    }

    private static double target(RigRecipe recipe, int step) {
        return recipe.profile().steps().get(step).water().orElse(recipe.puck().celsius());
    }

    /** What leaves the bed hangs in the spouts for a moment. */
    private void intoCup(double water, double solids) {
        spout += water + solids;
        spoutSolids += solids;
        cup += spout * spoutShare;
        cupSolids += spoutSolids * spoutShare;
        spout -= spout * spoutShare;
        spoutSolids -= spoutSolids * spoutShare;
        if (channelSize > 0 && cup > 0.45 * recipe.stopGrams()) {
            bed.channel(channelSize * 1.6 / 8);
            channelOpened = steps * step;
            channelSize = 0;
        }
    }

    private void follow(double t) {
        boolean moved = machine.moveOn(scale.shown(), Double.isNaN(firstDrip) ? -1 : t - firstDrip);
        PhaseKind last = phases.get(phases.size() - 1).kind();
        boolean wetting = last == PhaseKind.WETTING;
        if (wetting ? !machine.full() : !moved) {
            return;
        }
        ProfileStep now = recipe.profile().steps().get(machine.step());
        PhaseKind named = PhaseKind.ofStep(now.name());
        // The rise to a held pressure is a ramp, whatever the step that makes it is called.
        PhaseKind begun = named == PhaseKind.MAIN && now.target() == Target.PRESSURE ? PhaseKind.RAMP : named;
        if ((last != PhaseKind.RAMP || named != PhaseKind.MAIN) && begun != last) {
            phases.add(new PhaseBorder(begun, t));
        }
    }

    private void write(double t) {
        double pressure = Math.max(0, machine.pressure() + 0.035 * random.nextGaussian());
        double flow = machine.pumped() < 0.01 ? 0 : Math.max(0, machine.pumped() + 0.05 * random.nextGaussian());
        latest = new Sample(t, pressure, flow, scale.reading(), celsius + 0.06 * random.nextGaussian(),
                machine.step() + 1);
        log.add(latest);
    }
}
