package org.grenu.core.entry;

import java.util.function.Predicate;

/** A name that nothing has yet. */
public final class FreeName {

    private FreeName() {
    }

    /** {@return the first of “Logger”, “Logger 2”, “Logger 3”, … that is not taken} */
    public static String of(String wanted, Predicate<String> taken) {
        String name = wanted;
        for (int i = 2; taken.test(name); i++) {
            name = wanted + " " + i;
        }
        return name;
    }
}
