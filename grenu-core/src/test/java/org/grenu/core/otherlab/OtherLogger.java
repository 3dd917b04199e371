package org.grenu.core.otherlab;

/**
 * What writes the log.
 *
 * @param step          between two rows, s
 * @param jitter        share of it by which a row comes earlier or later
 * @param before        the log begins so much before the pump, s
 * @param after         it ends so much after the stop, s
 * @param pressureNoise bar
 * @param pressureStep  of the sensor's display, bar
 * @param gaugeSeconds  how fast the sensor follows
 * @param meter         of the pump's flow
 * @param meterSeconds  its smoothing or window
 * @param massNoise     g
 */
record OtherLogger(double step, double jitter, double before, double after, double pressureNoise, double pressureStep,
        double gaugeSeconds, FlowMeter meter, double meterSeconds, double massNoise) {
}
