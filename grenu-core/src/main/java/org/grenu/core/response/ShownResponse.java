package org.grenu.core.response;

import java.util.Optional;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;

/**
 * A response told in another unit than the canonical one.
 *
 * @param of the response
 */
public record ShownResponse(StandardResponse of, DisplayUnits units) implements Response {

    @Override
    public String key() {
        return of.key();
    }

    @Override
    public String title() {
        return of.title();
    }

    @Override
    public String unit() {
        return units.symbol(of.unit());
    }

    @Override
    public double usualMargin() {
        return units.limit(of.usualMargin(), of.unit());
    }

    @Override
    public Optional<Measured> of(MeasuredShot shot) {
        return of.of(shot)
                .map(value -> value.restingAsBefore(units.value(value.value(), of.unit()),
                        units.difference(value.independent(), of.unit()), units.difference(value.shared(), of.unit())));
    }

    @Override
    public Response in(DisplayUnits others) {
        return of.in(others);
    }
}
