package org.grenu.core.diagnosis;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.quantity.Measured;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;

/** What the extraction yield says against the usual window. Speaks only when the whole interval lies outside. */
final class YieldRules {

    private YieldRules() {
    }

    static Optional<Finding> outsideWindow(ShotSheet sheet, ShotMeasures measures) {
        Optional<Brew> brew = measures.masses().brew();
        if (brew.isEmpty()) {
            return Optional.empty();
        }
        Measured percent = brew.get().asDosed().percent();
        TargetWindow window = TargetWindow.USUAL;
        String evidence = String.format(Locale.ROOT, "%.1f %% as dosed, U = %.2f points; window %.0f–%.0f %%",
                percent.value(), percent.expanded(), window.yieldLow(), window.yieldHigh());
        if (percent.value() + percent.expanded() < window.yieldLow()) {
            return Optional.of(new Finding("yield_below_window", Severity.NOTE, "Extraction lies below the usual window.",
                    evidence, OptionalDouble.empty(), "Finer, then hotter, then longer.", "school of yield"));
        }
        if (percent.value() - percent.expanded() > window.yieldHigh()) {
            return Optional.of(new Finding("yield_above_window", Severity.NOTE, "Extraction lies above the usual window.",
                    evidence, OptionalDouble.empty(), "Coarser, then cooler, then shorter.", "school of yield"));
        }
        return Optional.empty();
    }
}
