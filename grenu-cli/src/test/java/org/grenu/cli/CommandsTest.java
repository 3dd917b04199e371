package org.grenu.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.demo.DemoStudy.DemoShot;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class CommandsTest {

    private static final DemoShot SHOT = DemoStudy.shots().get(1);

    @TempDir
    private Path folder;
    private Path file;
    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    @BeforeEach
    void writeShot() throws IOException {
        file = folder.resolve("shot.csv");
        Files.writeString(file, DemoFilesCommand.content(SHOT));
    }

    private int analyse(Object... arguments) {
        return new CommandLine(new AnalyseCommand()).setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .execute(Stream.of(arguments).map(String::valueOf).toArray(String[]::new));
    }

    private JsonNode first() throws IOException {
        return new ObjectMapper().readTree(out.toString()).at("/shots/0");
    }

    /** Handbook §§3–4: the worked example through the whole command. */
    @Test
    void jsonHoldsTheWorkedExample() throws IOException {
        assertThat(analyse(file, "--dose", "18", "--beverage", "41,2", "--strength", "9.41", "--moisture", "3.5",
                "--format", "json")).isZero();
        JsonNode shot = first();
        assertThat(shot.at("/ey_as_dosed_pct/value").asDouble()).isCloseTo(21.538, within(5e-4));
        assertThat(shot.at("/ey_as_dosed_pct/U").asDouble()).isCloseTo(0.157, within(5e-4));
        assertThat(shot.at("/ey_dry_pct/value").asDouble()).isCloseTo(22.32, within(5e-3));
        assertThat(shot.at("/budget/strength").asDouble()).isCloseTo(0.768, within(5e-4));
        assertThat(shot.at("/budget/moisture").asDouble()).isZero();
        assertThat(shot.at("/ratio").asDouble()).isCloseTo(41.2 / 18, within(1e-9));
        assertThat(shot.at("/solids_g").asDouble()).isCloseTo(3.87692, within(1e-9));
    }

    @Test
    void fieldNamesAreStable() throws IOException {
        analyse(file, "--format", "json");
        List<String> names = new ArrayList<>();
        first().fieldNames().forEachRemaining(names::add);
        assertThat(names).contains("file", "dose_g", "beverage_g", "ratio", "strength_pct", "solids_g",
                "ey_as_dosed_pct", "ey_dry_pct",
                "budget", "first_drip_s", "times_s", "peak_pressure_bar", "mean_pressure_bar", "repairs", "findings",
                "phases", "phases_from", "profile", "hydraulics");
        assertThat(first().at("/phases/0/phase").asText()).isEqualTo("wetting");
        assertThat(first().at("/profile/steps/0/ended_by").asText()).isEqualTo("pump_off");
        assertThat(first().at("/hydraulics/peak_resistance_bar_s_per_g/value").asDouble()).isBetween(3.0, 12.0);
        assertThat(first().at("/times_s").has("pump_on_to_pump_off")).isTrue();
        assertThat(first().at("/times_s").has("pump_on_to_last_drip")).isTrue();
        assertThat(first().at("/times_s/first_drip_to_pump_off").asDouble())
                .isCloseTo(SHOT.truth().pumpOffSeconds() - SHOT.truth().firstDripSeconds(), within(0.6));
    }

    @Test
    void unknownIsNullAndTheCurveGivesTheBeverage() throws IOException {
        Path plain = folder.resolve("plain.csv");
        Files.writeString(plain, DemoFilesCommand.content(SHOT).replaceAll("(?m)^#.*\n", ""));
        assertThat(analyse(plain, "--format", "json")).isZero();
        JsonNode shot = first();
        assertThat(shot.at("/beverage_g").asDouble()).isCloseTo(SHOT.truth().beverageGrams(), within(0.2));
        assertThat(shot.at("/beverage_source").asText()).isEqualTo("curve");
        for (String unknown : List.of("/dose_g", "/strength_pct", "/ey_as_dosed_pct", "/ey_dry_pct", "/budget",
                "/ratio")) {
            assertThat(shot.at(unknown).isNull()).as(unknown).isTrue();
        }
    }

    /** What somebody else computed, what is assumed and what is withheld stand beside the numbers, in both formats. */
    @Test
    void doubtsStandBesideTheNumbers() throws IOException {
        Path doubtful = folder.resolve("doubtful.csv");
        String[] lines = DemoFilesCommand.content(SHOT).split("\n");
        Files.writeString(doubtful, "# grenu shot: 1\n# stated_yield_pct: 24.5\n"
                + Stream.of(lines)
                        .skip(1)
                        .filter(line -> !line.startsWith("# beverage") && !line.startsWith("# scale"))
                        .limit(lines.length - 60)
                        .collect(Collectors.joining("\n"))
                + "\n");
        assertThat(analyse(doubtful, "--format", "json")).isZero();
        JsonNode shot = first();
        assertThat(shot.at("/curve_beverage_withheld").asBoolean()).as("the log ends in the stream").isTrue();
        assertThat(shot.at("/beverage_g").isNull()).isTrue();
        assertThat(shot.at("/stated_yield").isNull()).as("there is nothing to hold it against").isTrue();
        assertThat(shot.at("/assumed")).extracting(one -> one.get("entry").asText())
                .contains("scale_resolution_g", "scale_bias_g", "refractometer_bias_pct");
        out.getBuffer().setLength(0);
        assertThat(analyse(doubtful, "--beverage", "40", "--format", "json")).isZero();
        assertThat(first().at("/stated_yield/agrees").asBoolean()).isFalse();
        assertThat(first().at("/stated_yield/explanations/0/assumption").asText()).isNotEmpty();
        out.getBuffer().setLength(0);
        assertThat(analyse(doubtful, "--beverage", "40")).isZero();
        assertThat(out.toString())
                .contains("doubtful.csv: Stated 24.5 %, from its own dose, beverage mass and strength")
                .contains("The curve's beverage mass is withheld")
                .contains("Assumed, since not written down: scale display step 0.1 g, scale bias limit none");
    }

    @Test
    void errorsGoToStandardErrorAndTheOtherFilesAreStillAnalysed() throws IOException {
        Path broken = folder.resolve("broken.csv");
        Files.writeString(broken, "time,pressure\n0,1\n1,abc\n");
        assertThat(analyse(broken, file, folder.resolve("none.csv"), "--format", "json"))
                .isEqualTo(AnalyseCommand.FAILED);
        assertThat(first().at("/file").asText()).isEqualTo(file.toString());
        assertThat(err.toString()).contains("broken.csv, line 3: pressure is “abc”")
                .contains("none.csv: There is no such file.");
    }

    @Test
    void wrongOptionsAreRefusedInWords() {
        assertThat(analyse(file, "--strength", "45")).isEqualTo(2);
        assertThat(err.toString()).contains("--strength: Strength reading must lie between 0 and 40 %.");
        assertThat(analyse(file, "--dose", "abc")).isEqualTo(2);
        assertThat(err.toString()).contains("--dose: “abc” is not a number.");
    }

    @Test
    void theTableIsForPeople() {
        assertThat(analyse(file)).isZero();
        assertThat(out.toString()).contains("EY as dosed %")
                .containsPattern("2[12]\\.\\d\\d ±0\\.16")
                .contains("k = 2");
    }

    @Test
    void simulatedShotsFollowFromTheirSeedAndSaySo() throws IOException {
        Path target = folder.resolve("sim");
        int code = new CommandLine(new SimulateCommand()).setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .execute(target.toString(),
                        "--shots", "2", "--seed", "5", "--profile",
                        "soak: pressure 2.4 until 2 s after drip or 30 s; main: pressure 9", "--flaw", "knocked_scale",
                        "--format", "json", "--beverage", "36");
        assertThat(code).isZero();
        JsonNode shot = new ObjectMapper().readTree(target.resolve("simulated-6.json").toFile());
        assertThat(shot.at("/record/simulated").asBoolean()).isTrue();
        out.getBuffer().setLength(0);
        analyse(target.resolve("simulated-5.json"), "--format", "json");
        assertThat(first().at("/repairs/0/kind").asText()).isEqualTo("scale_knock");
        assertThat(first().at("/profile/steps/0/exit").asText()).isEqualTo("2 s after drip");
        for (String[] bad : new String[][] {{"--flaw", "ghost", "“ghost” is not known. Known: forgotten_tare"},
                {"--dose", "90", "dose must lie between 5.0 and 30.0 g"},
                {"--profile", "nine", "Step 1 of the profile is not understood."}, {"--seed", "5", "exists already"}}) {
            assertThat(new CommandLine(new SimulateCommand()).setErr(new PrintWriter(err))
                    .execute(target.toString(), bad[0], bad[1], "--format", "json")).isEqualTo(2);
            assertThat(err.toString()).contains(bad[2]);
        }
    }

    @Test
    void theDemosFilesReplaceNoOthersAndWhatIsRefusedIsSaidInOneLine() throws IOException {
        Path target = folder.resolve("demo");
        CommandLine command = new CommandLine(new DemoFilesCommand()).setErr(new PrintWriter(err))
                .setExecutionExceptionHandler(new PlainFailures());
        assertThat(command.execute(target.toString())).isZero();
        assertThat(command.execute(target.toString())).as("what is the same stays").isZero();
        Files.writeString(target.resolve(DemoFilesCommand.SHELF), "mine");
        assertThat(command.execute(target.toString())).isEqualTo(1);
        assertThat(err.toString()).contains("is there already and was not replaced").doesNotContain("\tat ");
        assertThat(target.resolve(DemoFilesCommand.SHELF)).hasContent("mine");
        assertThat(command.execute(target.resolve(DemoFilesCommand.SHELF).toString())).isEqualTo(1);
        assertThat(err.toString()).doesNotContain("\tat ");
    }

    @Test
    void aMappingReadsSeveralShotsOfAForeignLog() throws IOException {
        String rows = IntStream.range(0, 600)
                .mapToObj(i -> String.format(Locale.GERMANY, "%d;%.1f;%.1f;1,5", i % 300 * 100,
                        i % 300 < 30 ? 0.1 : i % 300 < 250 ? 9.0 : 0,
                        Math.max(0, Math.min(i % 300, 260) - 70) * 0.2))
                .collect(Collectors.joining("\n"));
        Path log = Files.writeString(folder.resolve("log.txt"), "Zeit;Kanal A;Kanal B;C\n" + rows);
        assertThat(analyse(log)).as("not recognised").isEqualTo(AnalyseCommand.FAILED);
        Path mapping = Files.writeString(folder.resolve("mapping.json"), """
                {"format": "grenu-mapping", "version": 1, "name": "Bench",
                 "table": {"kind": "lines", "delimiter": ";", "decimal_mark": ",", "heading_line": 1, "first_line": 2},
                 "columns": [{"column": "Zeit", "is": "time", "unit": "ms"},
                             {"column": "Kanal A", "is": "pressure", "unit": "bar"},
                             {"column": "Kanal B", "is": "cup_mass", "unit": "g"}],
                 "shots": {"by": "reset"}}""");
        out.getBuffer().setLength(0);
        assertThat(analyse(log, "--mapping", mapping, "--format", "json")).isZero();
        JsonNode shots = new ObjectMapper().readTree(out.toString()).path("shots");
        assertThat(shots).hasSize(2);
        assertThat(shots.get(1).path("file").asText()).isEqualTo(log + "#2");
        assertThat(shots.get(1).path("beverage_g").asDouble()).isCloseTo(38, within(0.2));
        assertThat(analyse(log, "--mapping", folder.resolve("none.json"))).isEqualTo(2);
        assertThat(err.toString()).contains("--mapping: ").contains("There is no such file.");
    }

    @Test
    void theValidationTableIsMarkdown() {
        assertThat(new CommandLine(new ValidateCommand()).setOut(new PrintWriter(out)).execute("--shots", "6"))
                .isZero();
        assertThat(out.toString()).startsWith("# Validation")
                .contains("| first drip | 0.5 s |")
                .contains("| wetting | 6 of 6 |");
    }

    /** The committed demo files are what the simulator gives, so that nobody edits them by hand. */
    @Test
    void demoFilesAreReproduced() throws IOException {
        assertThat(new CommandLine(new DemoFilesCommand()).execute(folder.resolve("demo").toString())).isZero();
        try (Stream<Path> committed = Files.list(Path.of("../demo"))) {
            for (Path path : committed.filter(p -> !p.toString().endsWith(".md")).toList()) {
                assertThat(folder.resolve("demo").resolve(path.getFileName())).hasSameTextualContentAs(path);
            }
        }
    }
}
