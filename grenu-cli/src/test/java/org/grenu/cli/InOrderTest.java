package org.grenu.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class InOrderTest {

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 400})
    void resultsComeInTheOrderOfTheThings(int count) {
        List<Integer> things = IntStream.range(0, count).boxed().toList();
        List<Integer> came = new ArrayList<>();

        InOrder.forEach(things, InOrderTest::slowerForEarlierOnes, came::add);

        assertThat(came).isEqualTo(things);
    }

    @Test
    void onlyAFewAreWorkedOnAhead() {
        int few = 3 * Runtime.getRuntime().availableProcessors();
        AtomicInteger begun = new AtomicInteger();
        List<Integer> ahead = new ArrayList<>();

        InOrder.forEach(IntStream.range(0, 400).boxed().toList(), thing -> begun.incrementAndGet(),
                thing -> ahead.add(begun.get() - ahead.size()));

        assertThat(ahead).hasSize(400).allMatch(some -> some <= few);
    }

    @Test
    void whatTheWorkThrowsIsThrownAfterWhatCameBefore() {
        List<Integer> came = new ArrayList<>();

        assertThatThrownBy(() -> InOrder.forEach(List.of(1, 2, 0, 4), thing -> 12 / thing, came::add))
                .isInstanceOf(ArithmeticException.class);

        assertThat(came).containsExactly(12, 6);
    }

    private static int slowerForEarlierOnes(int thing) {
        try {
            Thread.sleep(thing % 3 == 0 ? 2 : 0);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
        return thing;
    }
}
