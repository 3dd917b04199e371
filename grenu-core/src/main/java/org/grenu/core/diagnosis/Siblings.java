package org.grenu.core.diagnosis;

import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * Shots of the same recipe as one, and what they extracted.
 *
 * @param count  how many
 * @param mean   of their extraction yields as dosed, %; empty when none is known
 * @param spread standard deviation of those, points; empty for fewer than two
 */
public record Siblings(int count, OptionalDouble mean, OptionalDouble spread) {

    /** No shot like it. */
    public static final Siblings NONE = new Siblings(0, OptionalDouble.empty(), OptionalDouble.empty());

    /** {@return so many siblings, of which those extraction yields are known, %} */
    public static Siblings of(int count, DoubleStream yields) {
        double[] known = yields.toArray();
        OptionalDouble mean = DoubleStream.of(known).average();
        if (known.length < 2) {
            return new Siblings(count, mean, OptionalDouble.empty());
        }
        double squares = DoubleStream.of(known)
                .map(yield -> (yield - mean.getAsDouble()) * (yield - mean.getAsDouble()))
                .sum();
        return new Siblings(count, mean, OptionalDouble.of(Math.sqrt(squares / (known.length - 1))));
    }
}
