package org.grenu.library;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * What emptying the bin loses for good, beside the history of it all.
 *
 * @param things how many of each kind; parts of things that are counted are not counted again
 * @param logs   how many of the shots have a log, which goes with the file it came from
 */
public record BinLoss(Map<Target, Integer> things, int logs) {

    public BinLoss {
        EnumMap<Target, Integer> some = new EnumMap<>(Target.class);
        things.forEach((target, count) -> {
            if (count > 0) {
                some.put(target, count);
            }
        });
        things = Collections.unmodifiableMap(some);
    }

    /** {@return how many things of that kind it loses} */
    public int of(Target target) {
        return things.getOrDefault(target, 0);
    }
}
