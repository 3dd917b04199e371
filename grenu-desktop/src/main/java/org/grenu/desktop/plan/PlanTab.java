package org.grenu.desktop.plan;

/** The parts of Plan. */
public enum PlanTab {
    DIAL_IN("Dial in"), PROFILES("Profiles");

    private final String title;

    PlanTab(String title) {
        this.title = title;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }
}
