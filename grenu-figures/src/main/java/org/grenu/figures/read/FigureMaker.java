package org.grenu.figures.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.Resampling;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.entry.MomentNote;
import org.grenu.core.numbers.Samples;
import org.grenu.core.phase.Ending;
import org.grenu.core.phase.Phase;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.StepRun;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.ShotMeasures;

/** Puts a shot's measures along an axis. */
final class FigureMaker {

    private static final double GRID = 0.1;

    private final ShotLog raw;
    private final ShotMeasures shot;
    private final CurveMeasures measures;
    private final ReadOptions options;
    private final HeldAgainst against;
    private final List<MomentNote> notes;
    private final CurveAxis axis;

    /** Another shot, or where there is none the curves that this one was pulled by. */
    record HeldAgainst(Optional<ShotMeasures> ghost, Map<Channel, UniformCurve> reference) {
    }

    FigureMaker(ShotLog raw, ShotMeasures shot, ReadOptions options, HeldAgainst against,
            List<MomentNote> notes) {
        this.raw = raw;
        this.shot = shot;
        this.measures = shot.curve();
        this.options = options;
        this.against = against;
        this.notes = notes;
        this.axis = CurveAxis.of(options.axis(), measures);
    }

    ReadFigure figure() {
        List<Strip> strips = new ArrayList<>();
        for (Channel channel : options.channels()) {
            curve(shot, channel).filter(c -> c.values().hasAny()).ifPresent(curve -> strips.add(strip(channel, curve)));
        }
        double from = strips.stream().mapToDouble(s -> s.curve().start()).min().orElse(0);
        double to = strips.stream().mapToDouble(s -> s.curve().end()).max().orElse(1);
        return new ReadFigure(axis, strips, new AxisRange(from, Math.max(to, from + 1)), phases(), moments(),
                marks(strips));
    }

    private static Optional<UniformCurve> curve(ShotMeasures of, Channel channel) {
        return switch (channel) {
            case RESISTANCE -> of.hydraulics().resistance().map(r -> r.linear());
            case RESISTANCE_SQUARED -> of.hydraulics().resistance().map(r -> r.squared());
            default -> of.curve().find(channel);
        };
    }

    private Strip strip(Channel channel, UniformCurve curve) {
        UniformCurve along = axis.along(curve);
        Optional<UniformCurve> other = against.ghost.isPresent() ? against.ghost
                .flatMap(g -> curve(g, channel).map(c -> CurveAxis.of(options.axis(), g.curve()).along(c)))
                : reference(channel);
        List<Band> corridor = corridor(channel);
        StripScale scale = scale(channel, along, other, corridor);
        return new Strip(channel, along,
                new Strip.Beside(asLogged(channel).map(axis::along), other, doubt(channel, along)), corridor,
                points(channel), scale);
    }

    /** Along the mass in the cup a curve without a cup has no place. */
    private Optional<UniformCurve> reference(Channel channel) {
        return options.axis() == AxisKind.CUP_MASS ? Optional.empty()
                : Optional.ofNullable(against.reference.get(channel)).map(axis::along);
    }

    private StripScale scale(Channel channel, UniformCurve along, Optional<UniformCurve> other, List<Band> corridor) {
        DoubleStream lows = DoubleStream.concat(
                DoubleStream.of(along.values().min(), other.map(c -> c.values().min()).orElse(Double.NaN)),
                corridor.stream().mapToDouble(band -> band.low().values().min()));
        DoubleStream highs = DoubleStream.concat(
                DoubleStream.of(along.values().max(), other.map(c -> c.values().max()).orElse(Double.NaN)),
                corridor.stream().mapToDouble(band -> band.high().values().max()));
        return StripScale.of(channel, options.units(), lows.filter(Double::isFinite).min().orElse(0),
                highs.filter(Double::isFinite).max().orElse(1));
    }

    private Optional<Band> doubt(Channel channel, UniformCurve along) {
        if (channel != Channel.CUP_FLOW || measures.flowU().isEmpty()) {
            return Optional.empty();
        }
        UniformCurve u = axis.along(measures.flowU().get());
        double[] low = along.values().toArray();
        double[] high = along.values().toArray();
        for (int i = 0; i < low.length; i++) {
            low[i] -= Measured.COVERAGE_FACTOR * u.value(i);
            high[i] += Measured.COVERAGE_FACTOR * u.value(i);
        }
        return Optional.of(new Band(along.withValues(low), along.withValues(high)));
    }

    private List<Band> corridor(Channel channel) {
        List<Band> bands = new ArrayList<>();
        PlannedRun run = shot.planned().orElse(null);
        if (run == null) {
            return bands;
        }
        for (StepRun step : run.steps()) {
            if (step.step().target().channel() != channel || !(step.seconds() > GRID)) {
                continue;
            }
            bands.add(band(step));
        }
        return bands;
    }

