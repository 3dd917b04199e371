package org.grenu.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class ProfileRunnerTest {

    private static ProfileRunner at(String profile) {
        return new ProfileRunner(Profile.parse(profile));
    }

    @Test
    void aRampBeginsWhereTheStepBeforeLeftOff() {
        ProfileRunner runner = at("soak: pressure 3 until 8 s; ramp: pressure 9 over 4 s");
        assertThat(runner.aim()).isEqualTo(3);
        runner.advance(8);
        assertThat(runner.met(2.9, 1, 0, -1)).get().extracting(Exit::kind).isEqualTo(Exit.Kind.TIME);
        runner.next(2.9, 1);
        assertThat(runner.aim()).as("as it was aimed at, not as it was reached").isEqualTo(3);
        runner.advance(2);
        assertThat(runner.aim()).isCloseTo(6, within(1e-12));
        assertThat(runner.last()).isTrue();
        assertThatThrownBy(() -> runner.next(9, 2)).isInstanceOf(IllegalStateException.class);
    }

    @Test
    void anotherQuantityBeginsAtWhatItWas() {
        ProfileRunner runner = at("fill: flow 4 until pressure above 4; rise: pressure 9 over 2 s");
        assertThat(runner.met(3.9, 4, 0, -1)).isEmpty();
        assertThat(runner.met(4.1, 4, 0, -1)).isPresent();
        runner.next(4.1, 4);
        runner.advance(1);
        assertThat(runner.aim()).isCloseTo((4.1 + 9) / 2, within(1e-12));
        ProfileRunner blind = at("fill: flow 4 until pressure above 4; rise: pressure 9 over 2 s");
        blind.next(Double.NaN, Double.NaN);
        blind.advance(1);
        assertThat(blind.aim()).as("nothing is known of it").isCloseTo(4.5, within(1e-12));
    }
}
