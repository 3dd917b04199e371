package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;

/**
 * What was otherwise in one shot than in another: every entry, and dose, beverage and temperature as they came out.
 *
 * @param changes each in words, such as {@code grind 2.4 → 2.2}
 * @param unknown entries that only one of the two has
 */
public record PairBadge(List<String> changes, List<String> unknown) {

    private static final int MOST_UNKNOWN = 4;
    private static final int LONGEST = 30;

    public PairBadge {
        changes = List.copyOf(changes);
        unknown = List.copyOf(unknown);
    }

    /** {@return what changed between the two shots; empty unless there are two} */
    static Optional<PairBadge> of(Question question, List<MeasuredShot> shots) {
        return shots.size() == 2 ? Optional.of(of(question, shots.get(0), shots.get(1))) : Optional.empty();
    }

    private static PairBadge of(Question question, MeasuredShot from, MeasuredShot to) {
        Stream<Characteristic> asked = question.variables()
                .stream()
                .map(variable -> new Characteristic(variable.title(), variable, Double.NaN));
        Stream<Characteristic> beside = question.beside(List.of(from, to))
                .stream()
                .filter(one -> !(one.variable() instanceof Variable.Placed)
                        && !one.variable().key().equals(RecordFactor.STUDY.key()));
        List<String> changes = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        List<Variable> changed = new ArrayList<>();
        for (Characteristic one : Stream.concat(asked, beside).toList()) {
            Variable variable = one.variable();
            if (changed.stream().anyMatch(one::carriedBy)) {
                continue;
            }
            if (variable.known(from) != variable.known(to)) {
                unknown.add(Wording.small(one.title()));
            } else if (variable.known(from) && differs(one, from, to)) {
                changed.add(variable);
                changes.add((Wording.small(one.title()) + " " + shown(one, from) + " → " + shown(one, to) + " "
                        + variable.unit()).strip());
            }
        }
        return new PairBadge(changes, unknown);
    }

    private static boolean differs(Characteristic one, MeasuredShot from, MeasuredShot to) {
        if (one.variable().numeric() && one.tolerance() > 0) {
            return Math.abs(one.variable().number(from).orElseThrow() - one.variable().number(to).orElseThrow())
                    > one.tolerance() + 1e-9;
        }
        return !one.variable().level(from).equals(one.variable().level(to));
    }

    private static String shown(Characteristic one, MeasuredShot shot) {
        String level = one.variable().numeric()
                ? DecimalText.exact(Math.rint(one.variable().number(shot).orElseThrow() * 100) / 100)
                : one.variable().level(shot).orElseThrow();
        return level.length() > LONGEST ? level.substring(0, LONGEST - 1).strip() + "…" : level;
    }

    /** {@return whether exactly one thing changed, and nothing else may have} */
    public boolean oneThing() {
        return changes.size() == 1 && unknown.isEmpty();
    }

    /** {@return such as "One thing changed: grind 2.4 → 2.2"} */
    public String words() {
        String open = unknown.isEmpty() ? ""
                : "; written down for only one of them: " + Wording.list(unknown.size() > MOST_UNKNOWN
                        ? Stream.concat(unknown.stream().limit(MOST_UNKNOWN - 1),
                                Stream.of((unknown.size() - MOST_UNKNOWN + 1) + " more")).toList()
                        : unknown);
        if (changes.isEmpty()) {
            return "Nothing that is written down changed" + open;
        }
        return (changes.size() == 1 ? "One thing changed: " : changes.size() + " things changed: ")
                + String.join(", ", changes) + open;
    }
}
