package org.grenu.core.phase;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.numbers.StraightLine;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.StepEnding;
import org.grenu.core.profile.StepRun;

/**
 * A shot's phases in order.
 *
 * @param phases may be empty when the log does not show when the pump ran
 * @param origin who says where they begin
 */
public record Phases(List<Phase> phases, Origin origin) {

    /** Who says where the phases begin; each goes before the one above it. */
    public enum Origin {
        FOUND("found in the curves"), LOGGED("the machine's steps"), EDITED("set by hand");

        private final String title;

        Origin(String title) {
            this.title = title;
        }

        /** {@return in words} */
        public String title() {
            return title;
        }
    }

    /** A step and a phase that end this close together end together. */
    private static final double TOGETHER_SECONDS = 0.8;

    public Phases {
        phases = List.copyOf(phases);
    }

    /**
     * {@return the phases of that shot}
     *
     * @param edited borders set by hand; none: found, or taken from the machine's steps
     * @param run    the profile held against the shot, when one is known
     */
    public static Phases of(CurveMeasures measures, List<PhaseBorder> edited, Optional<PlannedRun> run) {
        List<PhaseBorder> borders = edited;
        Origin origin = Origin.EDITED;
        if (edited.isEmpty()) {
            List<PhaseBorder> found = PhaseFinder.find(measures);
            boolean logged = run.map(PlannedRun::fromSteps).orElse(false);
            borders = logged ? byStep(found, run.get()) : found;
            origin = logged ? Origin.LOGGED : Origin.FOUND;
        }
        List<Phase> phases = phases(borders, measures, run);
        return new Phases(phases, origin);
    }

    private static List<Phase> phases(List<PhaseBorder> borders, CurveMeasures measures, Optional<PlannedRun> run) {
        double end = measures.curves().values().stream().mapToDouble(UniformCurve::end).max().orElse(0);
        List<Phase> phases = new ArrayList<>();
        for (int i = 0; i < borders.size(); i++) {
            PhaseBorder border = borders.get(i);
            double to = i + 1 < borders.size() ? borders.get(i + 1).seconds() : end;
            phases.add(new Phase(border.kind(), border.seconds(), to, ending(border.kind(), to, measures, run),
                    courses(measures, border.seconds(), to)));
        }
        return phases;
    }

    /** {@return the phase of that kind, if there is one; the first if there are several} */
    public Optional<Phase> find(PhaseKind kind) {
        return phases.stream().filter(phase -> phase.kind() == kind).findFirst();
    }

    /** {@return where the phases begin} */
    public List<PhaseBorder> borders() {
        return phases.stream().map(phase -> new PhaseBorder(phase.kind(), phase.from())).toList();
    }

    /**
     * The machine knows its steps; what happens within a step, wetting and the rise to its height, only the curves
     * show.
     */
    private static List<PhaseBorder> byStep(List<PhaseBorder> found, PlannedRun run) {
        List<PhaseBorder> borders = new ArrayList<>();
        found.stream().filter(b -> b.kind() == PhaseKind.WETTING).forEach(borders::add);
        for (StepRun step : run.steps()) {
            PhaseKind kind = PhaseKind.ofStep(step.step().name());
            boolean first = step == run.steps().get(0);
            double begin = first ? found.stream()
                    .filter(b -> b.kind() != PhaseKind.WETTING)
                    .mapToDouble(PhaseBorder::seconds)
                    .findFirst()
                    .orElse(step.fromSeconds()) : step.fromSeconds();
            Optional<PhaseBorder> main = within(found, PhaseKind.MAIN, begin, step.toSeconds());
            boolean rises = kind == PhaseKind.MAIN
                    && within(found, PhaseKind.RAMP, begin - TOGETHER_SECONDS, step.toSeconds()).isPresent();
            add(borders, rises ? PhaseKind.RAMP : kind, begin);
            if (rises && main.isPresent()) {
                add(borders, PhaseKind.MAIN, main.get().seconds());
            }
        }
        found.stream().filter(b -> b.kind() == PhaseKind.DRIP_OUT).forEach(borders::add);
        return borders;
    }

