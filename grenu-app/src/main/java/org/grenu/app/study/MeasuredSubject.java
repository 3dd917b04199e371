package org.grenu.app.study;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.record.Masses;
import org.grenu.core.record.ShotFilter;
import org.grenu.core.record.ShotRecord;

/**
 * A shot that is measured, so that a filter can ask for every response, too. What rules find in it was not looked
 * for.
 */
public final class MeasuredSubject extends RecordSubject {

    private final MeasuredShot shot;

    /** That shot. */
    public MeasuredSubject(MeasuredShot shot) {
        this.shot = shot;
    }

    /** {@return the filter for what was typed, in the units that all is kept in where none is named} */
    public static ShotFilter filter(String typed) {
        return ShotFilter.parse(typed, units(DisplayUnits.CANONICAL));
    }

    @Override
    public String words() {
        return allWords();
    }

    @Override
    OptionalDouble entered(String name) {
        OptionalDouble entered = super.entered(name);
        return entered.isPresent() ? entered
                : StandardResponse.find(name).map(response -> value(response.of(shot))).orElse(entered);
    }

    @Override
    ShotRecord record() {
        return shot.record();
    }

    @Override
    Masses masses() {
        return shot.measures().masses();
    }

    @Override
    Optional<Measured> extraction() {
        return StandardResponse.EY_AS_DOSED.of(shot);
    }

    @Override
    OptionalDouble time() {
        return TimeConvention.PUMP_ON_TO_PUMP_OFF.of(shot.measures().curve().times());
    }

    @Override
    OptionalDouble peakPressure() {
        return shot.measures().curve().peakPressure();
    }

    @Override
    String called() {
        return shot.name();
    }

    @Override
    String findings() {
        return "";
    }
}
