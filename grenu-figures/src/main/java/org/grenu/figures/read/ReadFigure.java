package org.grenu.figures.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.Resampling;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;

/**
 * What the figure of a shot shows, apart from colours and sizes.
 *
 * @param strips  one a channel, top to bottom
 * @param whole   all of the log
 * @param moments marked across the strips
 * @param repairs marked on the cup mass
 */
public record ReadFigure(List<Strip> strips, TimeRange whole, List<Moment> moments, List<Repair> repairs) {

    public ReadFigure {
        strips = List.copyOf(strips);
        moments = List.copyOf(moments);
        repairs = List.copyOf(repairs);
    }

    /** {@return the figure of that shot} */
    public static ReadFigure of(ShotLog raw, CurveMeasures measures) {
        List<Repair> repairs = measures.repaired().repairs();
        List<Strip> strips = new ArrayList<>();
        double from = Double.POSITIVE_INFINITY;
        double to = Double.NEGATIVE_INFINITY;
        for (Channel channel : Channel.values()) {
            Optional<UniformCurve> curve = measures.find(channel);
            if (curve.isPresent() && curve.get().values().hasAny()) {
                strips.add(Strip.of(channel, curve.get(), asLogged(channel, raw, measures)));
                from = Math.min(from, curve.get().start());
                to = Math.max(to, curve.get().end());
            }
        }
        List<Moment> moments = new ArrayList<>();
        measures.times().firstDrip().ifPresent(drip -> moments.add(moment("first drip", drip, true)));
        measures.times().pumpOff().ifPresent(off -> moments.add(moment("pump off", off, false)));
        return new ReadFigure(strips, new TimeRange(from, Math.max(to, from + 1)), moments, repairs);
    }

    private static Moment moment(String name, TimedEvent event, boolean drop) {
        Measured when = Measured.independent(event.seconds(), Math.max(event.u(), 0.01));
        return new Moment(event.seconds(), name, event.u() == 0 ? Reported.fixed(event.seconds(), 1) + " s, stated"
                : Reported.of(when).text() + " s", drop);
    }

    /** The cup mass as the scale gave it, when a knock on it was bridged. */
    private static Optional<UniformCurve> asLogged(Channel channel, ShotLog raw, CurveMeasures measures) {
        boolean bridged = measures.repaired().repairs().stream().anyMatch(r -> r.kind() == RepairKind.SCALE_KNOCK && r.applied());
        boolean otherTimes = measures.repaired().repairs().stream().anyMatch(r -> r.kind() == RepairKind.TIME_ORDER);
        if (channel != Channel.CUP_MASS || !bridged || otherTimes) {
            return Optional.empty();
        }
        double offset = raw.find(channel).orElseThrow().get(0) - measures.repaired().log().find(channel).orElseThrow().get(0);
        UniformCurve logged = Resampling.STANDARD.resample(raw.time(), raw.find(channel).orElseThrow());
        double[] values = logged.values().toArray();
        for (int i = 0; i < values.length; i++) {
            values[i] -= offset;
        }
        return Optional.of(logged.withValues(values));
    }
}
