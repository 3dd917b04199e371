package org.grenu.core.otherlab;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * How the pump's flow comes into a log, if at all: as it is, smoothed with a tail, or as pulses counted in a window.
 */
enum FlowMeter {
    NONE, DIRECT, SMOOTHED, PULSES;

    /** One meter at work. */
    static final class Reading {
        private static final double PULSE_MILLILITRES = 0.11;
        private final FlowMeter kind;
        private final double seconds;
        private final Deque<Double> pulses = new ArrayDeque<>();
        private double smooth;
        private double turned;

        Reading(FlowMeter kind, double seconds) {
            this.kind = kind;
            this.seconds = seconds;
        }

        /** {@return what it shows, mL/s, after that flow ran for a step} */
        double follow(double flow, double time, double step) {
            smooth += (flow - smooth) * step / seconds;
            turned += flow * step;
            while (turned >= PULSE_MILLILITRES) {
                turned -= PULSE_MILLILITRES;
                pulses.add(time);
            }
            while (!pulses.isEmpty() && pulses.peek() < time - seconds) {
                pulses.remove();
            }
            return switch (kind) {
                case NONE, DIRECT -> flow;
                case SMOOTHED -> smooth;
                case PULSES -> pulses.size() * PULSE_MILLILITRES / seconds;
            };
        }
    }
}
