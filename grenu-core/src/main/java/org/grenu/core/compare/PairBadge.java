package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * What was set differently between two shots.
 *
 * @param changes each in words, such as {@code grind 2.4 → 2.2}
 */
public record PairBadge(List<String> changes) {

    public PairBadge {
        changes = List.copyOf(changes);
    }

    static PairBadge of(Question question, ComparedShot from, ComparedShot to) {
        List<String> changes = new ArrayList<>();
        Stream<Variable> besides = Characteristic.beside(question, List.of(from, to)).stream().map(Characteristic::variable);
        Stream.concat(question.variables().stream(), besides).filter(variable -> variable instanceof Variable.Treatment).filter(variable -> !variable.key().equals("day"))
                .filter(variable -> variable.known(from) && variable.known(to) && !variable.level(from).equals(variable.level(to)))
                .forEach(variable -> changes.add((Wording.small(variable.title()) + " " + variable.level(from).orElseThrow() + " → "
                        + variable.level(to).orElseThrow() + " " + variable.unit()).strip()));
        return new PairBadge(changes);
    }

    /** {@return such as "One thing changed: grind 2.4 → 2.2"} */
    public String words() {
        if (changes.isEmpty()) {
            return "Nothing that is written down changed";
        }
        return (changes.size() == 1 ? "One thing changed: " : changes.size() + " things changed: ") + String.join(", ", changes);
    }
}
