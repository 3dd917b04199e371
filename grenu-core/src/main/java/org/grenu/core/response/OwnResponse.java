package org.grenu.core.response;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.OwnFactor;

/**
 * A number the user notes for every shot of a study, asked about.
 *
 * @param entry       the numeric entry
 * @param usualMargin in its unit, in [0, ∞); 0 while the user has given none, so that nothing passes for the same
 */
public record OwnResponse(OwnFactor entry, double usualMargin) implements Response {

    /** @throws IllegalArgumentException if the entry is not a number */
    public OwnResponse {
        if (!entry.numeric()) {
            throw new IllegalArgumentException(entry.key() + " is not a number in every shot");
        }
    }

    @Override
    public String key() {
        return entry.key();
    }

    @Override
    public String title() {
        return entry.title();
    }

    @Override
    public String unit() {
        return entry.unit();
    }

    @Override
    public Optional<Measured> of(MeasuredShot shot) {
        OptionalDouble number = entry.number(shot.record());
        return number.isPresent() ? Optional.of(Measured.exact(number.getAsDouble())) : Optional.empty();
    }
}
