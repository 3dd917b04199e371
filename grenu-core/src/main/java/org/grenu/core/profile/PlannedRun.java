package org.grenu.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;

/**
 * A profile held against a shot: when each step ran, why it ended, and how close what was held came to what was
 * meant.
 * Where the machine logged its step, that is taken; otherwise the exits are looked for in the curves.
 *
 * @param profile   what was meant
 * @param steps     the steps that were reached, in order
 * @param fromSteps whether the machine logged its steps
 */
public record PlannedRun(Profile profile, List<StepRun> steps, boolean fromSteps) {

    private static final double GRID = 0.1;
    /** How far a logged step change may lie from its exit and still count as met: sensors and control loops lag. */
    private static final double LATE_SECONDS = 0.5;

    public PlannedRun {
        steps = List.copyOf(steps);
    }

    /** {@return the run of that profile; empty when the log does not show when the pump ran} */
    public static Optional<PlannedRun> of(Profile profile, CurveMeasures measures) {
        Optional<TimedEvent> on = measures.times().pumpOn();
        Optional<TimedEvent> off = measures.times().pumpOff();
        if (on.isEmpty() || off.isEmpty() || !(off.get().seconds() > on.get().seconds())) {
            return Optional.empty();
        }
        Walk walk = new Walk(profile, measures, on.get().seconds(), off.get().seconds());
        Optional<UniformCurve> logged = measures.find(Channel.STEP);
        return Optional.of(new PlannedRun(profile, logged.isPresent() ? walk.logged(logged.get()) : walk.searched(),
                logged.isPresent()));
    }

    /**
     * {@return the share of the run spent within tolerance, in [0, 1]; empty when nothing that was held is logged}
     */
    public OptionalDouble inside() {
        double inside = 0;
        double all = 0;
        for (StepRun run : steps) {
            if (Double.isFinite(run.inside())) {
                inside += run.inside() * run.seconds();
                all += run.seconds();
            }
        }
        return all > 0 ? OptionalDouble.of(inside / all) : OptionalDouble.empty();
    }

    /** {@return what was meant at that time by the step that ran then; NaN outside every step} */
    public double targetAt(StepRun run, double seconds) {
        int index = steps.indexOf(run);
        double before = 0;
        for (int i = 0; i < index; i++) {
            StepRun earlier = steps.get(i);
            before = earlier.step().target() == run.step().target() ? earlier.step().targetAt(earlier.seconds(), before)
                    : before;
        }
        return run.step().targetAt(seconds - run.fromSeconds(), before);
    }

    /** Goes through the steps of one shot. */
    private static final class Walk {
        private final Profile profile;
        private final CurveMeasures measures;
        private final double on;
        private final double off;
        private final List<StepRun> runs = new ArrayList<>();
        private double before;

        Walk(Profile profile, CurveMeasures measures, double on, double off) {
            this.profile = profile;
            this.measures = measures;
            this.on = on;
            this.off = off;
        }

        List<StepRun> searched() {
            double begin = on;
            for (ProfileStep step : profile.steps()) {
                double at = begin;
                Optional<Exit> exit = Optional.empty();
                while (at < off - 1e-9 && exit.isEmpty()) {
                    at = Math.min(off, at + GRID);
                    exit = step.exit(state(at, begin));
                }
                boolean last = runs.size() == profile.steps().size() - 1 || at >= off - 1e-9;
                add(step, begin, last ? off : at, last ? Optional.empty() : exit, last);
                if (last) {
                    break;
                }
                begin = at;
            }
            return runs;
        }

        List<StepRun> logged(UniformCurve number) {
            double begin = on;
            int now = 0;
            for (double at = on; at < off; at += GRID) {
                double value = number.at(at);
                int index = Double.isFinite(value) ? (int) Math.round(value) - 1 : now;
                if (index > now && index < profile.steps().size()) {
                    add(profile.steps().get(now), begin, at, met(profile.steps().get(now), begin, at), false);
                    begin = at;
                    now = index;
                }
            }
            add(profile.steps().get(now), begin, off, Optional.empty(), true);
            return runs;
        }

        private Optional<Exit> met(ProfileStep step, double begin, double at) {
            Optional<Exit> found = Optional.empty();
            for (double t = at - 2 * GRID;
                    t <= at + LATE_SECONDS && found.filter(e -> e.kind() != Exit.Kind.TIME).isEmpty(); t += GRID) {
                found = step.exit(state(t, begin - GRID))
                        .or(found.isPresent() ? () -> step.exits()
                                .stream()
                                .filter(e -> e.kind() == Exit.Kind.TIME)
                                .findFirst() : Optional::empty);
            }
            return found;
        }

        private Exit.State state(double at, double begin) {
            double drip = measures.times().firstDrip().map(TimedEvent::seconds).orElse(Double.POSITIVE_INFINITY);
            return new Exit.State(at - begin, at(Channel.PRESSURE, at), at(Channel.PUMP_FLOW, at),
                    at(Channel.CUP_MASS, at), at - drip);
        }

        private double at(Channel channel, double seconds) {
            return measures.find(channel).map(c -> c.at(seconds)).orElse(Double.NaN);
        }

        private void add(ProfileStep step, double from, double to, Optional<Exit> exit, boolean last) {
            StepEnding ending = last ? StepEnding.PUMP_OFF : exit.isEmpty() ? StepEnding.OPERATOR
                    : step.isTimeLimit(exit.get()) ? StepEnding.TIME_LIMIT : StepEnding.CONDITION;
            double squares = 0;
            int inside = 0;
            int count = 0;
            for (double t = from; t <= to + 1e-9; t += GRID) {
                double off = at(step.target().channel(), t) - step.targetAt(t - from, before);
                if (Double.isFinite(off)) {
                    squares += off * off;
                    inside += Math.abs(off) <= step.tolerance() ? 1 : 0;
                    count++;
                }
            }
            runs.add(new StepRun(step, from, to, ending, exit, count == 0 ? Double.NaN : Math.sqrt(squares / count),
                    count == 0 ? Double.NaN : inside / (double) count));
            before = step.targetAt(to - from, before);
        }
    }
}
