package org.grenu.core.record;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveMeasures.Running;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.hydraulics.ChannelSign;
import org.grenu.core.hydraulics.Hydraulics;
import org.grenu.core.phase.Phases;
import org.grenu.core.phase.ProfileFeatures;
import org.grenu.core.profile.PlannedRun;

/**
 * Everything measured from a shot.
 *
 * @param curve      what the log says
 * @param masses     what the record and the log say together about masses and strength
 * @param planned    the profile held against the shot, when one is recorded
 * @param phases     the shot's parts
 * @param hydraulics what the curves say of the puck
 * @param features   what makes its profile what it is
 */
public record ShotMeasures(CurveMeasures curve, Masses masses, Optional<PlannedRun> planned, Phases phases,
        Hydraulics hydraulics, ProfileFeatures features) {

    private static final double LIKELY = 0.5;

    /** {@return the measures of that shot} */
    public static ShotMeasures of(Shot shot) {
        return of(shot.record(), CurveMeasures.of(shot.log(), shot.record().curveSettings()));
    }

    /** {@return the measures of a shot whose log is measured already, by what that record says about it} */
    public static ShotMeasures of(ShotRecord record, CurveMeasures curve) {
        Masses masses = Masses.of(record, curve.beverage());
        Optional<PlannedRun> planned = record.profileSteps().flatMap(profile -> PlannedRun.of(profile, curve));
        Hydraulics.Known known = new Hydraulics.Known(record.bed(), celsius(record, curve), masses.beverage(),
                masses.solids(), masses.dose());
        Phases phases = Phases.of(curve, record.phases(), planned);
        return new ShotMeasures(curve, masses, planned, phases, Hydraulics.of(curve, known),
                ProfileFeatures.of(phases, curve));
    }

    /** The set temperature, or what the sensor showed on average while the pump ran. */
    private static Optional<Double> celsius(ShotRecord record, CurveMeasures curve) {
        OptionalDouble set = record.number(RecordField.TEMPERATURE);
        OptionalDouble shown = measuredTemperature(curve);
        OptionalDouble taken = set.isPresent() ? set : shown;
        return taken.isPresent() && taken.getAsDouble() > 0 && taken.getAsDouble() < 110
                ? Optional.of(taken.getAsDouble()) : Optional.empty();
    }

    /** {@return the mean temperature shown while the pump ran, °C} */
    public static OptionalDouble measuredTemperature(CurveMeasures curve) {
        Optional<UniformCurve> shown = curve.find(Channel.TEMPERATURE);
        Optional<Running> running = curve.running();
        if (shown.isEmpty() || running.isEmpty()) {
            return OptionalDouble.empty();
        }
        return Arrays.stream(shown.get().between(running.get().from(), running.get().until())).average();
    }

    /** {@return the sign of a channel, where it is rather one than not} */
    public Optional<ChannelSign> likelyChannel() {
        return hydraulics.channel().filter(sign -> sign.likelihood() >= LIKELY);
    }
}
