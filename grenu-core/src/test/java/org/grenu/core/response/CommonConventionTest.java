package org.grenu.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.numbers.Samples;
import org.grenu.core.puck.Puck;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.junit.jupiter.api.Test;

/** Most loggers have no meter of the pump's flow, so that nobody knows when the pump began. */
class CommonConventionTest {

    private static MeasuredShot shot(int number, boolean metered) {
        ShotLog log = new SimulatedRig(number).pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 16, 18, 2.4, 93),
                DemoProfile.STRAIGHT_NINE.profile(), 36, 90), List.of()).log();
        Map<Channel, Samples> channels = new EnumMap<>(log.channels());
        if (!metered) {
            channels.remove(Channel.PUMP_FLOW);
        }
        return new MeasuredShot(Integer.toString(number), ShotRecord.EMPTY,
                ShotMeasures.of(new Shot(ShotRecord.EMPTY, new ShotLog(log.time(), channels))));
    }

    @Test
    void theWantedOneWhereAllHaveIt() {
        CommonConvention all = CommonConvention.of(TimeConvention.PUMP_ON_TO_PUMP_OFF,
                IntStream.range(1, 4).mapToObj(i -> shot(i, true)).toList());
        assertThat(all.changed()).isFalse();
        assertThat(all.known()).isEqualTo(3);
    }

    @Test
    void theNextThatAllHaveWhereTwoOfFiveWouldAnswerForAll() {
        CommonConvention five = CommonConvention.of(TimeConvention.PUMP_ON_TO_PUMP_OFF,
                IntStream.range(1, 6).mapToObj(i -> shot(i, i < 3)).toList());
        assertThat(five.convention()).isEqualTo(TimeConvention.PRESSURE_TO_PUMP_OFF);
        assertThat(five.words()).isEqualTo("Times are counted from first pressure to pump off: 2 of 5 shots show pump "
                + "on to pump off, 5 show this.");
        assertThat(CommonConvention.of(TimeConvention.PUMP_ON_TO_LAST_DRIP,
                IntStream.range(1, 6).mapToObj(i -> shot(i, i < 3)).toList()).convention()).as("ends the same")
                .isEqualTo(TimeConvention.PRESSURE_TO_LAST_DRIP);
    }

    @Test
    void withoutAnyTimeTheWantedOneStays() {
        assertThat(CommonConvention.of(TimeConvention.FIRST_DRIP_TO_PUMP_OFF, List.of()).convention())
                .isEqualTo(TimeConvention.FIRST_DRIP_TO_PUMP_OFF);
    }
}
