package org.grenu.core.demo.dialin;

import java.util.Arrays;
import org.grenu.core.learn.Prediction;

/**
 * How often what was foretold came within its 95 % interval, by the shot's place in the ladder.
 *
 * @param foretold shots pulled as proposed: the second, the third, the fourth and later
 * @param within   of them within their interval
 */
public record Held(int[] foretold, int[] within) {

    /** Places that are told apart. */
    public static final int PLACES = 3;

    /** Of none. */
    Held() {
        this(new int[PLACES], new int[PLACES]);
    }

    public Held {
        foretold = foretold.clone();
        within = within.clone();
    }

    @Override
    public int[] foretold() {
        return foretold.clone();
    }

    @Override
    public int[] within() {
        return within.clone();
    }

    /** {@return likewise with one more shot, the second of its ladder or a later one} */
    Held and(int shot, Prediction foreseen, double came) {
        int place = Math.min(PLACES, shot - 1) - 1;
        int[] more = foretold.clone();
        int[] in = within.clone();
        more[place]++;
        in[place] += came >= foreseen.quantile(0.025) && came <= foreseen.quantile(0.975) ? 1 : 0;
        return new Held(more, in);
    }

    /** {@return of the shots at that place, 0 for the second of a ladder, from 0 to 1} */
    public double share(int place) {
        return within[place] / (double) foretold[place];
    }

    /** {@return of all, from 0 to 1} */
    public double share() {
        return Arrays.stream(within).sum() / (double) Arrays.stream(foretold).sum();
    }
}
