package org.grenu.launch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The program's main class as the shell sees it: what it prints and how it ends. */
class CommandLineTest {

    private record Run(int code, String out, String err) {
    }

    private static Run run(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                        System.getProperty("java.class.path"), Grenu.class.getName()));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command).start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        String err = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        return new Run(process.exitValue(), out, err);
    }

    @Test
    void analyseRunsWithoutAWindow() throws IOException, InterruptedException {
        Run run = run("analyse", "../demo/heron-01.csv", "--format", "json");
        assertThat(run.code()).as(run.err()).isZero();
        assertThat(run.out()).contains("\"ey_as_dosed_pct\"").contains("\"heron-01.csv".substring(1));
        assertThat(run.err()).isEmpty();
    }

    @Test
    void whatCannotBeReadEndsWithTwo() throws IOException, InterruptedException {
        Run run = run("analyse", "../demo/index.txt");
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("index.txt, line 1: No time column among “heron-01.csv”.");
        assertThat(run("analyse").code()).isEqualTo(2);
        assertThat(run("analyse", "x.csv", "--format", "xml").code()).isEqualTo(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"--help", "demo --help", "analyse --help"})
    void helpIsThere(String arguments) throws IOException, InterruptedException {
        Run run = run(arguments.split(" "));
        assertThat(run.code()).isZero();
        assertThat(run.out()).startsWith("Usage: grenu");
    }
}
