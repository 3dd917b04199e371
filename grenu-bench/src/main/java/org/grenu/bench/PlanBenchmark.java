package org.grenu.bench;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.learn.Slope;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.predict.PuckFit;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The ladder of 200 shots with its next one, and a profile while it is dragged and once it is let go. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class PlanBenchmark {

    private static final int SHOTS = 200;
    private final List<MeasuredShot> shots = ladder();
    private final GrinderDial dial = new GrinderDial(0.1, true);
    private final Advice.Asked asked = new Advice.Asked(dial,
            new Reach(dial.range(1, 5), Map.of(Slope.DOSE, new SettingRange(17, 19, 0.5), Slope.BEVERAGE,
                    new SettingRange(20, 60, 2)), 2, OptionalDouble.empty()),
            new Aim(new AimRange(27, 31), Optional.of(new AimRange(19, 21)), Optional.empty(), Map.of()),
            StandardResponse.time(TimeConvention.PUMP_ON_TO_PUMP_OFF), StandardResponse.tasted());
    private final Profile profile = Profile
            .parse("soak: pressure 2.4 ±0.5, flow at most 4.5 until 2 s after drip or 25 s; "
                    + "main: pressure 8.8 over 3 s ±0.5 until 22 g; taper: pressure 8.8 to 5.5 over 10 s ±0.5");
    private final PuckFit puck = PuckFit.usual(18, 40, 93, 14);

    private static List<MeasuredShot> ladder() {
        List<MeasuredShot> shots = new ArrayList<>();
        for (int i = 0; i < SHOTS; i++) {
            ShotRecord record = ShotRecord.EMPTY.with(RecordField.COFFEE, i < SHOTS / 2 ? "first" : "second")
                    .with(RecordField.PULLED_AT, LocalDateTime.of(2026, 5, 1, 8, 0)
                            .plusMinutes(9L * i)
                            .toString())
                    .with(RecordField.GRIND, 2.4 + 0.1 * (i % 5))
                    .with(RecordField.DOSE, 18 + 0.1 * (i % 3))
                    .with(RecordField.BEVERAGE, 40 - 0.2 * (i % 4))
                    .with(RecordField.READINGS, Double.toString(9 + 0.1 * (i % 5)))
                    .with(RecordField.TASTING, "sour " + (3 + i % 5))
                    .with(RecordField.PUMP_ON, 0)
                    .with(RecordField.PUMP_OFF, 30 - 2 * (i % 5) + 0.3 * (i % 7));
            shots.add(new MeasuredShot(Integer.toString(i), record, ShotMeasures.of(new Shot(record, ShotLog.NONE))));
        }
        return shots;
    }

    /** {@return the ladder, what was learnt and the next shot} */
    @Benchmark
    public Optional<Advice> ladderOf200() {
        return Advice.of(shots, "second", asked);
    }

    /** {@return a profile's curve, as it is asked for at every move of the pointer} */
    @Benchmark
    public ProfilePrediction whileDragged() {
        return ProfilePrediction.of(puck, profile, 1);
    }

    /** {@return the same with its bands} */
    @Benchmark
    public ProfilePrediction letGo() {
        return ProfilePrediction.of(puck, profile, 40);
    }
}
