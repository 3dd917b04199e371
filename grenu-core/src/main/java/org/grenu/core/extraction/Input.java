package org.grenu.core.extraction;

/** What an extraction yield is computed from. */
public enum Input {
    STRENGTH("Strength"), BEVERAGE("Beverage mass"), DOSE("Dose"),
    /** What the scale gets wrong in both masses alike. */
    SCALE("Scale bias"), MOISTURE("Moisture");

    private final String title;

    Input(String title) {
        this.title = title;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }
}
