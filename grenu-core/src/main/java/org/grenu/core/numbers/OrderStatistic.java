package org.grenu.core.numbers;

import org.hipparchus.util.KthSelector;

/** A value by its rank, found without sorting the others. */
public final class OrderStatistic {

    private OrderStatistic() {
    }

    /**
     * {@return the value of that rank, the smallest has rank 0}
     *
     * @param values without NaN; their order changes
     */
    public static double of(double[] values, int rank) {
        return new KthSelector().select(values, null, rank);
    }
}
