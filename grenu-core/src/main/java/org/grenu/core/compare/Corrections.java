package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;

/**
 * What the model of a response corrects for beside what is asked about.
 *
 * @param adjusters taken out
 * @param carryOver grounds of the setting before, which the grind is counted with
 */
record Corrections(List<Adjuster> adjusters, CarryOver carryOver) {

    static final Corrections NONE = new Corrections(List.of(), CarryOver.NONE);

    Corrections {
        adjusters = List.copyOf(adjusters);
    }

    Corrections and(List<Adjuster> more) {
        List<Adjuster> all = new ArrayList<>(adjusters);
        all.addAll(more);
        return new Corrections(all, carryOver);
    }
}
