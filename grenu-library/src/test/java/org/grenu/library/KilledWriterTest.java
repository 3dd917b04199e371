package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Random;
import org.grenu.core.record.RecordField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A process that is killed at any moment loses nothing that it had said was stored, and leaves nothing half done. */
class KilledWriterTest {

    private static final int KILLS = 12;

    @TempDir
    private Path folder;

    @Test
    void nothingShownAsStoredIsLost() throws IOException, InterruptedException {
        Path file = folder.resolve("library.sqlite");
        Random random = new Random(3);
        int shots = 0;
        int edits = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            Process writer = start(file);
            int[] stored = {shots, edits};
            Thread reader = new Thread(() -> readTo(writer, stored));
            reader.start();
            while (stored[0] + stored[1] < shots + edits + 2 && writer.isAlive()) {
                Thread.sleep(1);
            }
            Thread.sleep(random.nextInt(240));
            writer.destroyForcibly().waitFor();
            reader.join();
            try (Library library = Library.open(file)) {
                shots = Stored.shots(library).size();
                edits = Stored.depth(library).undoable();
                assertThat(shots).as("shots after kill %s", kill).isBetween(stored[0], stored[0] + 1);
                assertThat(edits).as("edits after kill %s", kill).isBetween(stored[1], stored[1] + 1);
                for (ShotSummary shot : Stored.shots(library)) {
                    assertThat(Stored.log(library, shot.id()).size()).isPositive();
                    assertThat(Stored.file(library, shot.id()).orElseThrow().bytes()).hasSize(5000);
                }
                assertThat(Stored.shots(library).get(0).record().number(RecordField.DOSE))
                        .hasValue(EndlessWriter.doseAfter(edits));
            }
        }
        assertThat(edits).as("the writer got somewhere").isGreaterThan(KILLS);
    }

    private static Process start(Path file) throws IOException {
        Path java = Path.of(System.getProperty("java.home"), "bin", "java");
        return new ProcessBuilder(java.toString(), "-XX:TieredStopAtLevel=1", "-cp",
                System.getProperty("java.class.path"),
                EndlessWriter.class.getName(), file.toString()).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    }

    /** Each line is a promise: so many shots and so many edits are stored. */
    private static void readTo(Process writer, int[] stored) {
        try (BufferedReader lines = writer.inputReader(StandardCharsets.UTF_8)) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                String[] counts = line.split(" ");
                if (line.endsWith(".")) {
                    stored[0] = Integer.parseInt(counts[0]);
                    stored[1] = Integer.parseInt(counts[1]);
                }
            }
        } catch (IOException killed) {
            // The pipe breaks with the process; what was read until then counts.
        }
    }
}
