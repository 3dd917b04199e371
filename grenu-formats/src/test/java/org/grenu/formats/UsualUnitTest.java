package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UsualUnitTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|',
            value = {"0 6 10 25 34 | SECOND | false", "0 10 20 30 40 50 60 | SECOND | false",
                    "0 6000 10000 25000 34000 | MILLISECOND | false", "0 12 27 | SECOND | false",
                    "0 500 1000 | MILLISECOND | true", "0 0.1 0.2 | SECOND | true", "0 0.1 0.2 900 | SECOND | true",
                    "0 | SECOND | false"})
    void timesAreReadSoThatTheyMakeAShot(String times, Unit unit, boolean inDoubt) {
        double[] read = Arrays.stream(times.split(" ")).mapToDouble(Double::parseDouble).toArray();
        assertThat(UsualUnit.of(Quantity.TIME, read)).isEqualTo(new UsualUnit(unit, inDoubt));
    }

    /** However often and evenly somebody wrote it down, a shot of 10 to 120 s is read in the unit that it is in. */
    @Test
    void howOftenItWasLoggedDoesNotMatter() {
        long seed = 20261129;
        Random random = new Random(seed);
        for (int i = 0; i < 500; i++) {
            double length = 10 + 110 * random.nextDouble();
            int rows = 4 + random.nextInt(i % 2 == 0 ? 8 : 2000);
            double[] seconds = DoubleStream.concat(DoubleStream.of(0, length), random.doubles(rows, 0, length))
                    .sorted()
                    .toArray();
            assertThat(UsualUnit.of(Quantity.TIME, seconds)).as("seed %d, %d rows in %.1f s", seed, rows, length)
                    .isEqualTo(new UsualUnit(Unit.SECOND, false));
            assertThat(
                    UsualUnit.of(Quantity.TIME, Arrays.stream(seconds).map(Unit.MILLISECOND::fromCanonical).toArray()))
                    .as("seed %d, %d rows in %.1f s, as ms", seed, rows, length)
                    .isEqualTo(new UsualUnit(Unit.MILLISECOND, false));
        }
    }
}