    private static Optional<PhaseBorder> within(List<PhaseBorder> found, PhaseKind kind, double from, double to) {
        return found.stream().filter(b -> b.kind() == kind && b.seconds() >= from && b.seconds() < to).findFirst();
    }

    private static void add(List<PhaseBorder> borders, PhaseKind kind, double seconds) {
        if (borders.isEmpty() || borders.get(borders.size() - 1).kind() != kind) {
            borders.add(new PhaseBorder(kind, seconds));
        }
    }

    private static Ending ending(PhaseKind kind, double to, CurveMeasures measures, Optional<PlannedRun> run) {
        if (kind == PhaseKind.DRIP_OUT) {
            return measures.times()
                    .lastDrip()
                    .filter(last -> last.seconds() < to - 0.5)
                    .map(last -> new Ending(Ending.Kind.MASS,
                            String.format(Locale.ROOT, "cup mass still from %.1f s", last.seconds())))
                    .orElse(new Ending(Ending.Kind.END_OF_LOG, "end of the log"));
        }
        Optional<TimedEvent> off = measures.times().pumpOff();
        if (off.isPresent() && Math.abs(off.get().seconds() - to) < 0.25) {
            double mass = measures.find(Channel.CUP_MASS).map(m -> m.at(to)).orElse(Double.NaN);
            return new Ending(Ending.Kind.PUMP_OFF, Double.isNaN(mass) ? "pump off"
                    : String.format(Locale.ROOT, "pump off, %.1f g in cup", Math.max(0, mass)));
        }
        if (kind == PhaseKind.WETTING
                && measures.times().pressureOnset().filter(o -> Math.abs(o.seconds() - to) < 0.3).isPresent()) {
            return new Ending(Ending.Kind.CONDITION, "pressure builds");
        }
        return run.flatMap(
                r -> r.steps().stream().filter(s -> Math.abs(s.toSeconds() - to) < TOGETHER_SECONDS).findFirst())
                .map(Phases::ending)
                .orElseGet(() -> inferred(kind, to, measures));
    }

    private static Ending ending(StepRun step) {
        if (step.ending() == StepEnding.OPERATOR) {
            return new Ending(Ending.Kind.OPERATOR, "moved on by hand");
        }
        Exit exit = step.exit().orElse(null);
        if (exit == null) {
            return Ending.UNKNOWN;
        }
        String told = exit.told();
        if (step.ending() == StepEnding.TIME_LIMIT) {
            return new Ending(Ending.Kind.TIME_LIMIT, "time limit " + told);
        }
        return new Ending(exit.kind() == Exit.Kind.MASS ? Ending.Kind.MASS : Ending.Kind.CONDITION, told);
    }

    /** Without a profile only the end of a rise explains itself. */
    private static Ending inferred(PhaseKind kind, double to, CurveMeasures measures) {
        double pressure = measures.find(Channel.PRESSURE).map(p -> p.at(to)).orElse(Double.NaN);
        return kind == PhaseKind.RAMP && Double.isFinite(pressure)
                ? new Ending(Ending.Kind.CONDITION, String.format(Locale.ROOT, "%.1f bar reached", pressure))
                : Ending.UNKNOWN;
    }

    private static Map<Channel, Phase.Course> courses(CurveMeasures measures, double from, double to) {
        Map<Channel, Phase.Course> courses = new EnumMap<>(Channel.class);
        measures.curves().forEach((channel, curve) -> course(curve, from, to).ifPresent(c -> courses.put(channel, c)));
        return courses;
    }

    private static Optional<Phase.Course> course(UniformCurve curve, double from, double to) {
        double[] values = curve.between(from, to);
        if (values.length < 2) {
            return Optional.empty();
        }
        StraightLine line = new StraightLine();
        for (int i = 0; i < values.length; i++) {
            line.add(i - (values.length - 1) / 2.0, values[i]);
        }
        return Optional.of(new Phase.Course(line.meanY(), line.slope() / curve.step()));
    }
}
