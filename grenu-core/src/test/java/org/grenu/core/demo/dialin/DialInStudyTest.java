package org.grenu.core.demo.dialin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.grenu.core.demo.dialin.DialInStudy.Result;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DialInStudyTest {

    /** On a seed that nothing was chosen by, with room for chance: the whole study is a command. */
    @ParameterizedTest
    @EnumSource(Physics.class)
    void arrivesAsSoonAsTheBestRuleByHandAndForetellsRightly(Physics physics) {
        Result result = DialInStudy.run(physics, 100, 11);
        int byHand = result.shots()
                .keySet()
                .stream()
                .filter(way -> !way.equals("learnt"))
                .mapToInt(way -> result.quantile(way, 0.9))
                .min()
                .orElseThrow();
        assertThat(result.quantile("learnt", 0.5)).isLessThanOrEqualTo(3);
        assertThat(result.quantile("learnt", 0.9)).isLessThanOrEqualTo(byHand + 1);
        assertThat(result.timeHeld().share()).isBetween(0.9, 0.995);
        assertThat(result.time().slope()).as("chances come true, within what 100 coffees can tell").isBetween(0.5, 1.9);
        assertThat(result.time().came()).isCloseTo(result.time().said(), within(0.1));
        assertThat(result.toldWrongly()).isLessThanOrEqualTo(2);
        assertThat(result.yieldHeld().share()).isBetween(0.9, 0.995);
        assertThat(result.beyond()).isZero();
        assertThat(Arrays.stream(result.shots().get("learnt")).min()).hasValue(1);
    }
}
