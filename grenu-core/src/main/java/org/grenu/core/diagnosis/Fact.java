package org.grenu.core.diagnosis;

import java.util.Optional;
import java.util.function.Function;

/**
 * A number that rules can ask for.
 *
 * @param name     as rules write it; ends with its unit where it has one
 * @param decimals how many are shown
 * @param meaning  in words, for those who edit rules
 * @param reader   reads it off a shot; empty when it is unknown there
 */
public record Fact(String name, int decimals, String meaning, Function<ShotContext, Optional<FactValue>> reader) {

    Optional<FactValue> of(ShotContext shot) {
        return reader.apply(shot);
    }
}
