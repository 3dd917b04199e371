package org.grenu.cli;

import org.grenu.core.quantity.DisplayUnits;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Question;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.demo.DemoStudy.DemoShot;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.formats.ComparisonPackage;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.library.Library;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** Comparing from the command line: the demo study's grinds and profiles, as folder, library, files and package. */
class CompareCommandTest {

    private static final List<DemoShot> SHOTS = DemoStudy.shots().subList(0, 18);

    @TempDir
    private Path temp;
    private Path folder;
    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    @BeforeEach
    void writeShots() throws IOException {
        folder = Files.createDirectory(temp.resolve("study"));
        for (DemoShot shot : SHOTS) {
            Files.writeString(folder.resolve(shot.name() + ".csv"), DemoFilesCommand.content(shot));
        }
    }

    private int compare(Object... arguments) {
        return new CommandLine(new CompareCommand()).setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .execute(Stream.of(arguments).map(String::valueOf).toArray(String[]::new));
    }

    private JsonNode json(Object... arguments) throws IOException {
        out.getBuffer().setLength(0);
        assertThat(compare(Stream.concat(Stream.of(arguments), Stream.of("--format", "json")).toArray())).isZero();
        return new ObjectMapper().readTree(out.toString());
    }

    /** Several effects of these shots moved along with several things. */
    @Test
    void theSameQuestionIsAnsweredInTheSameWordsAndOrder() throws IOException {
        for (DemoShot shot : DemoStudy.shots()) {
            Files.writeString(folder.resolve(shot.name() + ".csv"), DemoFilesCommand.content(shot));
        }
        JsonNode first = json(folder, "--factor", "grind", "--factor", "profile");
        assertThat(first.findValues("confounders")).anyMatch(found -> found.size() > 3);
        for (int i = 0; i < 4; i++) {
            assertThat(json(folder, "--factor", "grind", "--factor", "profile")).isEqualTo(first);
        }
    }

    @Test
    void theTableSaysTheAnswerItsEvidenceAndWhatElseDiffered() {
        assertThat(compare(folder, "--factor", "grind", "--factor", "profile", "--factor", "temperature", "--block",
                "day")).isZero();
        assertThat(out.toString()).startsWith("Grind +0.4 lowers EY as dosed by 1.0")
                .contains("points at equal setting.")
                .contains("Gentle ramp, not Straight nine")
                .contains("repeated, interval excludes zero")
                .contains("Models\n")
                .contains("Where the spread comes from")
                .contains("What else differed")
                .contains("Left out: shots heron-06, heron-13 are marked faulty")
                .contains("± is the 95 % interval");
        assertThat(err.toString()).isEmpty();
    }

    /** The simulator's own truth: finer grind extracts more, hotter water too, and the intervals hold it. */
    @Test
    void jsonHoldsModelEffectsVerdictsAndGuard() throws IOException {
        JsonNode root = json(folder, "--factor", "grind", "--factor", "profile", "--factor", "temperature",
                "--response", "ey_as_dosed", "--response",
                "time_pump_on_to_pump_off", "--margin", "ey_as_dosed=0.1", "--interaction", "grind:profile", "--basis",
                "equal-beverage-mass");
        assertThat(root.at("/basis").asText()).isEqualTo("equal-beverage-mass");
        assertThat(root.at("/basis_at").asDouble()).isBetween(38.0, 40.0);
        assertThat(root.at("/shots")).hasSize(16);
        assertThat(root.at("/left_out_as_faulty")).hasSize(2);
        JsonNode yield = root.at("/responses/0");
        assertThat(yield.at("/margin").asDouble()).isEqualTo(0.1);
        assertThat(yield.at("/effects/0/factor").asText()).isEqualTo("grind");
        assertThat(yield.at("/effects/0/verdict").asText()).isEqualTo("differs");
        assertThat(yield.at("/effects/0/estimate").asDouble()).isNegative();
        assertThat(yield.at("/tests").findValuesAsText("term")).contains("Grind × Profile", "Beverage mass");
        assertThat(yield.at("/points")).hasSize(16);
        double sum = 0;
        for (JsonNode source : yield.at("/variance_from")) {
            sum += source.asDouble();
        }
        assertThat(Math.sqrt(sum)).isCloseTo(yield.at("/spread").asDouble(), within(1e-9));
        assertThat(root.at("/responses/1/model").asText()).contains("Read off each shot's own curve");
        assertThat(root.at("/guard").findValuesAsText("kind")).contains("same").doesNotContain("confounded");
    }

