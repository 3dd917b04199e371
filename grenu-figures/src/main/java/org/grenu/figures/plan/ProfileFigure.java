package org.grenu.figures.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.figures.shelf.ProfileSketch;

/**
 * A profile on the strips that its steps hold and their exits watch. Time has no grid of its own: a step is as long as
 * the prediction says, or as a guess does without a puck.
 *
 * @param profile    its steps
 * @param before     as it was before a drag; empty while nothing is dragged
 * @param prediction on a puck; empty where none was chosen
 * @param ends       when each step is expected to end, s
 */
public record ProfileFigure(Profile profile, Optional<Profile> before, Optional<ProfilePrediction> prediction,
        List<Double> ends) {

    private static final List<Channel> ALWAYS = List.of(Channel.PRESSURE, Channel.PUMP_FLOW, Channel.CUP_MASS);
    private static final List<Channel> HEATED = List.of(Channel.PRESSURE, Channel.PUMP_FLOW, Channel.CUP_MASS,
            Channel.TEMPERATURE);
    private static final double DEGREES_ROUND = 4;
    private static final double BEYOND = 1.08;

    public ProfileFigure {
        ends = List.copyOf(ends);
    }

    /** {@return the figure of that profile} */
    public static ProfileFigure of(Profile profile, Optional<Profile> before, Optional<ProfilePrediction> prediction) {
        List<Double> ends = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < profile.steps().size(); i++) {
            boolean foreseen = prediction.isPresent() && i < prediction.get().steps().size();
            at = foreseen ? prediction.get().steps().get(i).seconds().middle()
                    : at + ProfileSketch.seconds(profile.steps().get(i));
            ends.add(at);
        }
        return new ProfileFigure(profile, before, prediction, ends);
    }

    /** {@return the strips from the top; the water's only where a step says how hot it is} */
    public List<Channel> strips() {
        return profile.heats() ? HEATED : ALWAYS;
    }

    /** {@return the smallest value that the strip shows} */
    public double least(Channel channel) {
        return channel == Channel.TEMPERATURE
                ? Math.floor(profile.steps()
                        .stream()
                        .mapToDouble(step -> step.water().orElse(Double.MAX_VALUE))
                        .min()
                        .orElse(0) - DEGREES_ROUND)
                : 0;
    }

    /** {@return when the step is expected to begin, s} */
    public double begin(int step) {
        return step == 0 ? 0 : ends.get(step - 1);
    }

    /** {@return what is aimed at when the step before left off, in its target's unit} */
    public double levelBefore(int step) {
        for (int i = step - 1; i >= 0; i--) {
            if (profile.steps().get(i).target() == profile.steps().get(step).target()) {
                return profile.steps().get(i).to();
            }
        }
        return 0;
    }

    /** {@return the last second that is drawn} */
    public double last() {
        double end = ends.get(ends.size() - 1);
        double drawn = prediction.map(found -> found.seconds()[found.seconds().length - 1]).orElse(0.0);
        return Math.max(Math.max(end, drawn) * 1.02, 5);
    }

    /** The channel on which an exit's number is a height; null where it is a time. */
    private static Channel watched(Exit.Kind kind) {
        return switch (kind) {
            case PRESSURE_ABOVE, PRESSURE_BELOW -> Channel.PRESSURE;
            case FLOW_ABOVE, FLOW_BELOW -> Channel.PUMP_FLOW;
            case MASS -> Channel.CUP_MASS;
            case AFTER_DRIP, TIME -> null;
        };
    }

    /** {@return the largest value that the strip shows} */
    public double most(Channel channel) {
        if (channel == Channel.TEMPERATURE) {
            return Math.ceil(profile.steps().stream().mapToDouble(step -> step.water().orElse(0)).max().orElse(0)
                    + DEGREES_ROUND);
        }
        double most = switch (channel) {
            case PRESSURE -> 10;
            case PUMP_FLOW -> 5;
            default -> 40;
        };
        for (ProfileStep step : profile.steps()) {
            if (step.target().channel() == channel) {
                most = Math.max(most, step.to() + step.tolerance());
            } else if (channel != Channel.CUP_MASS) {
                most = Math.max(most, step.limit().orElse(0));
            }
            // What ends a step is taken hold of, too.
            most = Math.max(most, step.exits()
                    .stream()
                    .filter(exit -> watched(exit.kind()) == channel)
                    .mapToDouble(Exit::value)
                    .max()
                    .orElse(0));
        }
        double drawn = prediction.flatMap(found -> Optional.ofNullable(found.curves().get(channel)))
                .map(band -> Arrays.stream(band.high()).max().orElse(0))
                .orElse(0.0);
        return Math.max(most, channel == Channel.PUMP_FLOW ? Math.min(drawn, 8) : drawn) * BEYOND;
    }
}
