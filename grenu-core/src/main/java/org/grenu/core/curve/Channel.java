package org.grenu.core.curve;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;

/**
 * What a log can hold beside time, and what is computed from it, in the order the strips are stacked. Values are in
 * the canonical unit.
 */
public enum Channel {
    PRESSURE("pressure", "Pressure", Unit.BAR),
    /** Pump-side flow: what goes into the group. */
    PUMP_FLOW("pump_flow", "Pump flow", Unit.MILLILITRE_PER_SECOND),
    /** Cup-side flow: what leaves the puck; derived from the cup mass when it is not logged. */
    CUP_FLOW("cup_flow", "Cup flow", Unit.GRAM_PER_SECOND),
    CUP_MASS("cup_mass", "Cup mass", Unit.GRAM),
    TEMPERATURE("temperature", "Temperature", Unit.CELSIUS),
    /** Number of the profile's step that the machine says it is in, counted from 1. */
    STEP("step", "Step", Unit.NUMBER),
    /** Pressure over cup flow, where flow is established; never logged. */
    RESISTANCE("resistance", "Resistance", Unit.BAR_SECOND_PER_GRAM),
    /** Pressure over cup flow squared, as for a turbulent restriction; never logged. */
    RESISTANCE_SQUARED("resistance_squared", "Resistance²", Unit.BAR_SECOND_SQUARED_PER_GRAM_SQUARED);

    private static final List<Channel> LOGGED = Arrays.stream(values()).filter(Channel::logged).toList();

    private final String key;
    private final String title;
    private final Unit unit;

    Channel(String key, String title, Unit unit) {
        this.key = key;
        this.title = title;
        this.unit = unit;
    }

    /** {@return the channels that a log can hold} */
    public static List<Channel> ofLogs() {
        return LOGGED;
    }

    /** {@return whether a log can hold it; the others are computed from those} */
    public boolean logged() {
        return this != RESISTANCE && this != RESISTANCE_SQUARED;
    }

    /** {@return the name in files, such as {@code cup_mass}} */
    public String key() {
        return key;
    }

    /** {@return the name on screen, such as {@code Cup mass}} */
    public String title() {
        return title;
    }

    /** {@return the canonical unit} */
    public Unit unit() {
        return unit;
    }

    /** {@return what the channel measures} */
    public Quantity quantity() {
        return unit.quantity();
    }

    /** {@return the logged channel with that name in files} */
    public static Optional<Channel> find(String key) {
        for (Channel channel : LOGGED) {
            if (channel.key.equals(key)) {
                return Optional.of(channel);
            }
        }
        return Optional.empty();
    }
}
