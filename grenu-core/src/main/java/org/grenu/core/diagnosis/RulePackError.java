package org.grenu.core.diagnosis;

/** A rule pack that cannot be understood: in which line, why, and what can be written there. */
public final class RulePackError extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final int line;

    /**
     * An error at a line.
     *
     * @param line   the first is 1
     * @param reason why, and what can be written there; a sentence
     */
    public RulePackError(int line, String reason) {
        super("Line " + line + ": " + reason);
        this.line = line;
    }

    /** {@return the line, the first is 1} */
    public int line() {
        return line;
    }
}
