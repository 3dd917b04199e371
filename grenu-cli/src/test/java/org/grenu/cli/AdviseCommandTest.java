package org.grenu.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.library.Library;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class AdviseCommandTest {

    @TempDir
    private Path folder;
    private Path home;
    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    @BeforeEach
    void fill() {
        home = folder.resolve("home.sqlite");
        try (Library library = Library.open(home)) {
            DemoStudy.shots()
                    .forEach(shot -> library.write(tx -> tx.shots()
                            .add(shot.name(), shot.name().getBytes(StandardCharsets.UTF_8), shot.shot())));
            library.write(tx -> tx.shelf().add(DemoShelf.items(), "shelf"));
        }
    }

    private int advise(String... arguments) {
        return new CommandLine(new AdviseCommand()).setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .execute(arguments);
    }

    @Test
    void saysTheNextShotWithItsChanceAndItsDoubts() throws IOException {
        assertThat(advise(home.toString(), "--coffee", "Lot Siskin 3", "--format", "json")).isZero();
        JsonNode advice = new ObjectMapper().readTree(out.toString());
        assertThat(advice.at("/rungs")).hasSize(12);
        assertThat(advice.at("/rungs/0/step").asText()).isEqualTo("first");
        assertThat(advice.at("/learnt/coffees_before").asInt()).isEqualTo(1);
        assertThat(advice.at("/learnt/notch_finer_low_pct").asDouble()).isPositive();
        JsonNode next = advice.at("/next");
        assertThat(next.at("/kind").asText()).isEqualTo("change");
        // The last shots ran fast, so it goes finer by whole notches of the demo grinder.
        assertThat(next.at("/grind").asDouble()).isLessThan(2.4);
        assertThat(Math.abs(next.at("/grind").asDouble() / 0.2 - Math.rint(next.at("/grind").asDouble() / 0.2)))
                .isLessThan(1e-9);
        assertThat(next.at("/time_low_s").asDouble()).isLessThan(next.at("/time_s").asDouble());
        assertThat(next.at("/chance").asDouble()).isBetween(0.3, 1.0);
        assertThat(advice.at("/doubts").toString()).contains("Time alone is aimed at");
        assertThat(advice.at("/assumed")).isEmpty();
    }

    @Test
    void theTableCarriesItsDoubts() {
        assertThat(advise(home.toString(), "--coffee", "Lot Heron 14", "--time", "27–31")).isZero();
        assertThat(out.toString()).startsWith("Lot Heron 14 on G-burr A, 27–31 s wanted\n\nshot")
                .contains("several: cause unclear  grind ")
                .contains("Next: Grind ")
                .contains(", all else as in shot ")
                .contains("But: Several things were changed at once, so which of them did it is unclear: shot ")
                .contains("But: Time alone is aimed at");
    }

    @Test
    void whatCannotBeAnsweredIsRefusedWithARemedy() {
        assertThat(advise(home.toString(), "--coffee", "Lot Wren 1")).isEqualTo(2);
        assertThat(err.toString()).contains("There are Lot Heron 14, Lot Siskin 3.");
        assertThat(advise(home.toString(), "--coffee", "Lot Siskin 3", "--grinder", "none")).isEqualTo(2);
        assertThat(err.toString()).contains("say --notch");
        assertThat(advise(home.toString(), "--coffee", "Lot Siskin 3", "--grinder", "none", "--notch", "0.2"))
                .isEqualTo(2);
        assertThat(err.toString()).contains("name another with --grinder");
        assertThat(advise(home.toString(), "--coffee", "Lot Siskin 3", "--time", "30")).isEqualTo(2);
        assertThat(err.toString()).contains("must be two times in s, such as 25-30");
        assertThat(advise(folder.resolve("none.sqlite").toString(), "--coffee", "Lot Siskin 3")).isEqualTo(2);
        assertThat(err.toString()).contains("There is no library");
    }
}
