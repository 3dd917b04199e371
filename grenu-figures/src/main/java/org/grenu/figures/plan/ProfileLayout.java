package org.grenu.figures.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.ProfileStep;
import org.grenu.figures.plan.ProfileHandle.Kind;

/** Where a profile's strips, steps and handles stand in a picture of that size. */
public final class ProfileLayout {

    static final double LEFT = 92;
    static final double RIGHT = 74;
    /** Above the strips: names of the steps, how long they last, what ends them, their time limits. */
    static final double HEAD = 66;
    static final double WHISKER = 56;
    private static final double FOOT = 30;
    private static final double GAP = 10;
    private static final double[] SHARES = {0.44, 0.24, 0.32};
    private static final double[] HEATED = {0.36, 0.20, 0.27, 0.17};
    private static final double REACH = 11;
    private static final double EDGE_AT = 0.78;

    private final ProfileFigure figure;
    private final double width;
    private final double height;

    /** Of that figure. */
    public ProfileLayout(ProfileFigure figure, double width, double height) {
        this.figure = figure;
        this.width = width;
        this.height = height;
    }

    double x(double seconds) {
        return LEFT + seconds / figure.last() * (width - LEFT - RIGHT);
    }

    /** {@return the second at that place} */
    public double seconds(double x) {
        return (x - LEFT) / (width - LEFT - RIGHT) * figure.last();
    }

    double top(Channel channel) {
        double top = HEAD;
        for (int i = 0; figure.strips().get(i) != channel; i++) {
            top += shares()[i] * room() + GAP;
        }
        return top;
    }

    double bottom(Channel channel) {
        return top(channel) + shares()[figure.strips().indexOf(channel)] * room();
    }

    private double[] shares() {
        return figure.strips().size() == SHARES.length ? SHARES : HEATED;
    }

    private double room() {
        return height - HEAD - FOOT - (figure.strips().size() - 1) * GAP;
    }

    double foot() {
        return height - FOOT;
    }

    double right() {
        return width - RIGHT;
    }

    double y(Channel channel, double value) {
        double least = figure.least(channel);
        double share = Math.max(0, Math.min(1, (value - least) / (figure.most(channel) - least)));
        return bottom(channel) - share * (bottom(channel) - top(channel));
    }

    private double value(Channel channel, double y) {
        double least = figure.least(channel);
        return least + (bottom(channel) - y) / (bottom(channel) - top(channel)) * (figure.most(channel) - least);
    }

    /** {@return all that can be taken hold of, in the order of time} */
    public List<ProfileHandle> handles() {
        List<ProfileHandle> all = new ArrayList<>();
        for (int i = 0; i < figure.profile().steps().size(); i++) {
            add(i, all);
        }
        return all;
    }

    private void add(int i, List<ProfileHandle> all) {
        ProfileStep step = figure.profile().steps().get(i);
        Channel held = step.target().channel();
        double begin = figure.begin(i);
        double end = figure.ends().get(i);
        double reached = Math.min(end, begin + step.rampSeconds());
        if (step.rampSeconds() > 0) {
            all.add(new ProfileHandle(Kind.RAMP, i, -1, held, x(Math.min(figure.last(), begin + step.rampSeconds())),
                    y(held, step.to())));
        }
        if (end - reached > 1) {
            all.add(new ProfileHandle(Kind.LEVEL, i, -1, held, x((reached + end) / 2), y(held, step.to())));
        }
        all.add(new ProfileHandle(Kind.TOLERANCE, i, -1, held, x(reached + EDGE_AT * (end - reached)),
                y(held, step.to() + step.tolerance())));
        if (step.limit().isPresent()) {
            Channel other = held == Channel.PRESSURE ? Channel.PUMP_FLOW : Channel.PRESSURE;
            all.add(new ProfileHandle(Kind.LIMIT, i, -1, other, x((begin + end) / 2),
                    y(other, step.limit().getAsDouble())));
        }
        if (step.water().isPresent()) {
            all.add(new ProfileHandle(Kind.WATER, i, -1, Channel.TEMPERATURE, x((begin + end) / 2),
                    y(Channel.TEMPERATURE, step.water().getAsDouble())));
        }
        for (int k = 0; k < step.exits().size(); k++) {
            all.add(exit(i, k, step.exits().get(k)));
        }
    }

    private ProfileHandle exit(int step, int index, Exit exit) {
        double end = figure.ends().get(step);
        return switch (exit.kind()) {
            case PRESSURE_ABOVE, PRESSURE_BELOW -> new ProfileHandle(Kind.EXIT, step, index, Channel.PRESSURE, x(end),
                    y(Channel.PRESSURE, exit.value()));
            case FLOW_ABOVE, FLOW_BELOW -> new ProfileHandle(Kind.EXIT, step, index, Channel.PUMP_FLOW, x(end),
                    y(Channel.PUMP_FLOW, exit.value()));
            case MASS -> new ProfileHandle(Kind.EXIT, step, index, Channel.CUP_MASS, x(end),
                    y(Channel.CUP_MASS, exit.value()));
            case AFTER_DRIP -> new ProfileHandle(Kind.EXIT, step, index, Channel.CUP_MASS, x(end),
                    bottom(Channel.CUP_MASS));
            case TIME -> new ProfileHandle(Kind.TIME, step, index, Channel.PRESSURE,
                    x(Math.min(figure.last(), figure.begin(step) + exit.value())), WHISKER);
        };
    }

    /** {@return the handle within a few pixels of there} */
    public Optional<ProfileHandle> at(double x, double y) {
        return handles().stream()
                .filter(handle -> Math.hypot(handle.x() - x, handle.y() - y) < REACH)
                .min(Comparator.comparingDouble(handle -> Math.hypot(handle.x() - x, handle.y() - y)));
    }

    /** {@return the step whose name stands there} */
    public Optional<Integer> stepAt(double x, double y) {
        if (y > HEAD) {
            return Optional.empty();
        }
        double at = seconds(x);
        for (int i = 0; i < figure.ends().size(); i++) {
            if (at >= figure.begin(i) && at < figure.ends().get(i)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** {@return the handle's number where it is dragged to that place} */
    public double valueAt(ProfileHandle handle, double x, double y) {
        ProfileStep step = figure.profile().steps().get(handle.step());
        return switch (handle.kind()) {
            case LEVEL, LIMIT, WATER -> value(handle.channel(), y);
            case TOLERANCE -> value(handle.channel(), y) - step.to();
            case RAMP, TIME -> seconds(x) - figure.begin(handle.step());
            case EXIT -> step.exits().get(handle.exit()).kind() == Exit.Kind.AFTER_DRIP
                    ? seconds(x) - firstDrip() : value(handle.channel(), y);
        };
    }

    private double firstDrip() {
        return figure.prediction().map(found -> found.numbers().firstDrip().middle()).orElse(0.0);
    }
}
