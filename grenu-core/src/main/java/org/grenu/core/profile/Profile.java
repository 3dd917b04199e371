package org.grenu.core.profile;

import java.util.List;
import java.util.stream.Collectors;

/**
 * The intended course of a shot.
 *
 * @param steps in order, at least one
 */
public record Profile(List<ProfileStep> steps) {

    /** @throws IllegalArgumentException if there is no step */
    public Profile {
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a profile needs at least one step");
        }
        steps = List.copyOf(steps);
    }

    /**
     * {@return the profile written so, steps separated by semicolons:
     * {@code soak: pressure 2.4 ±0.4, flow at most 4 until 2 s after drip or 25 s; main: pressure 9 over 3 s ±0.6}}
     *
     * @throws IllegalArgumentException if it cannot be understood; the message names the step and what can be written
     */
    public static Profile parse(String text) {
        return new ProfileText(text).profile();
    }

    /** {@return as text that reads back the same} */
    public String text() {
        return steps.stream().map(ProfileText::of).collect(Collectors.joining("; "));
    }
}
