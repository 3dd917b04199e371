package org.grenu.core.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.Measured;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Samples as they are written, and cups put together from slices. */
class SampleTest {

    @ParameterizedTest
    @Seeds(300)
    void whateverIsKnownOfASampleIsReadBack(Draws any) {
        Sample.Kind kind = any.of(Sample.Kind.values());
        Sample sample = Sample.of(kind).with(any.list(0, 6, () -> Reading.of(any.number(0, 40))));
        if (kind == Sample.Kind.SLICE && any.toss()) {
            sample = sample.weighing(OptionalDouble.of(any.number(0.1, 80)));
        }
        if (kind == Sample.Kind.DILUTED && any.toss()) {
            sample = sample.diluted(Optional.of(new Sample.Parts(any.number(0.1, 80), any.number(0, 200))));
        }
        if (any.toss()) {
            sample = sample.zeroed(OptionalDouble.of(any.number(-1, 1)));
        }
        assertThat(Sample.parse(sample.text())).isEqualTo(sample);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "slice", "slice 4.2 g", "sliced 4 g: 9", "cup 4 g: 9", "slice 4 + 2 g: 9", "slice 0 g: 9",
                    "diluted 10 g: 2", "slice 4.2 g: 9 nine", "cup: 9 zero none", "diluted 10 + 6000 g: 1"})
    void whatIsNoSampleIsRefusedInWords(String text) {
        assertThatThrownBy(() -> Sample.parse(text)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(" ");
    }

    /** Seven slices of the project's handbook, section 18: 9.235 % in all. */
    @Test
    void slicesMakeTheCup() {
        double[] grams = {4.2, 5.6, 6.1, 6.3, 6.2, 5.9, 4.6};
        double[] strengths = {18.2, 15.1, 11.6, 8.4, 5.9, 4.1, 3.0};
        List<SlicedCup.Slice> slices = new ArrayList<>();
        for (int i = 0; i < grams.length; i++) {
            slices.add(new SlicedCup.Slice(Measured.exact(grams[i]), Measured.exact(strengths[i])));
        }
        SlicedCup cup = SlicedCup.of(slices).orElseThrow();
        assertThat(cup.mass().value()).isCloseTo(38.9, within(1e-9));
        assertThat(cup.strength().value()).isCloseTo(9.235, within(5e-4));
        assertThat(SlicedCup.of(List.of())).isEmpty();
    }

    /** The stated uncertainty is the scatter of many cups measured with those errors. */
    @Test
    void theUncertaintyOfASlicedCupIsItsScatter() {
        double[] grams = {5, 12, 20};
        double[] strengths = {16, 9, 4};
        Random random = new Random(7);
        double sum = 0;
        double squares = 0;
        int cups = 40_000;
        for (int n = 0; n < cups; n++) {
            double bias = 0.05 * random.nextGaussian();
            double mass = 0;
            double solids = 0;
            for (int i = 0; i < grams.length; i++) {
                double weighed = grams[i] + 0.2 * random.nextGaussian();
                mass += weighed;
                solids += weighed * (strengths[i] + bias + 0.04 * random.nextGaussian());
            }
            sum += solids / mass;
            squares += solids / mass * solids / mass;
        }
        double scatter = Math.sqrt(squares / cups - sum / cups * sum / cups);
        List<SlicedCup.Slice> slices = new ArrayList<>();
        for (int i = 0; i < grams.length; i++) {
            slices.add(new SlicedCup.Slice(new Measured(grams[i], 0.2, 0), new Measured(strengths[i], 0.04, 0.05)));
        }
        assertThat(SlicedCup.of(slices).orElseThrow().strength().u()).isCloseTo(scatter, within(0.03 * scatter));
    }
}
