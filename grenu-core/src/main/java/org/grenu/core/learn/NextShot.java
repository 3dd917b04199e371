package org.grenu.core.learn;

/** What to pull next. */
public sealed interface NextShot {

    /** {@return the setting of the grinder, notches finer} */
    double finer();

    /** {@return the chance that a shot there takes the time that is wanted} */
    double chance();

    /** Why there. */
    enum Why {
        /** A shot there is likeliest to take the time that is wanted. */
        LIKELIEST,
        /** The last step told nothing that the spread of a shot could not have made. */
        TOLD_NOTHING,
        /** The changes went to and fro: half of the last one. */
        BETWEEN_THE_LAST_TWO
    }

    /** The grinder set anew, all else as it is. */
    record Change(double finer, StudentT logTime, double chance, Why why) implements NextShot {
    }

    /** The same once more. */
    record Repeat(double finer, StudentT logTime, double chance, Why why) implements NextShot {
    }

    /**
     * Nothing: the time is met, and no change would raise the chance by much.
     *
     * @param gain by how much the best change would raise it
     */
    record Enough(double finer, double chance, double gain) implements NextShot {
    }

    /**
     * The grinder's end: even there the time is hardly met.
     *
     * @param finest whether it is the finest setting
     */
    record Limit(double finer, StudentT logTime, double chance, boolean finest) implements NextShot {
    }
}
