package org.grenu.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.demo.DemoStudy.DemoShot;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.record.RecordField;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;

/** The batch command over the files that ship with the application, against what the simulator knows. */
class AnalyseDemoTest {

    private static final List<DemoShot> TRUTH = DemoStudy.shots();
    private static final List<String> FILES = TRUTH.stream()
            .map(shot -> Path.of("../demo", DemoFilesCommand.fileName(shot)).toString())
            .toList();

    private static String run(String... options) {
        StringWriter out = new StringWriter();
        List<String> arguments = new ArrayList<>(FILES);
        arguments.addAll(List.of(options));
        int code = new CommandLine(new AnalyseCommand()).setOut(new PrintWriter(out))
                .execute(arguments.toArray(String[]::new));
        assertThat(code).isZero();
        return out.toString();
    }

    @Test
    void everyShotIsFoundAsItWasSimulated() throws IOException {
        JsonNode shots = new ObjectMapper().readTree(run("--format", "json")).path("shots");
        assertThat(shots).hasSize(TRUTH.size());
        for (int i = 0; i < TRUTH.size(); i++) {
            DemoShot truth = TRUTH.get(i);
            JsonNode shot = shots.get(i);
            assertThat(shot.path("file").asText()).isEqualTo(FILES.get(i));
            assertThat(shot.at("/times_s/pump_on_to_pump_off").asDouble()).as(truth.name())
                    .isCloseTo(truth.truth().pumpOffSeconds(), within(0.5));
            if (!truth.shot().record().numbers(RecordField.READINGS).isEmpty()) {
                double yield = truth.truth().strengthPercent() * truth.truth().beverageGrams()
                        / shot.path("dose_g").asDouble();
                double expanded = shot.at("/ey_as_dosed_pct/U").asDouble();
                // k = 2 leaves one shot in twenty outside; half as much again leaves next to none.
                assertThat(shot.at("/ey_as_dosed_pct/value").asDouble()).as(truth.name())
                        .isCloseTo(yield, within(1.5 * expanded));
                assertThat(shot.at("/ey_dry_pct/value").asDouble())
                        .isCloseTo(shot.at("/ey_as_dosed_pct/value").asDouble() / 0.982, within(1e-9));
                double shares = IntStream.of(0, 1, 2, 3)
                        .mapToDouble(k -> shot
                                .at("/budget_dry/" + List.of("strength", "beverage", "dose", "moisture").get(k))
                                .asDouble())
                        .sum();
                assertThat(shares).isCloseTo(1, within(1e-9));
            }
        }
    }

    @Test
    void withoutAWeighedMassTheCurveIsUsedAndAgrees() throws IOException {
        JsonNode weighed = new ObjectMapper().readTree(run("--format", "json")).path("shots");
        for (int i = 0; i < TRUTH.size(); i++) {
            JsonNode shot = weighed.get(i);
            assertThat(shot.path("beverage_source").asText()).isEqualTo(
                    TRUTH.get(i).shot().record().numbers(RecordField.READINGS).isEmpty() ? "curve" : "weighed");
        }
        JsonNode knocked = weighed.get(4);
        assertThat(knocked.at("/repairs/0/kind").asText()).isEqualTo("scale_knock");
        assertThat(knocked.at("/repairs/0/applied").asBoolean()).isTrue();
        assertThat(weighed.get(5).at("/findings/0/rule").asText()).isEqualTo("no_drip");
        assertThat(weighed.get(5).path("first_drip_s").isNull()).isTrue();
    }

    /** Phases, their ends, the profile's steps and the puck's water, as whoever reads the JSON gets them. */
    @Test
    void phasesStepsAndHydraulicsAreAsSimulated() throws IOException {
        JsonNode shots = new ObjectMapper().readTree(run("--format", "json")).path("shots");
        int channels = 0;
        int bordersRight = 0;
        for (int i = 0; i < TRUTH.size(); i++) {
            DemoShot truth = TRUTH.get(i);
            JsonNode shot = shots.get(i);
            JsonNode phases = shot.path("phases");
            List<PhaseBorder> simulated = truth.truth().phases();
            boolean right = phases.size() == simulated.size();
            for (int k = 0; k < phases.size(); k++) {
                right = right && phases.get(k).path("phase").asText().equals(simulated.get(k).kind().key())
                        && Math.abs(phases.get(k).path("from_s").asDouble() - simulated.get(k).seconds()) < 0.8;
                assertThat(phases.get(k).path("ended_by").asText()).as(truth.name())
                        .isIn("condition", "time_limit", "mass", "pump_off", "operator", "end_of_log", "unknown");
                assertThat(phases.get(k).path("to_s").asDouble())
                        .isGreaterThan(phases.get(k).path("from_s").asDouble());
            }
            bordersRight += right ? 1 : 0;
            assertThat(shot.at("/profile/steps").size()).as(truth.name()).isPositive();
            JsonNode water = shot.at("/hydraulics/water");
            if (!water.isNull() && !water.path("kept_g").isNull()) {
                assertThat(water.at("/pumped_g/value").asDouble()).as("what is pumped is in the cup or kept")
                        .isCloseTo(water.at("/in_beverage_g/value").asDouble() + water.at("/kept_g/value").asDouble(),
                                within(1e-6));
            }
            boolean found = !shot.at("/hydraulics/channel_sign").isNull();
            channels += found ? 1 : 0;
        }
        assertThat(bordersRight).as("shots whose every border is within 0.8 s")
                .isGreaterThanOrEqualTo(TRUTH.size() * 95 / 100 - 1);
        assertThat(channels).as("channel signs").isBetween(1, 4);
        assertThat(shots.get(25).at("/hydraulics/channel_sign/likelihood").asDouble()).isGreaterThan(0.5);
    }

    @Test
    void theTableLinesUpAndNamesWhatWasRepaired() {
        List<String> lines = run().lines().toList();
        List<String> rows = lines.subList(0, TRUTH.size() + 1);
        int end = rows.get(1).indexOf("±");
        assertThat(end).isPositive();
        assertThat(rows).allMatch(row -> row.startsWith("file") || row.startsWith(".."));
        for (String row : rows.subList(1, 5)) {
            assertThat(row.indexOf("±")).as(row).isEqualTo(end);
        }
        assertThat(lines).anyMatch(line -> line.contains("knock on the scale bridged"));
        assertThat(lines.get(lines.size() - 1))
                .isEqualTo("± is the expanded uncertainty, k = 2, or more where few readings scatter.");
    }
}
