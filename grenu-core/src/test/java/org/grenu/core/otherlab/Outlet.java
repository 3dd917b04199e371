package org.grenu.core.otherlab;

/**
 * Filter, holder and spouts: some must be filled before anything drips; a share runs slowly along the walls; a thin
 * stream falls in drops.
 *
 * <p>The quick part empties faster the fuller it is, as a film does (power 1.5), not as a linear store.
 */
final class Outlet {

    private static final double STREAM = 0.5;

    private final double fills;
    private final double quickSeconds;
    private final double slowShare;
    private final double slowSeconds;
    private final double dropGrams;
    private double quick;
    private double slow;
    private double drop;

    Outlet(double fills, double quickSeconds, double slowShare, double slowSeconds, double dropGrams) {
        this.fills = fills;
        this.quickSeconds = quickSeconds;
        this.slowShare = slowShare;
        this.slowSeconds = slowSeconds;
        this.dropGrams = dropGrams;
    }

    /** {@return what falls into the cup in that time, g} */
    double fall(double in, double seconds) {
        quick += in * (1 - slowShare) * seconds;
        slow += in * slowShare * seconds;
        double over = Math.max(0, quick - fills);
        double fast = Math.min(over, over * Math.sqrt(over + 0.02) / quickSeconds * seconds);
        double late = slow * seconds / slowSeconds;
        quick -= fast;
        slow -= late;
        drop += fast + late;
        if ((fast + late) / seconds > STREAM || drop >= dropGrams) {
            double fallen = drop;
            drop = 0;
            return fallen;
        }
        return 0;
    }
}
