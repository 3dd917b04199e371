package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class DialInTest {

    private static final ShotInputs HELD = new ShotInputs(0, 18, 36, 93, 14);
    private static final TimeAim AIM = new TimeAim(27, 31);

    private static NextShot next(GrinderRange range, double... finerAndSeconds) {
        List<TimedShot> ladder = new ArrayList<>();
        for (int i = 0; i < finerAndSeconds.length; i += 2) {
            ladder.add(new TimedShot(HELD.at(finerAndSeconds[i]), finerAndSeconds[i + 1]));
        }
        TimeBelief belief = TimeBelief.before(TimePrior.COMMON_PRACTICE, HELD, AIM.middle()).given(ladder);
        return new DialIn(belief, range, AIM).after(ladder, HELD);
    }

    private static final GrinderRange WIDE = new GrinderRange(-20, 20, 1);

    /** The concept's ladder: one notch finer, 92 in 100. */
    @Test
    void proposesTheHandbooksNotch() {
        NextShot next = next(WIDE, -3, 18.9, -2, 20.6, -1, 23.4, 0, 25.4, 0, 26.1);
        assertThat(next).isInstanceOf(NextShot.Change.class);
        assertThat(next.finer()).isEqualTo(1);
        assertThat(next.chance()).isCloseTo(0.92, within(0.01));
    }

    @Test
    void saysEnoughWhereTheTimeIsMet() {
        assertThat(next(WIDE, 0, 26.2, 1, 29.0, 1, 28.8)).isInstanceOf(NextShot.Enough.class);
    }

    @Test
    void saysThatTheGrinderIsAtItsEnd() {
        NextShot next = next(new GrinderRange(-20, 1, 1), 0, 14.0, 1, 15.5);
        assertThat(next).isInstanceOf(NextShot.Limit.class);
        assertThat(((NextShot.Limit) next).finest()).isTrue();
    }

    @Test
    void repeatsWhenFinerWasFasterWithinTheSpread() {
        assertThat(next(WIDE, 0, 24.6, 1, 24.3)).isInstanceOf(NextShot.Repeat.class);
    }

    @Test
    void goesBetweenWhenItWentToAndFro() {
        NextShot next = next(WIDE, 0, 22, 6, 38, 0, 23.5, 6, 37.0);
        assertThat(next).isEqualTo(new NextShot.Change(3, ((NextShot.Change) next).logTime(), next.chance(),
                NextShot.Why.BETWEEN_THE_LAST_TWO));
    }

    /** Whatever the log says, the grinder can be set to what is proposed. */
    @ParameterizedTest
    @Seeds(60)
    void proposesNothingBeyondTheGrinder(Draws any) {
        GrinderRange range = new GrinderRange(any.number(-6, -1), any.number(1, 6), any.number(0.3, 1.4));
        double[] ladder = new double[2 * any.integer(0, 5)];
        for (int i = 0; i < ladder.length; i += 2) {
            ladder[i] = range.onStep(any.number(-6, 6), 0);
            ladder[i + 1] = any.number(8, 90);
        }
        NextShot next = next(range, ladder);
        assertThat(range.holds(next.finer())).isTrue();
        double steps = next.finer() / range.step();
        assertThat(steps).isCloseTo(Math.rint(steps), within(1e-9));
        assertThat(next.chance()).isBetween(0.0, 1.0);
    }
}
