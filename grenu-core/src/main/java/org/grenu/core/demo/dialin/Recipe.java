package org.grenu.core.demo.dialin;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.learn.Aim;
import org.grenu.core.learn.AimRange;
import org.grenu.core.learn.GrinderRange;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;

/** What is wanted of every coffee: 18 g to 36 ± 2 g in 27 to 31 s, and where it is aimed at 18 to 22 %. */
final class Recipe {

    static final double SECONDS = 29;
    static final double NEAR = 2;
    static final AimRange TIME = new AimRange(SECONDS - NEAR, SECONDS + NEAR);
    static final AimRange YIELD = new AimRange(18, 22);
    static final double DOSE_STEP = 0.5;
    static final SettingRange DOSE = new SettingRange(17, 19, DOSE_STEP);
    static final double BEVERAGE_STEP = 2;
    static final SettingRange BEVERAGE = new SettingRange(34, 38, BEVERAGE_STEP);
    static final double PURGE = 2;

    private Recipe() {
    }

    static Aim both() {
        return new Aim(TIME, Optional.of(YIELD), Optional.empty(), Map.of());
    }

    static Reach reach(GrinderRange grind) {
        return new Reach(grind, Map.of(Slope.DOSE, DOSE, Slope.BEVERAGE, BEVERAGE), PURGE, OptionalDouble.empty());
    }

    static boolean meets(UnknownCoffee.Pulled shot) {
        return TIME.holds(shot.seconds()) && YIELD.holds(shot.yield());
    }

    /** {@return whether some setting of the grinder, dose and beverage mass meets both but for a shot's spread} */
    static boolean reachable(UnknownCoffee coffee, double start, GrinderRange grind) {
        for (double dose = DOSE.low(); dose <= DOSE.high(); dose += DOSE_STEP) {
            for (double beverage = BEVERAGE.low(); beverage <= BEVERAGE.high(); beverage += BEVERAGE_STEP) {
                ShotInputs set = new ShotInputs(start, dose, beverage, UnknownCoffee.USUAL.celsius(),
                        UnknownCoffee.USUAL.days());
                if (metSomewhere(coffee, set, grind)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean metSomewhere(UnknownCoffee coffee, ShotInputs set, GrinderRange grind) {
        double low = Math.ceil(grind.coarsest());
        double high = Math.floor(grind.finest());
        // Finer is slower, so that the settings which meet the time lie side by side.
        while (high - low > 1) {
            double middle = Math.rint((low + high) / 2);
            if (coffee.expected(set.at(middle)).seconds() < SECONDS) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return meets(coffee.expected(set.at(low))) || meets(coffee.expected(set.at(high)));
    }
}
