package org.grenu.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.hydraulics.Hydraulics;
import org.grenu.core.phase.Phase;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.StepRun;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.ShotMeasures;

/** Phases, step exits and hydraulics in the JSON of {@code analyse}. */
final class PuckJson {

    private PuckJson() {
    }

    static void phases(ObjectNode node, ShotMeasures measures) {
        node.put("phases_from", measures.phases().origin().name().toLowerCase(Locale.ROOT));
        ArrayNode phases = node.putArray("phases");
        for (Phase phase : measures.phases().phases()) {
            ObjectNode item = phases.addObject()
                    .put("phase", phase.kind().key())
                    .put("from_s", phase.from())
                    .put("to_s", phase.to())
                    .put("ended_by", phase.ending().kind().name().toLowerCase(Locale.ROOT))
                    .put("ending", phase.ending().text());
            channels(item, phase);
        }
    }

    private static void channels(ObjectNode item, Phase phase) {
        ObjectNode channels = item.putObject("channels");
        phase.courses()
                .entrySet()
                .stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(course -> channels.putObject(course.getKey().key())
                        .put("mean", course.getValue().mean())
                        .put("slope_per_s", course.getValue().slope()));
    }

    /** {@code null} when no profile is recorded. */
    static void planned(ObjectNode node, ShotMeasures measures) {
        Optional<PlannedRun> run = measures.planned();
        if (run.isEmpty()) {
            node.putNull("profile");
            return;
        }
        ObjectNode profile = node.putObject("profile");
        AnalysisJson.put(profile, "inside_share", run.get().inside());
        profile.put("steps_logged", run.get().fromSteps());
        ArrayNode steps = profile.putArray("steps");
        for (StepRun step : run.get().steps()) {
            step(steps, step);
        }
    }

    private static void step(ArrayNode steps, StepRun step) {
        ObjectNode item = steps.addObject()
                .put("step", step.step().name())
                .put("from_s", step.fromSeconds())
                .put("to_s", step.toSeconds())
                .put("ended_by", step.ending().name().toLowerCase(Locale.ROOT));
        step.exit().ifPresentOrElse(exit -> item.put("exit", exit.told()), () -> item.putNull("exit"));
        AnalysisJson.put(item, "distance_rms", OptionalDouble.of(step.distance()));
        AnalysisJson.put(item, "inside_share", OptionalDouble.of(step.inside()));
    }

    static void hydraulics(ObjectNode node, Hydraulics hydraulics) {
        measured(node, "peak_resistance_bar_s_per_g", hydraulics.peak());
        AnalysisJson.put(node, "peak_resistance_at_s", OptionalDouble.of(hydraulics.peakSeconds()));
        measured(node, "erosion_pct_per_s", hydraulics.erosion());
        measured(node, "permeability_m2", hydraulics.permeability());
        channel(node, hydraulics);
        hydraulics.balance().ifPresentOrElse(balance -> {
            ObjectNode water = node.putObject("water");
            measured(water, "pumped_g", Optional.of(balance.pumped()));
            measured(water, "in_beverage_g", Optional.of(balance.beverageWater()));
            measured(water, "kept_g", Optional.of(balance.kept()));
            measured(water, "kept_per_g_dose", balance.keptPerGram());
        }, () -> node.putNull("water"));
    }

    private static void channel(ObjectNode node, Hydraulics hydraulics) {
        hydraulics.channel()
                .ifPresentOrElse(sign -> node.putObject("channel_sign")
                        .put("at_s", sign.seconds())
                        .put("fall_share", sign.fall())
                        .put("fall_share_u", sign.fallU())
                        .put("over_s", sign.overSeconds())
                        .put("likelihood", sign.likelihood()), () -> node.putNull("channel_sign"));
    }

    private static void measured(ObjectNode node, String name, Optional<Measured> measured) {
        if (measured.isPresent()) {
            node.putObject(name).put("value", measured.get().value()).put("u", measured.get().u());
        } else {
            node.putNull(name);
        }
    }
}
