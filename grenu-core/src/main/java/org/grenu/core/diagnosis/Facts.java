package org.grenu.core.diagnosis;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Every fact that rules can ask for, by name. */
public final class Facts {

    private static final Map<String, Fact> BY_NAME = collected();

    private Facts() {
    }

    private static Map<String, Fact> collected() {
        Map<String, Fact> facts = new LinkedHashMap<>();
        for (List<Fact> theme : List.of(CurveFacts.ALL, PuckFacts.ALL, StrengthFacts.ALL, RecordFacts.ALL)) {
            theme.forEach(fact -> facts.put(fact.name(), fact));
        }
        return Collections.unmodifiableMap(facts);
    }

    /** {@return the fact with that name} */
    public static Optional<Fact> find(String name) {
        return Optional.ofNullable(BY_NAME.get(name));
    }

    /** {@return all of them} */
    public static Collection<Fact> all() {
        return BY_NAME.values();
    }
}