    @Test
    void aLibraryAFolderFilesAndAPackageGiveTheSameAnswer() throws IOException {
        Path file = temp.resolve("shots.sqlite");
        try (Library library = Library.open(file)) {
            for (DemoShot shot : SHOTS) {
                library.write(tx -> tx.shots()
                        .add(shot.name() + ".csv", DemoFilesCommand.content(shot).getBytes(StandardCharsets.UTF_8),
                                shot.shot()));
            }
        }
        Question question = new Question(
                List.of(Variable.of(RecordFactor.GRIND), new Variable.Treatment(RecordFactor.TEMPERATURE, true)),
                List.of(),
                List.of(StandardResponse.EY_AS_DOSED), ComparisonBasis.EQUAL_SETTING, Optional.of(RecordFactor.DAY),
                new Question.Judging(Map.of("ey_as_dosed", 0.25), Map.of(), true), DisplayUnits.CANONICAL);
        Map<String, Shot> logged = new HashMap<>();
        SHOTS.forEach(shot -> logged.put(shot.name(), shot.shot()));
        Comparison comparison = Comparison.of(question,
                SHOTS.stream()
                        .map(shot -> new MeasuredShot(shot.name(), shot.shot().record(), ShotMeasures.of(shot.shot())))
                        .toList());
        Path zip = Files.write(temp.resolve("comparison.zip"), ComparisonPackage.write(comparison, logged));
        assertThat(ComparisonPackage.options(question)).isEqualTo(
                "--factor \"grind\" --factor \"temperature:levels\" --response \"ey_as_dosed\" --basis equal-setting"
                        + " --block \"day\" --margin \"ey_as_dosed=0.25\" --holm");
        Object[] options = ComparisonPackage.options(question).replace("\"", "").split(" ");
        String expected = comparison.sentence().headline();
        for (Path source : List.of(folder, file, zip)) {
            JsonNode root = json(Stream.concat(Stream.of(source), Stream.of(options)).toArray());
            assertThat(root.at("/sentence").asText()).as("%s", source).isEqualTo(expected);
            assertThat(root.at("/responses/0/effects/0/estimate").asDouble()).isCloseTo(
                    comparison.answers().get(0).effects().get(0).estimate().orElseThrow().value(), within(1e-9));
        }
        assertThat(ComparisonPackage.write(comparison, logged)).as("the same bytes again")
                .isEqualTo(Files.readAllBytes(zip));
    }

    @Test
    void aFilterPicksAndAPairIsBadged() throws IOException {
        JsonNode root = json(folder, "--factor", "grind", "--response", "ey_as_dosed", "--shots",
                "profile:nine temperature:93 grind<2.5 heron-0");
        assertThat(root.at("/shots")).extracting(JsonNode::asText).containsExactly("heron-01", "heron-02");
        assertThat(root.at("/pair").asText())
                .isEqualTo("2 things changed: grind 2.4 → 2.2, operator Operator 1 → Operator 2");
        assertThat(root.at("/responses/0/effects/0/verdict").asText()).isEqualTo("seen_once");
        assertThat(root.at("/responses/0/effects/0/evidence").asText()).isEqualTo("seen once");
    }

    @Test
    void whatCannotBeUsedIsNamedWithWhatCan() throws IOException {
        assertThat(compare(folder, "--factor", "griind")).isEqualTo(2);
        assertThat(err.toString()).contains("--factor: “griind” is not known. There are grind, temperature");
        err.getBuffer().setLength(0);
        assertThat(compare(folder, "--factor", "grind", "--response", "crema")).isEqualTo(2);
        assertThat(err.toString()).contains("--response: “crema” is not known").contains("peak_resistance");
        err.getBuffer().setLength(0);
        assertThat(compare(folder, "--factor", "grind", "--margin", "strength=-1")).isEqualTo(2);
        assertThat(err.toString()).contains("must be a response and a number that is not negative");
        err.getBuffer().setLength(0);
        assertThat(compare(folder, "--factor", "grind", "--interaction", "grind")).isEqualTo(2);
        assertThat(err.toString()).contains("--interaction: “grind” must name two of the factors");
        err.getBuffer().setLength(0);
        assertThat(compare(folder, "--factor", "grind", "--shots", "coffee:none")).isEqualTo(2);
        assertThat(err.toString()).contains("no shot is left to compare. Check --shots.");
        err.getBuffer().setLength(0);
        Files.writeString(folder.resolve("broken.csv"), "time [s],pressure [bar]\n0,1\nx,2\n");
        assertThat(compare(folder, temp.resolve("nowhere"), "--factor", "grind")).isEqualTo(2);
        assertThat(err.toString()).contains("broken.csv").contains("nowhere: There is no such file");
        assertThat(out.toString()).as("the others are compared all the same").contains("16 shots");
    }

