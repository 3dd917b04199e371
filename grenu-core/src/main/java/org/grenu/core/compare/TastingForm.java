package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;

/**
 * Shots that were tasted alike. Open and blind, neat and diluted, straight and with milk, hot and cooled are never put
 * together unasked: the form that most shots have is compared, the others are named and left out. Where nobody wrote a
 * form down, it is taken for the common one, and said.
 *
 * @param alike   tasted alike, or nobody knows
 * @param others  tasted in another form
 * @param unknown of those alike, shots whose form is not written down though others' is
 * @param form    the form in words, such as {@code neat, open}; empty where nobody wrote any down
 */
record TastingForm(List<MeasuredShot> alike, List<MeasuredShot> others, List<MeasuredShot> unknown, String form) {

    /** Cups that far apart in temperature are tasted alike, °C (assumed, no source). */
    private static final double ALIKE_CELSIUS = 5;
    private static final Map<RecordFactor, RecordField> PARTS = Map.of(RecordFactor.TASTED_AS, RecordField.TASTED_AS,
            RecordFactor.TASTED_BLIND, RecordField.TASTED_BLIND, RecordFactor.SERVED, RecordField.SERVED);

    /**
     * {@return how those shots were tasted, as far as the response is tasted at all and the form is not asked about}
     */
    static TastingForm of(Question question, Response response, List<MeasuredShot> shots) {
        if (!StandardResponse.isTasted(response)) {
            return new TastingForm(shots, List.of(), List.of(), "");
        }
        List<MeasuredShot> alike = shots.stream().filter(shot -> response.of(shot).isPresent()).toList();
        List<MeasuredShot> tasted = alike;
        List<String> words = new ArrayList<>();
        List<MeasuredShot> unknown = new ArrayList<>();
        for (RecordFactor part : PARTS.keySet().stream().sorted().toList()) {
            if (!asked(question, part)) {
                alike = commonest(PARTS.get(part), alike, words, unknown);
            }
        }
        if (!asked(question, RecordFactor.TASTED_AT)) {
            alike = asWarm(alike, words, unknown);
        }
        List<MeasuredShot> kept = alike;
        return new TastingForm(shots.stream().filter(shot -> kept.contains(shot) || !tasted.contains(shot)).toList(),
                tasted.stream().filter(shot -> !kept.contains(shot)).toList(),
                unknown.stream().distinct().filter(kept::contains).toList(), String.join(", ", words));
    }

    private static boolean asked(Question question, RecordFactor part) {
        return question.asked().stream().anyMatch(variable -> variable.key().equals(part.key()));
    }

    private static List<MeasuredShot> commonest(RecordField part, List<MeasuredShot> shots, List<String> words,
            List<MeasuredShot> unknown) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        shots.forEach(shot -> shot.record().text(part).ifPresent(form -> counts.merge(form, 1, Integer::sum)));
        Optional<String> most = counts.entrySet()
                .stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey);
        if (most.isEmpty()) {
            return shots;
        }
        words.add(most.get());
        shots.stream().filter(shot -> !shot.record().has(part)).forEach(unknown::add);
        return shots.stream()
                .filter(shot -> shot.record().text(part).filter(form -> !form.equals(most.get())).isEmpty())
                .toList();
    }

    private static List<MeasuredShot> asWarm(List<MeasuredShot> shots, List<String> words, List<MeasuredShot> unknown) {
        double[] known = shots.stream()
                .flatMapToDouble(shot -> shot.record().number(RecordField.TASTED_AT).stream())
                .sorted()
                .toArray();
        if (known.length == 0) {
            return shots;
        }
        List<MeasuredShot> most = List.of();
        for (double middle : known) {
            List<MeasuredShot> near = shots.stream()
                    .filter(shot -> Math.abs(shot.record().number(RecordField.TASTED_AT).orElse(middle) - middle)
                            <= ALIKE_CELSIUS)
                    .toList();
            most = near.size() > most.size() ? near : most;
        }
        double[] kept = most.stream()
                .flatMapToDouble(shot -> shot.record().number(RecordField.TASTED_AT).stream())
                .sorted()
                .toArray();
        words.add("at " + (kept[0] == kept[kept.length - 1] ? "" : Math.round(kept[0]) + "–")
                + Math.round(kept[kept.length - 1]) + " °C");
        most.stream().filter(shot -> !shot.record().has(RecordField.TASTED_AT)).forEach(unknown::add);
        return most;
    }

    /** {@return whether each of those was tasted blind} */
    static boolean blind(List<MeasuredShot> shots) {
        return !shots.isEmpty() && shots.stream()
                .allMatch(shot -> shot.record().text(RecordField.TASTED_BLIND).filter("blind"::equals).isPresent());
    }

    /** {@return what has to be said of shots left out, and of such whose form nobody knows} */
    List<Doubt> doubts() {
        List<Doubt> doubts = new ArrayList<>();
        if (!others.isEmpty()) {
            doubts.add(Doubt.of(capital(BalanceReview.names(others)) + (others.size() == 1 ? " was" : " were")
                    + " tasted in another form than the others (" + form + ") and left out: add how it was tasted to "
                    + "what is asked to compare across forms."));
        }
        if (!unknown.isEmpty()) {
            doubts.add(Doubt.of("How " + BalanceReview.names(unknown.stream()
                    .sorted(Comparator.comparingInt(alike::indexOf))
                    .toList()) + (unknown.size() == 1 ? " was" : " were") + " tasted is not written down in full; the "
                    + "others were tasted " + form + "."));
        }
        return doubts;
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1);
    }
}
