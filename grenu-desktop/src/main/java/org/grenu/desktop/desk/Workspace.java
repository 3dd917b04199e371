package org.grenu.desktop.desk;

import org.grenu.desktop.control.Icon;

/** The places of work on the bench that exist, in working order. */
public enum Workspace {
    SHELF(Icon.SHELF, "Shelf", "Coffees, gear, water and calibrations"),
    PLAN(Icon.PLAN, "Plan", "The next shot: what is wanted, what this log has learnt, one change at a time"),
    READ(Icon.READ, "Read", "One shot: its curves, numbers and findings"),
    COMPARE(Icon.COMPARE, "Compare", "Several shots: what changed them, and whether the data can tell");

    private final Icon icon;
    private final String title;
    private final String meaning;

    Workspace(Icon icon, String title, String meaning) {
        this.icon = icon;
        this.title = title;
        this.meaning = meaning;
    }

    /** {@return its picture on the spine} */
    public Icon icon() {
        return icon;
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
