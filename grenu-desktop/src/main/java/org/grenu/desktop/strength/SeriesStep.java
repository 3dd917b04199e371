package org.grenu.desktop.strength;

/** Steps of a strength series, with what to do. */
public enum SeriesStep {
    STIR("Stir", "Stir the whole beverage until its layers are gone: an espresso is strongest at the bottom."),
    SAMPLE("Sample", "Take 2 to 3 mL from the middle of the cup with a clean, dry pipette."),
    COOL("Cool",
            "Let the sample come to room temperature in a closed vial: an open one loses water and reads too strong."),
    FILTER("Filter", "Filter it or not, but always the same way: filtered and unfiltered are different methods."),
    ZERO("Zero", "Rinse and dry the prism, read the rinse water, and enter what it shows."),
    READ("Read", "Wet the prism, wait until the reading is steady, enter it; wipe, and read again. Three or more.");

    private final String title;
    private final String what;

    SeriesStep(String title, String what) {
        this.title = title;
        this.what = what;
    }

    /** {@return the step in a word} */
    public String title() {
        return title;
    }

    /** {@return what to do} */
    public String what() {
        return what;
    }
}
