package org.grenu.core.otherlab;

/** What drives the water into the group: its flow, mL/s, against that pressure. */
sealed interface Push {

    /**
     * {@return the flow, mL/s}
     *
     * @param bar     in the group
     * @param seconds since this push began
     * @param pushed  since this push began, mL
     */
    double flow(double bar, double seconds, double pushed);

    /** Nothing runs. */
    record Rest() implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            return 0;
        }
    }

    /** A vibration pump: less flow the more pressure, along a straight line; a relief valve lets the rest past. */
    record Vibration(double free, double stallBar, double reliefBar, double reliefFlow) implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            double given = free * Math.max(0, 1 - bar / stallBar);
            return Math.max(0, given - Math.max(0, bar - reliefBar) * reliefFlow);
        }
    }

    /** A line of some pressure behind a throttle: mains water, a rotary pump with its bypass, a boiler. */
    record Line(double lineBar, double barPerFlow, double most, double riseSeconds) implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            double line = lineBar * (riseSeconds > 0 ? 1 - Math.exp(-seconds / riseSeconds) : 1);
            return Math.max(0, Math.min(most, (line - bar) / barPerFlow));
        }
    }

    /** A needle valve between a line and the group, turbulent: flow goes with the root of the pressure lost. */
    record Needle(double lineBar, double opening, double moveSeconds, double openingBefore) implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            double share = Math.min(1, seconds / moveSeconds);
            double open = openingBefore + (opening - openingBefore) * share;
            return open * Math.sqrt(Math.max(0, lineBar - bar));
        }
    }

    /** A controller that holds a pressure, moving evenly from one to another; it closes in within its gain. */
    record HeldPressure(double fromBar, double toBar, double overSeconds, double gain, double most) implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            double share = overSeconds > 0 ? Math.min(1, seconds / overSeconds) : 1;
            return Math.max(0, Math.min(most, (fromBar + (toBar - fromBar) * share - bar) * gain));
        }
    }

    /** A gear pump that gives the flow it is asked for, up to a pressure. */
    record HeldFlow(double from, double to, double overSeconds, double mostBar) implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            double share = overSeconds > 0 ? Math.min(1, seconds / overSeconds) : 1;
            return Math.max(0, Math.min(from + (to - from) * share, (mostBar - bar) * 4));
        }
    }

    /** A spring on a piston: the pressure falls as the piston travels, after a stretch in which it is held by hand. */
    record Spring(double bar0, double heldVolume, double barPerMillilitre, double stroke) implements Push {
        @Override
        public double flow(double bar, double seconds, double pushed) {
            double force = bar0 * Math.min(1, seconds / 0.8) - Math.max(0, pushed - heldVolume) * barPerMillilitre;
            return pushed >= stroke ? 0 : Math.max(0, Math.min(9, (force - bar) * 6));
        }
    }
}
