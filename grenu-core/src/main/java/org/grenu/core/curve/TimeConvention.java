package org.grenu.core.curve;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** The ways in which a shot's time is counted; every time that is shown names its own. */
public enum TimeConvention {
    PUMP_ON_TO_PUMP_OFF("pump_on_to_pump_off", "pump on to pump off", ShotTimes::pumpOn, ShotTimes::pumpOff),
    PUMP_ON_TO_LAST_DRIP("pump_on_to_last_drip", "pump on to last drip", ShotTimes::pumpOn, ShotTimes::lastDrip),
    FIRST_DRIP_TO_PUMP_OFF("first_drip_to_pump_off", "first drip to pump off", ShotTimes::firstDrip,
            ShotTimes::pumpOff),
    FIRST_DRIP_TO_LAST_DRIP("first_drip_to_last_drip", "first drip to last drip", ShotTimes::firstDrip,
            ShotTimes::lastDrip),
    /** Without the wetting phase. */
    PRESSURE_TO_PUMP_OFF("pressure_to_pump_off", "first pressure to pump off", ShotTimes::pressureOnset,
            ShotTimes::pumpOff),
    PRESSURE_TO_LAST_DRIP("pressure_to_last_drip", "first pressure to last drip", ShotTimes::pressureOnset,
            ShotTimes::lastDrip);

    private final String key;
    private final String title;
    private final Function<ShotTimes, Optional<TimedEvent>> from;
    private final Function<ShotTimes, Optional<TimedEvent>> to;

    TimeConvention(String key, String title, Function<ShotTimes, Optional<TimedEvent>> from,
            Function<ShotTimes, Optional<TimedEvent>> to) {
        this.key = key;
        this.title = title;
        this.from = from;
        this.to = to;
    }

    /** {@return the name in files} */
    public String key() {
        return key;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }

    /** {@return whether it ends with the same moment as that one} */
    public boolean endsLike(TimeConvention other) {
        return withThePump() == other.withThePump();
    }

    private boolean withThePump() {
        return this == PUMP_ON_TO_PUMP_OFF || this == FIRST_DRIP_TO_PUMP_OFF || this == PRESSURE_TO_PUMP_OFF;
    }

    /** {@return how late it starts: 0 with the pump, 1 with the first pressure, 2 with the first drip} */
    public int startsLate() {
        return switch (this) {
            case PUMP_ON_TO_PUMP_OFF, PUMP_ON_TO_LAST_DRIP -> 0;
            case PRESSURE_TO_PUMP_OFF, PRESSURE_TO_LAST_DRIP -> 1;
            case FIRST_DRIP_TO_PUMP_OFF, FIRST_DRIP_TO_LAST_DRIP -> 2;
        };
    }

    /** {@return the convention with that name in files} */
    public static Optional<TimeConvention> find(String key) {
        return Arrays.stream(values()).filter(convention -> convention.key.equals(key)).findFirst();
    }

    /** {@return the standard uncertainty of that time, s; empty when one of its moments is unknown} */
    public OptionalDouble uncertainty(ShotTimes times) {
        Optional<TimedEvent> start = from.apply(times);
        Optional<TimedEvent> end = to.apply(times);
        return start.isPresent() && end.isPresent()
                ? OptionalDouble.of(Math.hypot(start.get().u(), end.get().u())) : OptionalDouble.empty();
    }

    /** {@return the shot's time by this convention, s; empty when one of its moments is unknown} */
    public OptionalDouble of(ShotTimes times) {
        Optional<TimedEvent> start = from.apply(times);
        Optional<TimedEvent> end = to.apply(times);
        return start.isPresent() && end.isPresent()
                ? OptionalDouble.of(end.get().seconds() - start.get().seconds())
                : OptionalDouble.empty();
    }
}
