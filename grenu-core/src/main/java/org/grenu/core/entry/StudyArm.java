package org.grenu.core.entry;

import java.util.Optional;

/**
 * An arm that a shot belongs to.
 *
 * @param study of which study; empty: of the only one, or of all
 * @param arm   its name
 */
public record StudyArm(String study, String arm) {

    /** Between study and arm in a text. */
    private static final String OF = ": ";

    /** {@return the arm that text names, with its study or without} */
    static StudyArm parse(String text) {
        int colon = text.indexOf(OF);
        return colon < 1 ? new StudyArm("", text.strip())
                : new StudyArm(text.substring(0, colon).strip(), text.substring(colon + OF.length()).strip());
    }

    /** {@return its name, where it is of that study} The space after the colon may be left out. */
    public Optional<String> in(String other) {
        return text().startsWith(other + ":") ? Optional.of(text().substring(other.length() + 1).strip())
                : Optional.empty();
    }

    /** {@return it as text that reads back the same} */
    public String text() {
        return study.isEmpty() ? arm : study + OF + arm;
    }
}
