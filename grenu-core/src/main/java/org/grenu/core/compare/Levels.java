package org.grenu.core.compare;

import java.util.Comparator;
import org.grenu.core.quantity.DecimalText;

/** The order in which levels are spoken of: numbers by size, before words by letter. */
final class Levels {

    static final Comparator<String> ORDER = Comparator
            .<String>comparingDouble(level -> DecimalText.parse(level).orElse(Double.POSITIVE_INFINITY))
            .thenComparing(Comparator.naturalOrder());

    private Levels() {
    }
}
