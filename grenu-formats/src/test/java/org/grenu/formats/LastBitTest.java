package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.LongStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written is read back to the last bit; words that a spreadsheet would compute come back as they were. */
class LastBitTest {

    private static final int NUMBERS = 20_000;

    static LongStream seeds() {
        return LongStream.of(1, 2, 3);
    }

    /** Any bit pattern that is a finite number, and as many from each of the ranges in which logs live. */
    private static double any(Random random, int i) {
        if (i % 2 == 0) {
            double value = Double.longBitsToDouble(random.nextLong());
            return Double.isFinite(value) ? value : Math.scalb(random.nextDouble(), random.nextInt(2000) - 1000);
        }
        return (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(12) - 6);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void everyDoubleIsReadBack(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < NUMBERS; i++) {
            double value = any(random, i);
            assertThat(Double.doubleToRawLongBits(DecimalText.parse(DecimalText.toTheLastBit(value)).orElseThrow()))
                    .as("seed %s: %s", seed, value)
                    .isEqualTo(Double.doubleToRawLongBits(value));
        }
        assertThat(Double.doubleToRawLongBits(DecimalText.parse(DecimalText.toTheLastBit(-0.0)).orElseThrow()))
                .isEqualTo(Double.doubleToRawLongBits(-0.0));
    }

    /** A number with a long expansion, such as 0.001234567890123456, was refused when its file came back. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void everySampleOfEveryChannelIsReadBack(long seed) throws ImportFailure {
        Random random = new Random(seed);
        int rows = 400;
        double[] time = new double[rows];
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        for (int i = 0; i < rows; i++) {
            time[i] = (i + random.nextDouble()) / 10;
        }
        for (Channel channel : Channel.ofLogs()) {
            double[] values = new double[rows];
            for (int i = 0; i < rows; i++) {
                values[i] = any(random, 2 * i + 1) / 1e3;
            }
            channels.put(channel, Samples.of(values));
        }
        Shot shot = new Shot(
                ShotRecord.EMPTY.with(RecordField.DOSE, 18 + random.nextDouble())
                        .with(RecordField.SCALE_BIAS, random.nextDouble() / 1e7),
                new ShotLog(Samples.of(time), channels));
        assertThat(ShotReader.read("shot.csv", ShotCsvWriter.write(shot).getBytes(StandardCharsets.UTF_8)).shot())
                .isEqualTo(shot);
        assertThat(ShotReader.read("shot.json", ShotJsonWriter.write(shot).getBytes(StandardCharsets.UTF_8)).shot())
                .isEqualTo(shot);
    }

    /** A log in another unit becomes the canonical number; written out and read again it stays that number. */
    @ParameterizedTest
    @EnumSource(Unit.class)
    void whatCameInAnyUnitStaysWhatItBecame(Unit unit) {
        Random random = new Random(unit.ordinal());
        for (int i = 0; i < 2_000; i++) {
            double canonical = unit.toCanonical(any(random, 2 * i + 1));
            assertThat(DecimalText.parse(DecimalText.toTheLastBit(canonical)).orElseThrow()).isEqualTo(canonical);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+cmd|' /C calc'!A0", "-2+3", "@SUM(A1)", "\t=1", "'=1", "''=1", "'quoted'", "-5",
            "+3.5", "plain", "", "'", "-", "a=b", "'tis"})
    void wordsThatWouldBeComputedAreGuardedAndComeBack(String cell) {
        String written = FormulaGuard.guarded(cell);
        assertThat(FormulaGuard.plain(written)).isEqualTo(cell);
        boolean computed = !written.isEmpty() && "=+-@\t\r".indexOf(written.charAt(0)) >= 0;
        assertThat(computed).as("only numbers may begin so")
                .isEqualTo(computed && DecimalText.parse(written).isPresent());
    }

    @Test
    void tablesAreGuarded() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.NOTE, "=HYPERLINK(\"http://x\")")
                .with(RecordField.ZERO, -0.01);
        String table = StudyTableWriter.write(List.of(new StudyTableWriter.Row(1, record,
                org.grenu.core.record.ShotMeasures.of(
                        new Shot(record,
                                new ShotLog(Samples.of(0, 1, 2), Map.of(Channel.PRESSURE, Samples.of(0, 0, 0))))))));
        assertThat(table).contains("\"'=HYPERLINK").contains(",-0.01,");
    }
}
