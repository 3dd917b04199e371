package org.grenu.core.diagnosis;

import java.util.List;

/**
 * What a school begins with, where its conditions hold for certain or likely.
 *
 * @param entry      what it says something of
 * @param conditions all must hold
 * @param low        least that it takes, in the entry's unit
 * @param high       most; the same as the least where it names one number
 * @param because    why, in words
 */
public record StartRule(StartEntry entry, List<Condition> conditions, double low, double high, String because) {

    private static final double LIKELY = 0.5;

    public StartRule {
        conditions = List.copyOf(conditions);
    }

    /** {@return whether it speaks of a shot set up so} */
    public boolean speaks(ShotContext setUp) {
        return conditions.stream().allMatch(condition -> condition.probability(setUp) > LIKELY);
    }

    /** {@return the middle of what it takes} */
    public double middle() {
        return (low + high) / 2;
    }
}
