package org.grenu.core.recovery;

import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.otherlab.OtherLab;
import org.grenu.core.otherlab.OtherShot;
import org.grenu.core.thirdlab.ThirdLab;
import org.grenu.core.thirdlab.ThirdShot;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.rig.LogFlaw;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.grenu.core.rig.SimulatedShot.Truth;
import org.hipparchus.random.Well19937c;

/** Where known shots come from. One in three breaks open, one in six is logged no longer than to the stop. */
enum Source {
    /** The simulator that ships with the application. */
    PUCK("puck") {
        @Override
        KnownShot draw(long seed, boolean breaks, boolean atStop) {
            Well19937c random = new Well19937c(seed);
            List<LogFlaw> flaws = breaks || atStop || random.nextInt(2) == 0 ? List.of()
                    : List.of(LogFlaw.values()[random.nextInt(LogFlaw.values().length)]);
            DemoProfile profile = DemoProfile.values()[random.nextInt(DemoProfile.values().length)];
            SimulatedCoffee coffee = new SimulatedCoffee(0.23 + 0.05 * random.nextDouble(),
                    0.8 + 0.4 * random.nextDouble(), 0.8 + 0.4 * random.nextDouble());
            RigRecipe recipe = new RigRecipe(new Puck(coffee, 4 + 36 * random.nextDouble(),
                    16 + 4 * random.nextDouble(), 1.9 + 1.2 * random.nextDouble(), 88 + 8 * random.nextDouble()),
                    profile.profile(), 30 + 15 * random.nextDouble(), 120);
            SimulatedRig rig = new SimulatedRig(seed + 7);
            if (breaks) {
                rig.withChannel(0.3 + 1.2 * random.nextDouble());
            }
            KnownShot shot = known(profile.title(), rig.pull(recipe, flaws), flaws);
            return atStop ? shot.until(shot.pumpOff() + 0.25 * random.nextDouble()) : shot;
        }
    },
    /** The other laboratory of the tests. */
    OTHER("other laboratory") {
        @Override
        KnownShot draw(long seed, boolean breaks, boolean atStop) {
            OtherShot shot = OtherLab.pull(seed, breaks, atStop);
            return new KnownShot(shot.machine(), shot.log(), shot.flaws(), false, shot.pumpOn(), shot.pumpOff(),
                    shot.firstDrip(), shot.beverage(), shot.phases(), shot.openTo(), shot.opened(), shot.lost(),
                    shot.seconds(), shot.resistance());
        }
    },
    /** The third source, to which no coefficient is fitted; docs/validation.md says what was chosen in its sight. */
    THIRD("third source") {
        @Override
        KnownShot draw(long seed, boolean breaks, boolean atStop) {
            ThirdShot shot = ThirdLab.pull(seed, breaks, atStop);
            return new KnownShot(shot.kind(), shot.log(), Set.of(), false, shot.pumpOn(), shot.pumpOff(),
                    shot.firstDrip(), shot.beverage(), shot.phases(), shot.openTo(), shot.opened(), shot.lost(),
                    shot.seconds(), shot.resistance());
        }
    };

    private final String title;

    Source(String title) {
        this.title = title;
    }

    String title() {
        return title;
    }

    abstract KnownShot draw(long seed, boolean breaks, boolean atStop);

    /** {@return the shot of that number; the same numbers give the same shots} */
    KnownShot shot(long seed, int index) {
        return draw(1_000_003 * seed + 7919L * index, index % 3 == 1, index % 6 == 2);
    }

    private static KnownShot known(String kind, SimulatedShot shot, Collection<LogFlaw> flaws) {
        Truth truth = shot.truth();
        Set<RepairKind> right = EnumSet.noneOf(RepairKind.class);
        flaws.forEach(flaw -> right.add(flaw.repairedBy()));
        double[] resistance = truth.resistance().values().toArray();
        double[] seconds = new double[resistance.length];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = truth.resistance().time(i);
        }
        double opened = truth.moments().channelSeconds();
        double lost = Double.isNaN(opened) ? 0
                : 1 - truth.resistance().at(Math.ceil(10 * opened) / 10 + 0.1)
                        / truth.resistance().at(Math.floor(10 * opened) / 10);
        return new KnownShot(kind, shot.log(), right, flaws.contains(LogFlaw.SCALE_TIMED_OUT), 0,
                truth.pumpOffSeconds(), truth.firstDripSeconds(), truth.beverageGrams(), truth.phases(), List.of(),
                opened, lost, seconds, resistance);
    }
}
