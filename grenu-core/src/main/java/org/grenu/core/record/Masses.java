package org.grenu.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.Input;
import org.grenu.core.quantity.Measured;

/**
 * A shot's masses and strength as far as they are known. A weighed beverage mass goes before the one the curve gives.
 *
 * @param dose           g
 * @param beverage       g
 * @param beverageSource where the beverage mass comes from
 * @param strength       %
 * @param moisture       %
 */
public record Masses(Optional<Measured> dose, Optional<Measured> beverage, BeverageSource beverageSource,
        Optional<Measured> strength, Optional<Measured> moisture) {

    /** {@return the masses of that record} */
    public static Masses of(ShotRecord record, Optional<Measured> beverageFromCurve) {
        OptionalDouble dose = record.number(RecordField.DOSE);
        OptionalDouble weighed = record.number(RecordField.BEVERAGE);
        Optional<Measured> beverage = weighed.isPresent()
                ? Optional.of(record.weighed(weighed.getAsDouble())) : beverageFromCurve;
        BeverageSource source = weighed.isPresent() ? BeverageSource.WEIGHED
                : beverage.isPresent() ? BeverageSource.CURVE : BeverageSource.UNKNOWN;
        return new Masses(dose.isEmpty() ? Optional.empty() : Optional.of(record.weighed(dose.getAsDouble())),
                beverage, source, record.strengthSeries().strength(), record.moisture());
    }

    /** {@return dose, beverage and strength together, when all three are known} */
    public Optional<Brew> brew() {
        return dose.isPresent() && beverage.isPresent() && strength.isPresent()
                ? Optional.of(new Brew(dose.get(), beverage.get(), strength.get(), moisture))
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
                ? Optional.of(beverage.get().dividedBy(dose.get())) : Optional.empty();
    }

    /** {@return dissolved solids, g, when beverage mass and strength are known} */
    public Optional<Measured> solids() {
        return beverage.isPresent() && strength.isPresent()
                ? Optional.of(strength.get().times(beverage.get()).times(0.01)) : Optional.empty();
    }
}
