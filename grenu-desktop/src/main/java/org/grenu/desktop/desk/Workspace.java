package org.grenu.desktop.desk;

/** The places of work on the bench that exist, in working order. */
public enum Workspace {
    SHELF("Shelf", "Coffees, gear, water and calibrations"),
    READ("Read", "One shot: its curves, numbers and findings"),
    COMPARE("Compare", "Several shots: what changed them, and whether the data can tell");

    private final String title;
    private final String meaning;

    Workspace(String title, String meaning) {
        this.title = title;
        this.meaning = meaning;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }

    /** {@return what it is for} */
    public String meaning() {
        return meaning;
    }
}