    private Band band(StepRun step) {
        int count = (int) (step.seconds() / GRID) + 1;
        double[] low = new double[count];
        double[] high = new double[count];
        for (int i = 0; i < count; i++) {
            double target = step.targetAt(step.fromSeconds() + i * GRID);
            low[i] = Math.max(0, target - step.step().tolerance());
            high[i] = target + step.step().tolerance();
        }
        return new Band(axis.along(new UniformCurve(step.fromSeconds(), GRID, Samples.of(low))),
                axis.along(new UniformCurve(step.fromSeconds(), GRID, Samples.of(high))));
    }

    private List<double[]> points(Channel channel) {
        List<double[]> points = new ArrayList<>();
        if (measures.sparse() && channel.logged()) {
            ShotLog log = measures.repaired().log();
            log.find(channel).ifPresent(samples -> {
                for (int i = 0; i < log.size(); i++) {
                    points.add(new double[] {axis.at(log.time().get(i)), samples.get(i)});
                }
            });
        }
        return points;
    }

    /** The cup mass as the scale gave it, where a stretch of it was bridged or moved. */
    private Optional<UniformCurve> asLogged(Channel channel) {
        boolean bridged = measures.repaired()
                .repairs()
                .stream()
                .anyMatch(r -> r.applied() && r.kind().channel().filter(c -> c == channel).isPresent()
                        && r.kind() != RepairKind.TARE_OFFSET && r.kind() != RepairKind.CLIPPED);
        boolean otherTimes = hasOtherTimes();
        if (!bridged || otherTimes || raw.find(channel).isEmpty() || measures.sparse()) {
            return Optional.empty();
        }
        return Optional.of(Resampling.STANDARD.resample(raw.time(), raw.find(channel).get()));
    }

    private boolean hasOtherTimes() {
        return measures.repaired()
                .repairs()
                .stream()
                .anyMatch(r -> r.kind() == RepairKind.TIME_ORDER || r.kind() == RepairKind.CLOCK_RESET);
    }

    private List<PhaseSpan> phases() {
        List<PhaseSpan> spans = new ArrayList<>();
        for (Phase phase : shot.phases().phases()) {
            double from = axis.at(phase.from());
            double to = axis.at(phase.to());
            boolean begun = Double.isFinite(from);
            boolean ended = Double.isFinite(to);
            if (begun || ended) {
                spans.add(new PhaseSpan(phase.kind().title(), begun ? from : 0, ended ? to : from,
                        Reported.fixed(phase.seconds(), 1) + " s", phase.ending().text(),
                        phase.ending().kind() == Ending.Kind.TIME_LIMIT,
                        phase.kind() == PhaseKind.MAIN));
            }
        }
        return spans.stream().filter(span -> span.to() > span.from()).toList();
    }

    private List<Moment> moments() {
        List<Moment> moments = new ArrayList<>();
        measures.times().firstDrip().ifPresent(drip -> moments.add(moment("first drip", drip, Moment.Kind.DRIP)));
        measures.times().pumpOff().ifPresent(off -> moments.add(moment("pump off", off, Moment.Kind.PUMP)));
        notes.forEach(note -> moments.add(new Moment(axis.at(note.seconds()), note.words(), "", Moment.Kind.NOTE)));
        return moments.stream().filter(moment -> Double.isFinite(moment.at())).toList();
    }

    private Moment moment(String name, TimedEvent event, Moment.Kind kind) {
        double shown = axis instanceof CurveAxis.Clock ? axis.at(event.seconds()) : event.seconds();
        String clock = axis instanceof CurveAxis.Clock ? "" : ", log's clock";
        Measured when = Measured.independent(shown, Math.max(event.u(), 0.01));
        return new Moment(axis.at(event.seconds()), name, (event.u() == 0 ? Reported.fixed(shown, 1) + " s, stated"
                : Reported.of(when).text() + " s") + clock, kind);
    }

    private List<Mark> marks(List<Strip> strips) {
        List<Mark> marks = new ArrayList<>();
        for (Repair repair : measures.repaired().repairs()) {
            boolean everywhere = repair.kind() == RepairKind.SCALE_LAG || repair.kind() == RepairKind.TARE_OFFSET
                    || repair.kind() == RepairKind.PRESSURE_OFFSET;
            Channel channel = repair.kind()
                    .channel()
                    .orElse(strips.isEmpty() ? Channel.PRESSURE : strips.get(0).channel());
            double from = axis.at(repair.fromSeconds());
            double to = everywhere ? from : axis.at(repair.toSeconds());
            if (Double.isFinite(from) && Double.isFinite(to)) {
                marks.add(new Mark(channel, from, to, repair.kind().title() + (repair.applied() ? "" : ": off"),
                        repair.evidence(), false));
            }
        }
        shot.hydraulics().channel().ifPresent(sign -> {
            double from = axis.at(sign.seconds() - sign.overSeconds() / 2);
            double to = axis.at(sign.seconds() + sign.overSeconds() / 2);
            if (Double.isFinite(from) && Double.isFinite(to)) {
                marks.add(new Mark(Channel.RESISTANCE, from, to,
                        String.format(Locale.ROOT, "\u2212%.0f %% in %.1f s", 100 * sign.fall(), sign.overSeconds()),
                        String.format(Locale.ROOT, "channel sign, likelihood %.0f %%", 100 * sign.likelihood()), true));
            }
        });
        return marks;
    }
}
