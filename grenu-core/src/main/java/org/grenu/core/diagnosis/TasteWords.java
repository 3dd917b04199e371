package org.grenu.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * The words of a tasting note that are meant: “not sour” is not sour, and “less bitter” tells of another cup. A
 * negation holds to the end of its clause.
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
        return read(note).meant();
    }

    /**
     * A note as it was read.
     *
     * @param meant   words that are said to be there, in lower case
     * @param negated words that are said not to be
     */
    record Read(List<String> meant, List<String> negated) {
    }

    /** {@return the note's words, by whether they are said to be there} */
    static Read read(String note) {
        List<String> meant = new ArrayList<>();
        List<String> not = new ArrayList<>();
        for (String clause : note.toLowerCase(Locale.ROOT).replace('’', '\'').split("[,;.:!?()\\n]+")) {
            boolean negated = false;
            String before = "";
            for (String word : clause.split("[^\\p{L}']+")) {
                boolean takenBack = TAKEN_BACK.contains(word) && NEGATIONS.contains(before);
                negated = !takenBack && (NEGATIONS.contains(word) || negated && !NEXT_CLAUSE.contains(word));
                if (!word.isEmpty()) {
                    (negated ? not : meant).add(word);
                }
                before = word;
            }
        }
        return new Read(meant, not);
    }
}
