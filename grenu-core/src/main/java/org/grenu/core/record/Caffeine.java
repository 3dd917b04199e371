package org.grenu.core.record;

import java.util.List;

/**
 * What swallowing a day's shots whole would come to, as a caution and no more: 1.2 % caffeine in dry arabica and nine
 * tenths of it in the cup (common practice, no source).
 */
public final class Caffeine {

    /** At once, mg, for healthy adults; EFSA Journal 13 (2015) 4102 (from memory). */
    public static final double AT_ONCE = 200;
    /** In a day, mg, likewise. */
    public static final double A_DAY = 400;
    /** In a day of pregnancy, mg, likewise. */
    public static final double IN_PREGNANCY = 200;

    private static final double SHARE = 0.012;
    private static final double IN_THE_CUP = 0.9;

    private Caffeine() {
    }

    /** {@return estimate for those shots, mg; shots without a dose count as none} */
    public static double milligrams(List<ShotRecord> shots) {
        return shots.stream()
                .mapToDouble(shot -> 1000 * SHARE * IN_THE_CUP * shot.number(RecordField.DOSE).orElse(0))
                .sum();
    }
}
