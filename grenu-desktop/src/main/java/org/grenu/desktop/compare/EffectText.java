package org.grenu.desktop.compare;

import java.util.Locale;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.Wording;
import org.grenu.core.quantity.Reported;

/** An effect with all its numbers, in words. */
final class EffectText {

    private EffectText() {
    }

    static String of(Effect effect) {
        StringBuilder words = new StringBuilder(effect.variable().title()).append(' ').append(effect.words());
        addEstimate(words, effect);
        words.append('\n').append(effect.verdict().words());
        return words.append(", ")
                .append(effect.evidence())
                .append(effect.margin() > 0 ? "; same in practice within " : "; ")
                .append(Wording.margin(effect.margin()))
                .append(effect.ranksDisagree() ? "\nMeans and ranks disagree: look at the points." : "")
                .toString();
    }

    private static void addEstimate(StringBuilder words, Effect effect) {
        if (effect.estimate().isPresent()) {
            words.append(": ").append(Wording.signed(effect));
            if (Double.isFinite(effect.p())) {
                words.append(String.format(Locale.ROOT, "%nstandard error %s, %s degrees of freedom, p %s",
                        Reported.fixed(effect.estimate().get().se(), 3),
                        Reported.fixed(effect.estimate().get().df(), 1), p(effect.p())));
                effect.rankP().ifPresent(rank -> words.append(", by ranks ").append(p(rank)));
            }
        }
    }

    static String p(double p) {
        return p < 0.001 ? "below 0.001" : String.format(Locale.ROOT, "%.3f", p);
    }
}
