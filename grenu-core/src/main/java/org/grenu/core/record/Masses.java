package org.grenu.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.Input;
import org.grenu.core.quantity.Measured;

/**
 * A shot's masses and strength as far as they are known. A weighed beverage mass goes before that
 * of its slices, that before the one the curve gives, and that before one estimated from a volume.
 *
 * @param dose           g
 * @param beverage       g
 * @param beverageSource where the beverage mass comes from
 * @param strength       of the whole cup, %
 * @param strengthSource what tells it
 * @param moisture       %
 */
public record Masses(Optional<Measured> dose, Optional<Measured> beverage, BeverageSource beverageSource,
        Optional<Measured> strength, CupStrength.Source strengthSource, Optional<Measured> moisture) {

    /** {@return the masses of that record} */
    public static Masses of(ShotRecord record, Optional<Measured> beverageFromCurve) {
        OptionalDouble dose = record.number(RecordField.DOSE);
        CupStrength cup = CupStrength.of(record, beverageFromCurve);
        BeverageSource source = source(record, cup, beverageFromCurve);
        Optional<Measured> beverage = switch (source) {
            case WEIGHED, ESTIMATED -> record.beverage();
            case SLICES -> cup.mass();
            case CURVE -> beverageFromCurve;
            case UNKNOWN -> Optional.empty();
        };
        return new Masses(dose.isEmpty() ? Optional.empty() : Optional.of(record.weighed(dose.getAsDouble())),
                beverage, source, cup.strength(), cup.source(), record.moisture());
    }

    private static BeverageSource source(ShotRecord record, CupStrength cup, Optional<Measured> beverageFromCurve) {
        boolean entered = record.has(RecordField.BEVERAGE);
        if (entered && !record.beverageEstimated()) {
            return BeverageSource.WEIGHED;
        }
        if (cup.mass().isPresent()) {
            return BeverageSource.SLICES;
        }
        return beverageFromCurve.isPresent() ? BeverageSource.CURVE
                : entered ? BeverageSource.ESTIMATED : BeverageSource.UNKNOWN;
    }

    /** {@return dose, beverage and strength together, when all three are known} */
    public Optional<Brew> brew() {
        return dose.isPresent() && beverage.isPresent() && strength.isPresent()
                ? Optional.of(new Brew(dose.get(), beverage.get(), strength.get(), oneScale(), moisture))
                : Optional.empty();
    }

    /** {@return what an extraction yield as dosed still needs; empty when it can be given} */
    public List<Input> missing() {
        List<Input> missing = new ArrayList<>();
        if (dose.isEmpty()) {
            missing.add(Input.DOSE);
        }
        if (beverage.isEmpty()) {
            missing.add(Input.BEVERAGE);
        }
        if (strength.isEmpty()) {
            missing.add(Input.STRENGTH);
        }
        return missing;
    }

    /** {@return brew ratio, when dose and beverage mass are known} */
    public Optional<Measured> ratio() {
        return dose.isPresent() && beverage.isPresent()
                ? Optional.of(oneScale() ? beverage.get().dividedByOfOneInstrument(dose.get())
                        : beverage.get().dividedBy(dose.get()))
                : Optional.empty();
    }

    /** A record names one scale: what was weighed for it was weighed on that. */
    private boolean oneScale() {
        return beverageSource == BeverageSource.WEIGHED || beverageSource == BeverageSource.SLICES;
    }

    /** {@return dissolved solids, g, when beverage mass and strength are known} */
    public Optional<Measured> solids() {
        return beverage.isPresent() && strength.isPresent()
                ? Optional.of(strength.get().times(beverage.get()).times(0.01)) : Optional.empty();
    }
}
