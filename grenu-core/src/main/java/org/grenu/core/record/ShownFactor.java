package org.grenu.core.record;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DisplayUnits;

/**
 * A numeric factor told in another unit than the canonical one.
 *
 * @param of the factor
 */
public record ShownFactor(RecordFactor of, DisplayUnits units) implements Factor {

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
    public boolean numeric() {
        return of.numeric();
    }

    @Override
    public OptionalDouble number(ShotRecord record) {
        OptionalDouble number = of.number(record);
        return number.isPresent() ? OptionalDouble.of(units.value(number.getAsDouble(), of.unit())) : number;
    }

    @Override
    public Optional<String> level(ShotRecord record) {
        return of.level(record).map(text -> units.shown(of.unit(), text));
    }

    @Override
    public Factor in(DisplayUnits others) {
        return of.in(others);
    }
}
