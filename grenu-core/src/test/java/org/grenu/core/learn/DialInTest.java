package org.grenu.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

class DialInTest {

    private static final ShotInputs HELD = new ShotInputs(0, 18, 36, 93, 14);
    private static final Aim AIM = Aim.ofTime(new AimRange(27, 31));

    private static NextShot next(GrinderRange range, double... finerAndSeconds) {
        List<LearntShot> ladder = new ArrayList<>();
        for (int i = 0; i < finerAndSeconds.length; i += 2) {
            ladder.add(new LearntShot(HELD.at(finerAndSeconds[i]), finerAndSeconds[i + 1]));
        }
        ResponseBelief belief = ResponseBelief.before(Practice.TIME.prior(), HELD, AIM.time().middle()).given(ladder);
        return new DialIn(Beliefs.ofTime(belief), Reach.of(range), AIM).after(ladder, HELD, true);
    }

    private static final GrinderRange WIDE = new GrinderRange(-20, 20, 1);

    /** The concept's ladder: one notch finer. */
    @Test
    void proposesTheHandbooksNotch() {
        NextShot next = next(WIDE, -3, 18.9, -2, 20.6, -1, 23.4, 0, 25.4, 0, 26.1);
        assertThat(next).isInstanceOf(NextShot.Change.class);
        assertThat(next.finer()).isEqualTo(1);
        assertThat(next.chance()).isBetween(0.6, 0.85);
    }

    @Test
    void saysEnoughWhereTheTimeIsMet() {
        assertThat(next(WIDE, 0, 26.2, 1, 29.0, 1, 28.8)).isInstanceOf(NextShot.Enough.class);
    }

    @Test
    void saysThatTheGrinderIsAtItsEnd() {
        NextShot next = next(new GrinderRange(-20, 1, 1), 0, 22.5, 1, 24.8);
        assertThat(next).isInstanceOf(NextShot.Limit.class);
        assertThat(((NextShot.Limit) next).end()).isEqualTo(NextShot.End.FINEST);
    }

    /** Nothing that can be set comes near: told, instead of the next best with a chance of nothing. */
    @Test
    void saysThatATargetIsOutOfReach() {
        NextShot next = next(new GrinderRange(-20, 1, 1), 0, 10.0, 1, 11.2);
        assertThat(next).isInstanceOf(NextShot.Limit.class);
        assertThat(((NextShot.Limit) next).end()).isEqualTo(NextShot.End.TARGET);
        assertThat(next.chance()).isLessThan(0.05);

        Reach recipe = new Reach(WIDE, Map.of(Slope.DOSE, new SettingRange(17, 19, 0.5), Slope.BEVERAGE,
                new SettingRange(34, 38, 2)), 2, OptionalDouble.empty());
        NextShot yield = nextOfBoth(recipe, 29, 14);
        assertThat(yield).isInstanceOf(NextShot.Limit.class);
        assertThat(((NextShot.Limit) yield).end()).isEqualTo(NextShot.End.TARGET);
    }

    /** What one shot of a choked puck leaves open is not out of reach. */
    @Test
    void whatIsNotKnownIsNotOutOfReach() {
        assertThat(nextOfBoth(reach(OptionalDouble.empty()), 75, 15)).isInstanceOf(NextShot.Change.class);
    }

    @Test
    void repeatsWhenFinerWasFasterWithinTheSpread() {
        assertThat(next(WIDE, 0, 24.6, 1, 24.3)).isInstanceOf(NextShot.Repeat.class);
    }

    /** A repeat is likelier by the line; that the line may be wrong is found out by a step, not by another miss. */
    @Test
    void stepsTowardsTheAimAfterAMissUnlessThatIsMuchLessLikely() {
        NextShot near = next(WIDE, 0, 26.8, 1, 29.4, 1, 31.6);
        assertThat(near).isEqualTo(new NextShot.Change(Slope.GRIND, HELD.at(0), near.chance(),
                NextShot.Why.TOWARDS_THE_AIM));
        NextShot far = next(WIDE, -1, 20, 0, 29, 0, 31.6);
        assertThat(far).isEqualTo(new NextShot.Repeat(HELD, far.chance(), NextShot.Why.LIKELIEST));
    }