    /** Entries that the user made up are factors and responses by their names. */
    @Test
    void ownEntriesAreFactorsAndResponses() throws IOException {
        Path own = Files.createDirectory(temp.resolve("own"));
        for (int i = 0; i < 8; i++) {
            DemoShot shot = SHOTS.get(i == 5 ? 9 : i);
            Shot noted = shot.shot()
                    .with(shot.shot()
                            .record()
                            .withExtra("beans frozen", i % 2 == 0 ? "yes" : "no")
                            .withExtra("crema", 10 + i % 2 + 0.01 * i + " mm"));
            Files.writeString(own.resolve("s" + i + ".csv"), ShotCsvWriter.write(noted));
        }
        JsonNode root = json(own, "--factor", "beans frozen", "--response", "crema", "--margin", "crema=0.2");
        assertThat(root.at("/responses/0/unit").asText()).isEqualTo("mm");
        assertThat(root.at("/responses/0/margin").asDouble()).isEqualTo(0.2);
        assertThat(root.at("/responses/0/effects/0/change").asText()).isEqualTo("no, not yes");
        assertThat(root.at("/responses/0/effects/0/estimate").asDouble()).isCloseTo(1.01, within(1e-6));
        assertThat(root.at("/responses/0/effects/0/verdict").asText()).isEqualTo("differs");
        JsonNode number = json(own, "--factor", "crema:levels", "--response", "strength");
        assertThat(number.at("/factors/0").asText()).isEqualTo("crema");
    }

    /**
     * A file that only looks like a library, and a zip that holds no shots, are said; nothing is written beside
     * them.
     */
    @Test
    void damagedSourcesAreSaid() throws IOException {
        Path damaged = Files.writeString(temp.resolve("library.sqlite"), "SQLite format 3\0 and then nothing of it");
        assertThat(compare(damaged, "--factor", "grind")).isEqualTo(2);
        assertThat(err.toString()).contains("library.sqlite").contains("no shot is left to compare. Check the paths.");
        err.getBuffer().setLength(0);
        Path cut = Files.write(temp.resolve("cut.zip"), new byte[] {'P', 'K', 3, 4, 0, 0});
        assertThat(compare(cut, "--factor", "grind")).isEqualTo(2);
        assertThat(err.toString()).contains("cut.zip: This is not a zip file, or it is damaged");
    }

    /** Few coffees, to see the command at work; docs/dial-in.md has the numbers. */
    @Test
    void diallingInIsValidatedAsMarkdown() {
        assertThat(new CommandLine(new ValidateCommand()).setOut(new PrintWriter(out)).execute("--dial-in", "10"))
                .isZero();
        assertThat(out.toString()).contains("for 10 coffees of each law")
                .contains("| learnt | ")
                .contains("| halving | ")
                .contains("that the grinder cannot be set to: 0.");
        assertThat(new CommandLine(new ValidateCommand()).setErr(new PrintWriter(err)).execute("--dial-in", "-1"))
                .isEqualTo(2);
    }

    /** Few studies from small pools, to see the command at work; docs/validation.md has the numbers. */
    @Test
    void comparisonsAreValidatedAsMarkdown() {
        int code = new CommandLine(new ValidateCommand()).setOut(new PrintWriter(out))
                .execute("--comparisons", "40", "--pool", "40");
        assertThat(code).isZero();
        assertThat(out.toString()).contains("## Comparisons")
                .contains("| 95 % interval holds the true difference |")
                .contains("random intercept")
                .contains("curves of alike shots");
        assertThat(new CommandLine(new ValidateCommand()).setErr(new PrintWriter(err)).execute("--comparisons", "-1"))
                .isEqualTo(2);
    }
}
