package org.grenu.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveMeasures.Running;
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
        Optional<Running> running = measures.running();
        if (running.isEmpty()) {
            return Optional.empty();
        }
        Walk walk = new Walk(profile, measures, running.get().from(), running.get().until());
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

    /** Goes through the steps of one shot. */
    private static final class Walk {
        private final Profile profile;
        private final CurveMeasures measures;
        private final double on;
        private final double off;
        private final ProfileRunner runner;
        private final List<StepRun> runs = new ArrayList<>();

        Walk(Profile profile, CurveMeasures measures, double on, double off) {
            this.profile = profile;
            this.measures = measures;
            this.on = on;
            this.off = off;
            this.runner = new ProfileRunner(profile);
        }

        List<StepRun> searched() {
            double begin = on;
            while (true) {
                double at = begin;
                Optional<Exit> exit = Optional.empty();
                while (at < off - 1e-9 && exit.isEmpty()) {
                    double next = Math.min(off, at + GRID);
                    runner.advance(next - at);
                    at = next;
                    exit = met(at);
                }
                if (runner.last() || at >= off - 1e-9) {
                    add(begin, off, StepEnding.PUMP_OFF, Optional.empty());
                    return runs;
                }
                add(begin, at, runner.step().isTimeLimit(exit.get()) ? StepEnding.TIME_LIMIT : StepEnding.CONDITION,
                        exit);
                next(at);
                begin = at;
            }
        }

        private Optional<Exit> met(double at) {
            return runner.met(at(Channel.PRESSURE, at), at(Channel.PUMP_FLOW, at), at(Channel.CUP_MASS, at),
                    at - drip());
        }

        private double drip() {
            return measures.times().firstDrip().map(TimedEvent::seconds).orElse(Double.POSITIVE_INFINITY);
        }

        private void next(double at) {
            runner.next(at(Channel.PRESSURE, at), at(Channel.PUMP_FLOW, at));
        }

        List<StepRun> logged(UniformCurve number) {
            double begin = on;
            for (double at = on; at < off; at += GRID) {
                double value = number.at(at);
                int index = Double.isFinite(value) ? (int) Math.round(value) - 1 : runner.index();
                if (index > runner.index() && index < profile.steps().size()) {
                    Optional<Exit> exit = logged(runner.step(), begin, at);
                    add(begin, at, exit.isEmpty() ? StepEnding.OPERATOR
                            : runner.step().isTimeLimit(exit.get()) ? StepEnding.TIME_LIMIT : StepEnding.CONDITION,
                            exit);
                    runner.advance(at - begin);
                    while (runner.index() < index) {
                        next(at);
                    }
                    begin = at;
                }
            }
            add(begin, off, StepEnding.PUMP_OFF, Optional.empty());
            return runs;
        }

        /** {@return the exit by which a step ended that the machine logged, looked for around its end} */
        private Optional<Exit> logged(ProfileStep step, double begin, double at) {
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
            return new Exit.State(at - begin, at(Channel.PRESSURE, at), at(Channel.PUMP_FLOW, at),
                    at(Channel.CUP_MASS, at), at - drip());
        }

        private double at(Channel channel, double seconds) {
            return measures.find(channel).map(c -> c.at(seconds)).orElse(Double.NaN);
        }

        private void add(double from, double to, StepEnding ending, Optional<Exit> exit) {
            ProfileStep step = runner.step();
            double squares = 0;
            int inside = 0;
            int count = 0;
            for (double t = from; t <= to + 1e-9; t += GRID) {
                double off = at(step.target().channel(), t) - step.targetAt(t - from, runner.before());
                if (Double.isFinite(off)) {
                    squares += off * off;
                    inside += Math.abs(off) <= step.tolerance() ? 1 : 0;
                    count++;
                }
            }
            runs.add(new StepRun(step, from, to, runner.before(), ending, exit, new StepRun.Match(
                    count == 0 ? Double.NaN : Math.sqrt(squares / count),
                    count == 0 ? Double.NaN : inside / (double) count)));
        }
    }
}
