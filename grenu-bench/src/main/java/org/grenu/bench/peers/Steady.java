package org.grenu.bench.peers;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import org.grenu.bench.MeasuredStudy;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.formats.ShotReader;
import org.grenu.formats.rules.ShippedPacks;

/**
 * Prints how long one piece of work takes once it is warm, ms: {@code Steady WORK N [FILE]} does it N times to warm up
 * and N
 * times more, of which it prints the median. The peers do the same.
 */
public final class Steady {

    private Steady() {
    }

    /** Arguments: what, how often, and the file where one is read. */
    public static void main(String[] arguments) throws Exception {
        Callable<?> work = work(arguments);
        int times = Integer.parseInt(arguments[1]);
        double[] taken = new double[times];
        int results = 0;
        for (int i = 0; i < 2 * times; i++) {
            long begin = System.nanoTime();
            results += work.call() == null ? 0 : 1;
            taken[i % times] = (System.nanoTime() - begin) / 1e6;
        }
        if (results != 2 * times) {
            throw new IllegalStateException("nothing came of it");
        }
        Arrays.sort(taken);
        System.out.println(taken[times / 2]);
    }

    private static Callable<?> work(String[] arguments) throws IOException {
        return switch (arguments[0]) {
            case "shot" -> {
                byte[] file = Files.readAllBytes(Path.of(arguments[2]));
                yield () -> {
                    Shot shot = ShotReader.read(arguments[2], file).shot();
                    return ShippedPacks.findings(shot.record(), ShotMeasures.of(shot));
                };
            }
            case "compare" -> {
                List<MeasuredShot> shots = MeasuredStudy.shots();
                yield () -> MeasuredStudy.compared(shots);
            }
            case "curves" -> {
                CurveOverlay overlay = MeasuredStudy.overlay(MeasuredStudy.shots());
                yield () -> MeasuredStudy.curvesApart(overlay).orElseThrow();
            }
            case "simulate" -> () -> new SimulatedRig(1).pull(fortyThreeSeconds(), List.of());
            case "preview" -> () -> new SimulatedRig(1).previewing().pull(fortyThreeSeconds(), List.of());
            default -> throw new IllegalArgumentException("no such work: " + arguments[0]);
        };
    }

    private static RigRecipe fortyThreeSeconds() {
        return new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 1.8, 93),
                DemoProfile.STRAIGHT_NINE.profile(), 400, 43);
    }
}
