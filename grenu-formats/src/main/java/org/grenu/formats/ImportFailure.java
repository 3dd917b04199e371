package org.grenu.formats;

/** A file that cannot be read as a shot: which file, where in it, why, and what to do about it. */
public final class ImportFailure extends Exception {

    private static final long serialVersionUID = 1L;

    private final String file;
    private final int line;
    private final String reason;
    private final String remedy;

    /**
     * Says what is wrong.
     *
     * @param file   name of the file
     * @param line   first line is 1; 0 when no line is to blame
     * @param reason what is wrong, a sentence
     * @param remedy what to do, a sentence
     */
    public ImportFailure(String file, int line, String reason, String remedy) {
        super(file + (line > 0 ? ", line " + line : "") + ": " + reason + " " + remedy);
        this.file = file;
        this.line = line;
        this.reason = reason;
        this.remedy = remedy;
    }

    /** {@return the name of the file} */
    public String file() {
        return file;
    }

    /** {@return the line, 0 when no line is to blame} */
    public int line() {
        return line;
    }

    /** {@return what is wrong} */
    public String reason() {
        return reason;
    }

    /** {@return what to do} */
    public String remedy() {
        return remedy;
    }
}
