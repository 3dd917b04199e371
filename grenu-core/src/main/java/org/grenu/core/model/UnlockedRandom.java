package org.grenu.core.model;

import java.util.Random;

/**
 * The numbers of {@link Random} for that seed, for one thread: shuffling spent half its time on the lock that makes a
 * {@link Random} safe for several.
 */
final class UnlockedRandom extends Random {

    private static final long serialVersionUID = 1;
    private static final long MULTIPLIER = 0x5DEECE66DL;
    private static final long MASK = (1L << 48) - 1;

    private long state;

    UnlockedRandom(long seed) {
        super(seed);
    }

    @Override
    public synchronized void setSeed(long seed) {
        super.setSeed(seed);
        state = (seed ^ MULTIPLIER) & MASK;
    }

    @Override
    protected int next(int bits) {
        state = (state * MULTIPLIER + 0xBL) & MASK;
        return (int) (state >>> (48 - bits));
    }
}
