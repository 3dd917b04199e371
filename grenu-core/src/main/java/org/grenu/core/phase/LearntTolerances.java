package org.grenu.core.phase;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.StepRun;

/**
 * Corridors as wide as the shots that were accepted: of every step so wide that nineteen twentieths of the time of
 * those shots lie within.
 *
 * @param profile with those corridors; a step that no shot reached or logged keeps its own
 * @param shots   that it was learnt from
 */
public record LearntTolerances(Profile profile, int shots) {

    private static final double SHARE = 0.95;
    private static final double LEAST = 0.1;
    private static final double GRID = 0.1;

    /** {@return that profile with corridors learnt from those shots} */
    public static LearntTolerances of(Profile profile, List<CurveMeasures> accepted) {
        List<List<Double>> off = new ArrayList<>();
        profile.steps().forEach(step -> off.add(new ArrayList<>()));
        int shots = 0;
        for (CurveMeasures measures : accepted) {
            List<StepRun> runs = PlannedRun.of(profile, measures).map(PlannedRun::steps).orElse(List.of());
            shots += runs.isEmpty() ? 0 : 1;
            for (int i = 0; i < runs.size(); i++) {
                collect(runs.get(i), measures, off.get(i));
            }
        }
        Profile learnt = profile;
        for (int i = 0; i < off.size(); i++) {
            double[] sorted = off.get(i).stream().mapToDouble(Double::doubleValue).sorted().toArray();
            if (sorted.length > 0) {
                double wide = sorted[(int) Math.ceil(SHARE * sorted.length) - 1];
                learnt = learnt.with(i,
                        learnt.steps().get(i).within(Math.max(LEAST, Math.ceil(wide * 10 - 1e-9) / 10)));
            }
        }
        return new LearntTolerances(learnt, shots);
    }

    private static void collect(StepRun run, CurveMeasures measures, List<Double> off) {
        measures.find(run.step().target().channel()).ifPresent((UniformCurve held) -> {
            for (double at = run.fromSeconds(); at <= run.toSeconds(); at += GRID) {
                double apart = Math.abs(held.at(at) - run.targetAt(at));
                if (Double.isFinite(apart)) {
                    off.add(apart);
                }
            }
        });
    }

}
