package org.grenu.core.curve;

import org.grenu.core.numbers.Samples;

/** How much of the pump's work lies where: what the cup mass followed while nobody weighed it. */
final class PumpShare {

    private PumpShare() {
    }

    /**
     * {@return the share of what flowed between two samples that had flowed at each, from 0 to 1; even when the
     * pump is unknown}
     */
    static double[] between(ShotLog log, int from, int to) {
        double[] share = new double[to - from + 1];
        double[] flow = log.find(Channel.PUMP_FLOW).map(Samples::toArray).orElse(null);
        double sum = 0;
        for (int i = from + 1; i <= to; i++) {
            double step = log.time().get(i) - log.time().get(i - 1);
            double rate = flow == null ? 1 : Math.max(0, (finite(flow[i]) + finite(flow[i - 1])) / 2);
            sum += step * rate;
            share[i - from] = sum;
        }
        for (int k = 1; k < share.length; k++) {
            share[k] = sum > 0 ? share[k] / sum : k / (share.length - 1.0);
        }
        return share;
    }

    /** {@return how long the pump ran after that time, by its flow or else by the pressure, s} */
    static double after(ShotLog log, double seconds) {
        Samples shown = log.find(Channel.PUMP_FLOW).or(() -> log.find(Channel.PRESSURE)).orElse(null);
        double least = log.find(Channel.PUMP_FLOW).isPresent() ? 0.3 : 1.5;
        double running = 0;
        for (int i = 1; shown != null && i < log.size(); i++) {
            if (log.time().get(i) > seconds && shown.get(i) > least) {
                running += log.time().get(i) - log.time().get(i - 1);
            }
        }
        return running;
    }

    private static double finite(double value) {
        return Double.isFinite(value) ? value : 0;
    }
}
