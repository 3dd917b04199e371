package org.grenu.core.compare;

/**
 * What an answer has to be held against.
 *
 * @param words      a sentence
 * @param reassuring whether it says that nothing speaks against it: only one thing changed between two shots
 */
public record Doubt(String words, boolean reassuring) {

    static Doubt of(String words) {
        return new Doubt(words, false);
    }
}
