package org.grenu.core.phase;

import java.util.Optional;
import org.grenu.core.curve.FallBegin;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.curve.UniformCurve;

/** The pump stood still between wetting and the shot itself, s. */
record Pause(double from, double to) {

    private static final double FLOWING = 0.3;
    private static final double STILL = 0.2;
    private static final double SHORTEST_SECONDS = 1;
    private static final double TAIL_SECONDS = 2.5;
    private static final double COURSE_SECONDS = 1.5;

    /** {@return the last such pause before that time; empty when there is none, or no flow was logged} */
    static Optional<Pause> before(Optional<UniformCurve> pumpFlow, double on, double until) {
        if (pumpFlow.isEmpty()) {
            return Optional.empty();
        }
        UniformCurve flow = pumpFlow.get();
        int resumed = (int) Math.min(flow.size() - 1, Math.round((until - flow.start()) / flow.step()));
        while (resumed > 0 && !(flow.value(resumed) < STILL)) {
            resumed--;
        }
        int stopped = resumed;
        while (stopped > 0 && flow.value(stopped - 1) < FLOWING) {
            stopped--;
        }
        double from = flow.time(stopped);
        double to = flow.time(resumed) + flow.step();
        if (to - from < SHORTEST_SECONDS || from <= on + SHORTEST_SECONDS / 2) {
            return Optional.empty();
        }
        double begin = FallBegin.between(flow, Math.max(on + 0.2, from - TAIL_SECONDS), from,
                from - TAIL_SECONDS - COURSE_SECONDS, from + SHORTEST_SECONDS, "pump flow")
                .map(TimedEvent::seconds)
                .orElse(from);
        return Optional.of(new Pause(begin, to));
    }
}
