package org.grenu.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.grenu.core.compare.MisleadingStudies;
import org.grenu.core.record.Shot;
import org.grenu.formats.ShotCsvWriter;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

/** What an answer has to be held against is said on the command line, too: as a table and as JSON. */
class MisleadingStudiesCommandTest {

    @TempDir
    private Path folder;

    private String compare(MisleadingStudies.Study study, String format) {
        List<String> arguments = new ArrayList<>(
                List.of(folder.toString(), "--response", "ey_as_dosed", "--format", format));
        arguments.addAll(List.of("--factor", study.first().key()));
        study.also().forEach(factor -> arguments.addAll(List.of("--factor", factor.key())));
        StringWriter out = new StringWriter();
        int code = new CommandLine(new CompareCommand()).setOut(new PrintWriter(out))
                .execute(arguments.toArray(new String[0]));
        assertThat(code).isZero();
        return out.toString();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "confounded day | cannot be told from day and run order | confounded | differs",
            "eight fields   | cannot be told from operator          | confounded | differs",
            "crossover      | Grind +0.2 at profile Gentle ramp     | differs    | same_in_practice",
            "stray setting  | Grind +1 lowers EY as dosed           | differs    | same_in_practice",
            "outlier        | lies further from the others          | cannot_say | differs",
            "one shot each  | One shot each                         | seen_once  | differs"})
    void theDoubtGoesAlong(String name, String said, String verdict, String never) throws IOException {
        MisleadingStudies.Study study = MisleadingStudies.all().get(name);
        for (int i = 0; i < study.shots().size(); i++) {
            Shot shot = study.shots().get(i);
            Files.writeString(folder.resolve(String.format(Locale.ROOT, "shot-%02d.csv", i + 1)),
                    ShotCsvWriter.write(shot));
        }
        assertThat(compare(study, "table")).contains(said);
        assertThat(compare(study, "json")).contains(said)
                .contains("\"verdict\" : \"" + verdict + "\"")
                .doesNotContain("\"verdict\" : \"" + never + "\"");
    }
}
