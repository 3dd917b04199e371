package org.grenu.core.profile;

import org.grenu.core.curve.Channel;

/** What a step of a profile holds. */
public enum Target {
    /** bar */
    PRESSURE("pressure", Channel.PRESSURE),
    /** Pump-side flow, mL/s. */
    FLOW("flow", Channel.PUMP_FLOW);

    private final String word;
    private final Channel channel;

    Target(String word, Channel channel) {
        this.word = word;
        this.channel = channel;
    }

    /** {@return its name in a profile's text} */
    public String word() {
        return word;
    }

    /** {@return the channel it is held against} */
    public Channel channel() {
        return channel;
    }
}
