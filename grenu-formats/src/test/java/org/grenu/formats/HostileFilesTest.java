package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files made to hurt: each is that file's refusal, quickly, whatever is thrown on the way. */
class HostileFilesTest {

    @Test
    void whateverIsThrownIsTheFilesRefusal() {
        for (Throwable thrown : new Throwable[] {new StackOverflowError(), new OutOfMemoryError(),
                new NullPointerException(), new AssertionError("x"), new NoClassDefFoundError("x")}) {
            assertThatThrownBy(() -> GuardedReading.of("odd.xlsx", () -> {
                if (thrown instanceof Error error) {
                    throw error;
                }
                throw (RuntimeException) thrown;
            })).isInstanceOf(ImportFailure.class).hasMessageStartingWith("odd.xlsx: ");
        }
    }

    private static byte[] sheet(Consumer<Worksheet> fill) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "x", "1.0")) {
            fill.accept(book.newWorksheet("s"));
        }
        return out.toByteArray();
    }

    /** An exponent was written out digit by digit: this one would ask for two billion of them. */
    @Test
    void anExponentIsNotWrittenOut() throws IOException {
        byte[] bytes = replaced(sheet(sheet -> {
            sheet.value(0, 0, "time");
            sheet.value(0, 1, "pressure");
            for (int i = 1; i < 6; i++) {
                sheet.value(i, 0, i);
                sheet.value(i, 1, 12345);
            }
        }), "12345", "1E2000000000");
        assertThatThrownBy(() -> ShotReader.read("big.xlsx", bytes)).isInstanceOf(ImportFailure.class)
                .satisfies(HostileFilesTest::foreseen);
    }

    @Test
    void tooManyColumnsAndBombsAreRefused() throws IOException {
        byte[] wide = sheet(sheet -> {
            for (int c = 0; c < 400; c++) {
                sheet.value(0, c, "c" + c);
            }
        });
        assertThatThrownBy(() -> ShotReader.read("wide.xlsx", wide)).hasMessageContaining("more than 200 columns");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("xl/workbook.xml"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 64; i++) {
                zip.write(zeros);
            }
            zip.closeEntry();
        }
        assertThatThrownBy(() -> ShotReader.read("bomb.xlsx", out.toByteArray()))
                .hasMessageContaining("unpacks to more");
    }

    /** Each key of a preamble copied all keys before it: only so many are kept. */
    @Test
    void aPreambleOfAHundredThousandKeysIsBounded() throws ImportFailure {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 100_000; i++) {
            text.append("# key ").append(i).append(": ").append(i).append('\n');
        }
        text.append("time,pressure\n0,1\n1,2\n2,3\n3,4\n");
        assertThat(
                ShotReader.read("keys.csv", text.toString().getBytes(StandardCharsets.UTF_8)).shot().record().extras())
                .hasSize(500);
    }

    @ParameterizedTest
    @ValueSource(strings = {"[", "{\"a\":"})
    void deepNestingIsRefused(String open) {
        byte[] bytes = open.repeat(200_000).getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> ShotReader.read("deep.json", bytes)).isInstanceOf(ImportFailure.class)
                .satisfies(HostileFilesTest::foreseen);
    }

    /** Refused by a bound, before memory or stack ran out. */
    private static void foreseen(Throwable refused) {
        assertThat(refused).message().doesNotContain("memory").doesNotContain("could not be understood");
    }

    /** Puts other bytes into the sheet's own text; the archive is written anew around it. */
    private static byte[] replaced(byte[] book, String from, String to) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipFile in = ZipFile.builder().setSeekableByteChannel(new SeekableInMemoryByteChannel(book)).get();
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipArchiveEntry entry : Collections.list(in.getEntries())) {
                String text = new String(in.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8);
                zip.putNextEntry(new ZipEntry(entry.getName()));
                zip.write(text.replace(from, to).getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        assertThat(Arrays.equals(out.toByteArray(), book)).isFalse();
        return out.toByteArray();
    }
}
