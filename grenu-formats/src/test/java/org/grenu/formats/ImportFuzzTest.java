package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No sequence of bytes crashes or hangs an importer: it gives a shot that can be analysed, or a clear failure. */
class ImportFuzzTest {

    private static final Shot SHOT = DemoStudy.shots().get(4).shot();
    private static final byte[] CSV = ShotCsvWriter.write(SHOT).getBytes(StandardCharsets.UTF_8);
    private static final byte[] JSON = ShotJsonWriter.write(SHOT).getBytes(StandardCharsets.UTF_8);

    @ParameterizedTest
    @Seeds(150)
    void arbitraryBytes(Draws any) {
        any.list(10, 10, () -> any.bytes(0, 400)).forEach(ImportFuzzTest::survives);
    }

    @ParameterizedTest
    @Seeds(700)
    void damagedFiles(Draws any) {
        boolean json = any.toss();
        int[] places = any.list(1, 12, () -> (int) any.anyLong()).stream().mapToInt(Integer::intValue).toArray();
        byte[] values = any.bytes(12, 12);
        int keptPercent = any.integer(1, 100);
        byte[] whole = json ? JSON : CSV;
        byte[] damaged = Arrays.copyOf(whole, Math.max(1, whole.length * keptPercent / 100));
        for (int i = 0; i < places.length; i++) {
            // Half of the damage falls into the preamble and heading, where most decisions are taken.
            damaged[Math.floorMod(places[i], i % 2 == 0 ? damaged.length : Math.min(damaged.length, 700))] = values[i];
        }
        survives(damaged);
    }

    @ParameterizedTest
    @Seeds(500)
    void tablesOfOddCells(Draws any) {
        char[] cells = any.text(0, 60).toCharArray();
        StringBuilder table = new StringBuilder("time;pressure;weight;flow\n");
        for (int i = 0; i < cells.length; i++) {
            String cell = cells[i] % 7 == 0 ? "1e308" : cells[i] % 5 == 0 ? ""
                    : cells[i] % 3 == 0 ? "0," + (int) cells[i] : String.valueOf(cells[i] % 200);
            table.append(cell).append(i % 4 == 3 ? '\n' : ';');
        }
        survives(table.toString().getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(strings = {"[[[[[[[[",
            "{\"format\":\"grenu-shot\",\"version\":1,\"channels\":{\"time\":[0,1,1e999],\"pressure\":[0,1,2]}}",
            "time,p\n\"", "# grenu shot: 1\n", "#\n#\n#", "time,pressure\n0,1\n1e300,2\n2,3",
            "time,pressure\n-1e17,1\n0,2\n1e17,3",
            "t\tp\n1\t1\n1\t1\n1\t1\n", "{}", "null", "\uFEFF", ",,,,,\n,,,,,", "time;mass\n0;NaN\n1;nan\n2;"})
    void nastyTexts(String text) {
        survives(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aHugeUnclosedQuotationAndDeepNestingEndSoon() {
        survives(("time,p\n\"" + "x".repeat(8_000_000)).getBytes(StandardCharsets.UTF_8));
        survives(("{\"a\":" + "[".repeat(2_000_000)).getBytes(StandardCharsets.UTF_8));
        survives(("time," + "p,".repeat(1_000_000)).getBytes(StandardCharsets.UTF_8));
        StringBuilder dense = new StringBuilder("time [s],cup mass [g]\n");
        for (int i = 0; i < 400_000; i++) {
            dense.append(i * 1e-5).append(',').append(i % 3).append('\n');
        }
        survives(dense.toString().getBytes(StandardCharsets.UTF_8));
    }

    private static void survives(byte[] bytes) {
        assertTimeoutPreemptively(Duration.ofSeconds(20), () -> {
            try {
                Shot shot = ShotReader.read("fuzz", bytes).shot();
                assertThat(ShotMeasures.of(shot).curve().curves()).isNotEmpty();
            } catch (ImportFailure failure) {
                assertThat(failure.reason()).isNotBlank();
                assertThat(failure.remedy()).isNotBlank();
            }
        });
    }
}
