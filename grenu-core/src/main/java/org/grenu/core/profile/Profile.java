package org.grenu.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
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

    /** {@return this profile with another step in that place} */
    public Profile with(int place, ProfileStep step) {
        List<ProfileStep> changed = new ArrayList<>(steps);
        changed.set(place, step);
        return new Profile(changed);
    }

    /** {@return whether a step says how hot its water is} */
    public boolean heats() {
        return steps.stream().anyMatch(step -> step.water().isPresent());
    }

    /** {@return this profile with that water, °C, where a step says nothing of it} */
    public Profile heatedBy(double celsius) {
        return new Profile(steps.stream()
                .map(step -> step.brewedAt(OptionalDouble.of(step.water().orElse(celsius))))
                .toList());
    }

    /** {@return this profile with water as it is set on the machine} */
    public Profile unheated() {
        return new Profile(steps.stream().map(step -> step.brewedAt(OptionalDouble.empty())).toList());
    }

    /** {@return this profile with one more step, before the one in that place} */
    public Profile inserted(int place, ProfileStep step) {
        List<ProfileStep> changed = new ArrayList<>(steps);
        changed.add(place, step);
        return new Profile(changed);
    }

    /**
     * {@return this profile without the step in that place}
     *
     * @throws IllegalArgumentException if it is the only one
     */
    public Profile without(int place) {
        List<ProfileStep> changed = new ArrayList<>(steps);
        changed.remove(place);
        return new Profile(changed);
    }

    /** {@return as text that reads back the same} */
    public String text() {
        return steps.stream().map(ProfileText::of).collect(Collectors.joining("; "));
    }
}
