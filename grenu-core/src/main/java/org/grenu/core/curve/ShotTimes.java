package org.grenu.core.curve;

import java.util.Optional;

/** The moments of a shot that its log shows or its record states; unknown ones are empty. */
public record ShotTimes(Optional<TimedEvent> pumpOn, Optional<TimedEvent> pressureOnset, Optional<TimedEvent> firstDrip,
        Optional<TimedEvent> pumpOff, Optional<TimedEvent> lastDrip) {
}
