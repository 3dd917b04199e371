package org.grenu.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.extraction.Input;
import org.grenu.core.extraction.StatedYield;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Assumed;
import org.grenu.core.record.Masses;
import org.grenu.core.record.StatedYields;
import org.grenu.formats.rules.ShippedPacks;

/** The JSON of {@code analyse}. Field names are part of the interface: add, never rename; see docs/cli.md. */
final class AnalysisJson implements AnalysisOutput {

    private static final ObjectMapper JSON = new ObjectMapper();

    /** A document with one shot less the shot, which begins and ends every document. */
    private static final String BEFORE = "{\n  \"shots\" : [ ";
    private static final String AFTER = " ]\n}";

    private final PrintWriter out;
    private boolean begun;

    AnalysisJson(PrintWriter out) {
        this.out = out;
    }

    @Override
    public Runnable ready(AnalysedShot shot) {
        ObjectNode root = JSON.createObjectNode();
        shot(root.putArray("shots").addObject(), shot);
        try {
            String alone = JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root);
            String text = alone.substring(BEFORE.length(), alone.length() - AFTER.length());
            return () -> {
                out.print(begun ? ", " : BEFORE);
                out.print(text);
                begun = true;
            };
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    @Override
    public void finish() {
        out.print((begun ? "" : BEFORE.stripTrailing()) + AFTER + "\n");
    }

    private static void shot(ObjectNode node, AnalysedShot shot) {
        Masses masses = shot.measures().masses();
        Optional<Brew> brew = masses.brew();
        node.put("file", shot.file());
        put(node, "dose_g", masses.dose());
        put(node, "beverage_g", masses.beverage());
        node.put("beverage_source", masses.beverageSource().name().toLowerCase(Locale.ROOT));
        put(node, "ratio", masses.ratio());
        put(node, "strength_pct", masses.strength());
        put(node, "solids_g", masses.solids());
        Optional<ExtractionYield> asDosed = brew.map(Brew::asDosed);
        Optional<ExtractionYield> dry = brew.flatMap(Brew::dry);
        extraction(node, "ey_as_dosed_pct", asDosed);
        extraction(node, "ey_dry_pct", dry);
        stated(node, StatedYields.of(shot.shot().record(), shot.measures()));
        budget(node, "budget", asDosed, masses.moisture().isPresent());
        budget(node, "budget_dry", dry, true);
        ArrayNode assumed = node.putArray("assumed");
        Assumed.in(shot.shot().record())
                .forEach(one -> assumed.addObject().put("entry", one.field().key()).put("value", one.value()));
        node.put("curve_beverage_withheld", shot.measures().curve().beverageWithheld());
        times(node, shot);
        put(node, "peak_pressure_bar", shot.measures().curve().peakPressure());
        put(node, "mean_pressure_bar", shot.measures().curve().meanPressure());
        PuckJson.phases(node, shot.measures());
        PuckJson.planned(node, shot.measures());
        PuckJson.hydraulics(node.putObject("hydraulics"), shot.measures().hydraulics());
        repairs(node.putArray("repairs"), shot.measures().curve().repaired().repairs());
        findings(node.putArray("findings"), ShippedPacks.findings(shot.shot().record(), shot.measures()));
        shot.assumptions().forEach(node.putArray("assumptions")::add);
    }

    /** An extraction yield that the file stated, against the shot's own; null where there is none. */
    private static void stated(ObjectNode node, Optional<StatedYield> stated) {
        if (stated.isEmpty()) {
            node.putNull("stated_yield");
            return;
        }
        ObjectNode held = node.putObject("stated_yield")
                .put("stated_pct", stated.get().stated())
                .put("own_as_dosed_pct", stated.get().own())
                .put("agrees", stated.get().agrees());
        ArrayNode explanations = held.putArray("explanations");
        stated.get()
                .explanations()
                .forEach(one -> explanations.addObject()
                        .put("assumption", one.assumption().name().toLowerCase(Locale.ROOT))
                        .put("number", one.number())
                        .put("written_down_as", one.source().orElse(null))
                        .put("words", one.words()));
    }

    private static void times(ObjectNode node, AnalysedShot shot) {
        Optional<TimedEvent> drip = shot.measures().curve().times().firstDrip();
        put(node, "first_drip_s", drip.isPresent() ? OptionalDouble.of(drip.get().seconds()) : OptionalDouble.empty());
        ObjectNode times = node.putObject("times_s");
        for (TimeConvention convention : TimeConvention.values()) {
            put(times, convention.key(), convention.of(shot.measures().curve().times()));
        }
    }

    private static void extraction(ObjectNode node, String name, Optional<ExtractionYield> yield) {
        if (yield.isEmpty()) {
            node.putNull(name);
            return;
        }
        Measured percent = yield.get().percent();
        node.putObject(name).put("value", percent.value()).put("u", percent.u()).put("U", percent.expanded());
    }

    /** Shares of variance, 0–1. The moisture's share is null while the moisture is unknown. */
    private static void budget(ObjectNode node, String name, Optional<ExtractionYield> yield, boolean moistureKnown) {
        if (yield.isEmpty()) {
            node.putNull(name);
            return;
        }
        ObjectNode budget = node.putObject(name);
        for (Input input : Input.values()) {
            String key = input.name().toLowerCase(Locale.ROOT);
            if (input == Input.MOISTURE && !moistureKnown) {
                budget.putNull(key);
            } else {
                budget.put(key, yield.get().budget().share(input));
            }
        }
    }

    private static void repairs(ArrayNode array, List<Repair> repairs) {
        for (Repair repair : repairs) {
            array.addObject()
                    .put("kind", repair.kind().key())
                    .put("from_s", repair.fromSeconds())
                    .put("to_s", repair.toSeconds())
                    .put("evidence", repair.evidence())
                    .put("applied", repair.applied());
        }
    }

    private static void findings(ArrayNode array, List<Finding> findings) {
        for (Finding finding : findings) {
            ObjectNode node = array.addObject()
                    .put("rule", finding.rule())
                    .put("severity", finding.severity().name().toLowerCase(Locale.ROOT))
                    .put("statement", finding.statement())
                    .put("evidence", finding.evidence());
            put(node, "at_s", finding.atSeconds());
            node.put("confidence", finding.confidence())
                    .put("try", finding.toTry())
                    .put("next", finding.next())
                    .put("school", finding.school());
        }
    }

    private static void put(ObjectNode node, String name, Optional<Measured> measured) {
        put(node, name, measured.isPresent() ? OptionalDouble.of(measured.get().value()) : OptionalDouble.empty());
    }

    static void put(ObjectNode node, String name, OptionalDouble number) {
        if (number.isPresent() && Double.isFinite(number.getAsDouble())) {
            node.put(name, number.getAsDouble());
        } else {
            node.putNull(name);
        }
    }
}
