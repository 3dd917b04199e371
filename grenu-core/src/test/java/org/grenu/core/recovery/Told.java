package org.grenu.core.recovery;

import java.util.Locale;

/** Prints every source's shares: {@code SHOTS SEED [MISSES OF]}. */
final class Told {

    private Told() {
    }

    public static void main(String[] arguments) {
        int shots = Integer.parseInt(arguments[0]);
        long seed = Long.parseLong(arguments[1]);
        Recovery[] found = new Recovery[Source.values().length];
        for (Source source : Source.values()) {
            found[source.ordinal()] = Recovery.of(source, seed, shots);
        }
        for (Asked asked : Asked.values()) {
            System.out.printf(Locale.ROOT, "%-55s", asked.title());
            for (Recovery one : found) {
                System.out.printf(Locale.ROOT, " %5.1f of %4d", 100 * one.share(asked), one.count(asked));
            }
            System.out.println();
        }
        for (org.grenu.core.phase.PhaseKind kind : org.grenu.core.phase.PhaseKind.values()) {
            System.out.printf(Locale.ROOT, "%-55s", kind);
            for (Recovery one : found) {
                Recovery.Share share = one.borders().get(kind);
                System.out.printf(Locale.ROOT, " %5.1f of %4d", share == null ? Double.NaN : 100 * share.value(),
                        share == null ? 0 : share.all());
            }
            System.out.println();
        }
        if (arguments.length > 2) {
            for (Recovery one : found) {
                one.misses(Asked.valueOf(arguments[2])).stream().limit(12).forEach(System.out::println);
                System.out.println();
            }
        }
    }
}
