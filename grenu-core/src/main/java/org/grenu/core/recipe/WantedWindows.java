package org.grenu.core.recipe;

import java.util.List;
import java.util.Optional;
import org.grenu.core.diagnosis.StartEntry;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.learn.AimRange;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.recipe.Proposed.Source;
import org.grenu.core.recipe.SchoolVoices.Said;

/**
 * The windows of extraction yield and strength that are wanted before the ratio is looked at: the user's own, those of
 * a speaking school, or common practice's.
 *
 * @param words      of both windows
 * @param yieldWords of the yield's
 * @param source     who says so
 * @param others     what other schools say of the yield
 */
record WantedWindows(TargetWindow window, String words, String yieldWords, Source source,
        List<Proposed.Other> others) {

    /** {@return those for that set-up} */
    static WantedWindows of(StartRecipe.Asked asked, SchoolVoices schools) {
        TargetWindow usual = TargetWindow.USUAL;
        List<Proposed.Other> others = schools.others(StartEntry.YIELD_PCT,
                rule -> DecimalText.exact(rule.low()) + "–" + DecimalText.exact(rule.high()) + " %");
        Optional<KeptWindows> kept = asked.windows().filter(one -> one.yield().isPresent());
        if (kept.isPresent()) {
            AimRange yield = kept.get().yield().get();
            AimRange strength = kept.get()
                    .strength()
                    .orElse(new AimRange(usual.strengthLow(), usual.strengthHigh()));
            String words = kept.get().words(asked.setUp());
            return new WantedWindows(new TargetWindow(yield.low(), yield.high(), strength.low(), strength.high()),
                    words,
                    words, Source.HISTORY, others);
        }
        Optional<
                Said> yield = schools.said(StartEntry.YIELD_PCT).filter(said -> said.rule().high() > said.rule().low());
        Optional<Said> strength = schools.said(StartEntry.STRENGTH_PCT)
                .filter(said -> said.rule().high() > said.rule().low() && said.rule().low() > 0);
        TargetWindow window = new TargetWindow(
                yield.map(said -> said.rule().low()).orElse(usual.yieldLow()),
                yield.map(said -> said.rule().high()).orElse(usual.yieldHigh()),
                strength.map(said -> said.rule().low()).orElse(usual.strengthLow()),
                strength.map(said -> said.rule().high()).orElse(usual.strengthHigh()));
        String yieldWords = "EY " + DecimalText.exact(window.yieldLow()) + "–"
                + DecimalText.exact(window.yieldHigh()) + " % (" + whose(yield) + ")";
        return new WantedWindows(window, yieldWords + " and strength " + DecimalText.exact(window.strengthLow()) + "–"
                + DecimalText.exact(window.strengthHigh()) + " % (" + whose(strength) + ")", yieldWords,
                yield.isPresent() || strength.isPresent() ? Source.SCHOOL : Source.PRACTICE, others);
    }

    private static String whose(Optional<Said> said) {
        return said.map(one -> one.pack().school()).orElse("common practice");
    }
}
