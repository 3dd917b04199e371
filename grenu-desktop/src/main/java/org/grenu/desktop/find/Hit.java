package org.grenu.desktop.find;

import java.util.Locale;
import java.util.Optional;

/**
 * Something that can be found or done.
 *
 * @param kind   such as {@code Shot}
 * @param words  its name
 * @param beside what tells it from others, or why it is not possible now
 * @param key    that does it, too; may be empty
 * @param whyNot why it is not possible now
 * @param run    goes there, or does it
 */
public record Hit(String kind, String words, String beside, String key, Optional<String> whyNot, Runnable run) {

    /** Something that is always possible and has no key. */
    public Hit(String kind, String words, String beside, Runnable run) {
        this(kind, words, beside, "", Optional.empty(), run);
    }

    /**
     * {@return how well it fits what is typed, 0 best; empty where it does not} Each word typed has to begin a
     * word, or else lie within one.
     */
    Optional<Integer> rank(String typed) {
        String name = words.toLowerCase(Locale.ROOT);
        String all = (kind + " " + name + " " + beside).toLowerCase(Locale.ROOT);
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        if (name.equals(wanted)) {
            return Optional.of(0);
        }
        if (name.startsWith(wanted)) {
            return Optional.of(1);
        }
        return rankByWords(all, wanted);
    }

    private static Optional<Integer> rankByWords(String all, String wanted) {
        boolean begins = true;
        for (String word : wanted.split("\\s+")) {
            if (!all.contains(word)) {
                return Optional.empty();
            }
            begins &= (" " + all).contains(" " + word);
        }
        return Optional.of(begins ? 2 : 3);
    }
}
