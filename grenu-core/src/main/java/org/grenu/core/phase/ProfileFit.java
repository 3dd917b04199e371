package org.grenu.core.phase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.StepRun;
import org.grenu.core.profile.Target;

/**
 * Steps that follow a shot's curves, one for each of its phases, and what they do not follow.
 *
 * @param profile the steps
 * @param notFit  what of the shot they do not have, in sentences
 */
public record ProfileFit(Profile profile, List<String> notFit) {

    private static final double PRESSURE_TOLERANCE = 0.5;
    private static final double FLOW_TOLERANCE = 0.3;
    private static final double LEAST_RAMP = 0.5;
    private static final double AT_DRIP_SECONDS = 3;
    private static final double WAITS_TWICE = 2;

    public ProfileFit {
        notFit = List.copyOf(notFit);
    }

    /** {@return the fit; empty where the shot has no pressure or no phases} */
    public static Optional<ProfileFit> of(Phases phases, CurveMeasures measures) {
        Optional<UniformCurve> pressure = measures.find(Channel.PRESSURE);
        if (pressure.isEmpty() || measures.running().isEmpty()) {
            return Optional.empty();
        }
        List<ProfileStep> steps = new Fitting(phases, measures, pressure.get()).steps();
        if (steps.isEmpty()) {
            return Optional.empty();
        }
        Profile profile = new Profile(steps);
        return Optional.of(new ProfileFit(profile, notFit(profile, phases, measures)));
    }

    private static List<String> notFit(Profile profile, Phases phases, CurveMeasures measures) {
        List<String> not = new ArrayList<>();
        PlannedRun.of(profile, measures).ifPresent(run -> {
            for (StepRun step : run.steps()) {
                if (step.distance() > step.step().tolerance()) {
                    not.add("In the step “" + step.step().name() + "” the shot lies "
                            + Math.round(10 * step.distance()) / 10.0 + " " + unit(step.step()) + " off on average.");
                }
            }
            if (run.steps().size() < profile.steps().size()) {
                not.add("The later steps would not be reached in this very shot.");
            }
        });
        if (measures.find(Channel.PUMP_FLOW).isEmpty()) {
            not.add("The log has no pump flow: no step holds a flow, and none limits it.");
        }
        if (phases.phases().stream().noneMatch(phase -> phase.kind() == PhaseKind.TAPER)) {
            not.add("What the pressure lost by itself, by erosion or a channel, is no step.");
        }
        return not;
    }

    private static String unit(ProfileStep step) {
        return step.target() == Target.PRESSURE ? "bar" : "mL/s";
    }

    /** Goes through the phases of one shot. */
    private static final class Fitting {
        private final List<Phase> phases;
        private final CurveMeasures measures;
        private final UniformCurve pressure;
        private final List<ProfileStep> steps = new ArrayList<>();

        Fitting(Phases phases, CurveMeasures measures, UniformCurve pressure) {
            this.phases = phases.phases().stream().filter(phase -> phase.kind() != PhaseKind.DRIP_OUT).toList();
            this.measures = measures;
            this.pressure = pressure;
        }

        List<ProfileStep> steps() {
            double ramp = 0;
            for (int i = 0; i < phases.size(); i++) {
                Phase phase = phases.get(i);
                boolean last = i == phases.size() - 1;
                switch (phase.kind()) {
                    case WETTING -> wetting(phase, last);
                    case SOAK -> soak(phase);
                    case RAMP -> ramp = phase.seconds();
                    default -> {
                        held(phase, ramp, last);
                        ramp = 0;
                    }
                }
            }
            return steps;
        }

        /** A headspace that fills is no step of its own unless the pump's flow is known. */
        private void wetting(Phase phase, boolean last) {
            Phase.Course flow = phase.courses().get(Channel.PUMP_FLOW);
            boolean soaked = phases.stream().anyMatch(other -> other.kind() == PhaseKind.SOAK);
            if (flow != null && flow.mean() > FLOW_TOLERANCE && soaked && !last) {
                double until = rounded(Math.max(0.5, pressure.at(phase.to())));
                steps.add(step("wetting", Target.FLOW, rounded(flow.mean()), 0, FLOW_TOLERANCE,
                        List.of(new Exit(Exit.Kind.PRESSURE_ABOVE, until),
                                new Exit(Exit.Kind.TIME, rounded(WAITS_TWICE * phase.seconds())))));
            }
        }

        private void soak(Phase phase) {
            double drip = measures.times().firstDrip().map(event -> phase.to() - event.seconds()).orElse(Double.NaN);
            List<Exit> exits = new ArrayList<>();
            if (drip >= 0 && drip < AT_DRIP_SECONDS) {
                exits.add(new Exit(Exit.Kind.AFTER_DRIP, rounded(drip)));
                exits.add(new Exit(Exit.Kind.TIME, rounded(WAITS_TWICE * phase.seconds())));
            } else {
                exits.add(new Exit(Exit.Kind.TIME, rounded(phase.seconds())));
            }
            steps.add(step("soak", Target.PRESSURE, rounded(mean(phase)), 0, PRESSURE_TOLERANCE, exits));
        }

        private void held(Phase phase, double ramp, boolean last) {
            boolean taper = phase.kind() == PhaseKind.TAPER;
            double level = taper ? pressure.at(phase.to()) : mean(phase);
            double over = taper ? phase.seconds() : ramp;
            List<Exit> exits = last ? List.of() : List.of(exit(phase));
            steps.add(step(phase.kind().key(), Target.PRESSURE, rounded(level), over < LEAST_RAMP ? 0 : rounded(over),
                    PRESSURE_TOLERANCE, exits));
        }

        /** By what was in the cup, where that is logged: a slower shot then goes on as far as this one did. */
        private Exit exit(Phase phase) {
            double mass = measures.find(Channel.CUP_MASS).map(cup -> cup.at(phase.to())).orElse(Double.NaN);
            return mass > 1 ? new Exit(Exit.Kind.MASS, rounded(mass))
                    : new Exit(Exit.Kind.TIME, rounded(phase.seconds()));
        }

        private double mean(Phase phase) {
            Phase.Course course = phase.courses().get(Channel.PRESSURE);
            return course == null ? pressure.at((phase.from() + phase.to()) / 2) : course.mean();
        }

        private static ProfileStep step(String name, Target target, double level, double ramp, double tolerance,
                List<Exit> exits) {
            return new ProfileStep(name, target,
                    new ProfileStep.Course(OptionalDouble.empty(), Math.max(0, level), ramp, tolerance),
                    OptionalDouble.empty(), exits);
        }

        private static double rounded(double value) {
            return Math.rint(value * 10) / 10;
        }
    }
}
