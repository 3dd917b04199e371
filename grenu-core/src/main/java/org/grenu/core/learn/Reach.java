package org.grenu.core.learn;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What can be set for the next shot, and what it takes.
 *
 * @param grind  of the grinder
 * @param others what else can be moved: dose g, beverage mass g, temperature °C
 * @param purge  what a change of grind costs besides the dose, g
 * @param left   of the bag, g; empty where nobody knows
 */
public record Reach(GrinderRange grind, Map<Slope, SettingRange> others, double purge, OptionalDouble left) {

    public Reach {
        Map<Slope, SettingRange> copy = new EnumMap<>(Slope.class);
        copy.putAll(others);
        others = copy;
    }

    @Override
    public Map<Slope, SettingRange> others() {
        return Map.copyOf(others);
    }

    /** {@return the reach of a grinder alone, whose coffee lasts} */
    public static Reach of(GrinderRange grind) {
        return new Reach(grind, Map.of(), 0, OptionalDouble.empty());
    }

    /** {@return coffee for that shot, g} */
    public double cost(ShotInputs now, ShotInputs next) {
        return next.dose() + (Math.abs(next.finer() - now.finer()) > 1e-9 ? purge : 0);
    }

    /** {@return that set-up with the beverage mass drawn to what is wanted of it} */
    ShotInputs within(ShotInputs set) {
        SettingRange cup = others.get(Slope.BEVERAGE);
        return cup == null ? set
                : set.with(Slope.BEVERAGE, Math.max(cup.low(), Math.min(cup.high(), set.beverage())));
    }
}
