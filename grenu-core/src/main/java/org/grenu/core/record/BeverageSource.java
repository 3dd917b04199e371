package org.grenu.core.record;

/** Where a shot's beverage mass comes from. */
public enum BeverageSource {
    WEIGHED("weighed"), SLICES("sum of the slices"), CURVE("from the curve"), ESTIMATED("estimated from a volume"),
    UNKNOWN("unknown");

    private final String title;

    BeverageSource(String title) {
        this.title = title;
    }

    /** {@return the name on screen} */
    public String title() {
        return title;
    }
}