    @Test
    void goesBetweenWhenItWentToAndFro() {
        NextShot next = next(WIDE, 0, 22, 6, 38, 0, 23.5, 6, 37.0);
        assertThat(next).isEqualTo(new NextShot.Change(Slope.GRIND, HELD.at(3), next.chance(),
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

    private static final Aim BOTH = new Aim(new AimRange(27, 31), Optional.of(new AimRange(19, 21)), Optional.empty(),
            Map.of());

    private static NextShot nextOfBoth(Reach reach, double seconds, double yield) {
        List<LearntShot> timed = List.of(new LearntShot(HELD, seconds), new LearntShot(HELD, seconds * 1.01));
        List<LearntShot> read = List.of(new LearntShot(HELD, yield), new LearntShot(HELD, yield + 0.1));
        Beliefs beliefs = new Beliefs(ResponseBelief.before(Practice.TIME.prior(), HELD, 29).given(timed),
                Optional.empty(),
                Optional.of(ResponseBelief.before(Practice.EXTRACTION.prior(), HELD, 20).given(read)), Map.of());
        return new DialIn(beliefs, reach, BOTH).after(timed, HELD, BOTH.yield().orElseThrow().holds(yield));
    }

    private static Reach reach(OptionalDouble left) {
        return new Reach(WIDE, Map.of(Slope.DOSE, new SettingRange(17, 19, 0.5), Slope.BEVERAGE,
                new SettingRange(20, 60, 2)), 2, left);
    }

    /** The time is right and too much was extracted: less in the cup costs less coffee than another grind. */
    @Test
    void movesWhatGetsThereForTheLeastCoffee() {
        NextShot next = nextOfBoth(reach(OptionalDouble.empty()), 29, 21.8);
        assertThat(next).isInstanceOf(NextShot.Change.class);
        assertThat(((NextShot.Change) next).lever()).isEqualTo(Slope.BEVERAGE);
        assertThat(next.inputs().beverage()).isLessThan(36);
        assertThat(next.inputs().dose()).isEqualTo(18);
    }

    /** An extraction that nobody read moves no lever for its sake: a coffee far off in time is ground otherwise. */
    @Test
    void whatWasNeverMeasuredMovesNothingButTheGrind() {
        List<LearntShot> timed = List.of(new LearntShot(HELD, 19));
        NextShot next = new DialIn(Beliefs.ofTime(ResponseBelief.before(Practice.TIME.prior(), HELD, 29).given(timed)),
                reach(OptionalDouble.empty()), BOTH).after(timed, HELD, false);
        assertThat(next).isInstanceOf(NextShot.Change.class);
        assertThat(((NextShot.Change) next).lever()).isEqualTo(Slope.GRIND);
    }

    @Test
    void anEmptyBagEndsTheLadder() {
        NextShot next = nextOfBoth(reach(OptionalDouble.of(11)), 29, 21.8);
        assertThat(next).isInstanceOf(NextShot.Limit.class);
        assertThat(((NextShot.Limit) next).end()).isEqualTo(NextShot.End.BAG);
    }

    /** At the grinder's end what else could move stands with its chance, the likeliest first. */
    @Test
    void atTheLimitItSaysWhatCouldStillMove() {
        Reach end = new Reach(new GrinderRange(-20, 0, 1), Map.of(Slope.DOSE, new SettingRange(17, 22, 0.5),
                Slope.BEVERAGE, new SettingRange(20, 60, 2)), 2, OptionalDouble.empty());
        List<LearntShot> timed = List.of(new LearntShot(HELD, 21), new LearntShot(HELD, 21.4));
        NextShot next = new DialIn(Beliefs.ofTime(ResponseBelief.before(Practice.TIME.prior(), HELD, 29).given(timed)),
                end, AIM).after(timed, HELD, true);
        assertThat(next).isInstanceOf(NextShot.Limit.class);
        List<NextShot.Move> could = ((NextShot.Limit) next).couldMove();
        assertThat(could).isNotEmpty().isSortedAccordingTo((a, b) -> Double.compare(b.chance(), a.chance()));
        assertThat(could).allSatisfy(move -> assertThat(move.lever()).isNotEqualTo(Slope.GRIND));
    }

    /** One thing at a time, and only what the set-up can be set to, whatever the log says. */
    @ParameterizedTest
    @Seeds(60)
    void movesOneThingWithinReach(Draws any) {
        Reach reach = reach(OptionalDouble.empty());
        NextShot next = nextOfBoth(reach, any.number(10, 80), any.number(14, 26));
        int moved = 0;
        for (Slope lever : Slope.values()) {
            moved += Math.abs(next.inputs().setting(lever) - HELD.setting(lever)) > 1e-9 ? 1 : 0;
        }
        assertThat(moved).isLessThanOrEqualTo(1);
        assertThat(WIDE.holds(next.finer())).isTrue();
        reach.others().forEach((lever, range) -> assertThat(range.holds(next.inputs().setting(lever))).isTrue());
    }
}
