package org.grenu.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * The words of a tasting note that are meant: “not sour” is not sour, and “less bitter” tells of another cup. A negation
 * holds to the end of its clause.
 */
final class TasteWords {

    private static final Set<String> NEGATIONS = Set.of("not", "no", "never", "without", "hardly", "barely", "isn't",
            "wasn't", "less", "nothing", "neither", "nor", "lacks", "lacking", "kein", "keine", "nicht", "ohne");
    /** “not only sour”, “nothing but sour” say that it is. */
    private static final Set<String> TAKEN_BACK = Set.of("only", "but");
    private static final Set<String> NEXT_CLAUSE = Set.of("but", "yet", "though", "however", "although", "aber");

    private TasteWords() {
    }

    /** {@return the words that are said to be there, in lower case} */
    static List<String> meant(String note) {
        List<String> meant = new ArrayList<>();
        for (String clause : note.toLowerCase(Locale.ROOT).replace('’', '\'').split("[,;.:!?()\\n]+")) {
            boolean negated = false;
            String before = "";
            for (String word : clause.split("[^\\p{L}']+")) {
                boolean takenBack = TAKEN_BACK.contains(word) && NEGATIONS.contains(before);
                negated = !takenBack && (NEGATIONS.contains(word) || negated && !NEXT_CLAUSE.contains(word));
                if (!negated && !word.isEmpty()) {
                    meant.add(word);
                }
                before = word;
            }
        }
        return meant;
    }
}
