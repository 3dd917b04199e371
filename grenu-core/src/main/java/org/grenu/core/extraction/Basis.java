package org.grenu.core.extraction;

/** What an extraction yield is a share of. The two are never compared with each other. */
public enum Basis {
    /** Of the coffee as it was weighed. */
    AS_DOSED("as dosed"),
    /** Of its dry part: dose times (1 − moisture). */
    DRY("dry");

    private final String title;

    Basis(String title) {
        this.title = title;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }
}
