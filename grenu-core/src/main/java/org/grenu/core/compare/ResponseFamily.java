package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.grenu.core.model.Adjustment;

/**
 * Responses that are asked about together. The first is the question; what a change does to the others as well is
 * corrected after Holm among them, so that five responses do not find five times as much by chance.
 */
final class ResponseFamily {

    private ResponseFamily() {
    }

    /** {@return those answers, the effects on all but the first with p corrected and judged by it} */
    static List<ResponseAnswer> corrected(List<ResponseAnswer> answers) {
        if (answers.size() < 3) {
            return answers;
        }
        List<List<Effect>> effects = new ArrayList<>();
        answers.forEach(answer -> effects.add(new ArrayList<>(answer.effects())));
        List<Effect> done = new ArrayList<>();
        for (int a = 1; a < effects.size(); a++) {
            for (Effect effect : List.copyOf(effects.get(a))) {
                if (done.stream().noneMatch(effect::sameChange)) {
                    done.add(effect);
                    correct(effect, effects);
                }
            }
        }
        return IntStream.range(0, answers.size())
                .mapToObj(a -> a == 0 ? answers.get(0) : answers.get(a).with(effects.get(a)))
                .toList();
    }

    private static void correct(Effect change, List<List<Effect>> effects) {
        List<int[]> places = new ArrayList<>();
        List<Double> p = new ArrayList<>();
        for (int a = 1; a < effects.size(); a++) {
            for (int e = 0; e < effects.get(a).size(); e++) {
                Effect effect = effects.get(a).get(e);
                if (effect.sameChange(change) && Double.isFinite(effect.p())) {
                    places.add(new int[] {a, e});
                    p.add(effect.p());
                }
            }
        }
        List<Double> corrected = Adjustment.holm(p);
        for (int k = 0; k < places.size(); k++) {
            int[] place = places.get(k);
            effects.get(place[0]).set(place[1], effects.get(place[0]).get(place[1]).corrected(corrected.get(k)));
        }
    }
}
