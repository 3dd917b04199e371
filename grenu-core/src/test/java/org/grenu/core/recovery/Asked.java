package org.grenu.core.recovery;

/** What known shots are asked, and how often the answer must be right. */
enum Asked {
    FIRST_DRIP("first drip", "0.5 s", 0.95, true),
    PUMP_ON("pump on, or said to be unknown", "0.5 s", 0.98, true),
    PUMP_OFF("pump off; unknown where the log ends with it", "0.3 s", 0.95, true),
    BEVERAGE("beverage mass, or withheld", "0.2 g", 0.98, true),
    BEVERAGE_AT_STOP("the same where the log ends at the stop", "0.2 g", 0.98, true),
    BEVERAGE_KNOWN("beverage mass told where the log goes on", "", 0.5, true),
    PHASE_BEGINS("begin of a phase", "0.8 s", 0.95, true),
    LOSS("abrupt resistance loss of 20–60 %", "1 s", 0.90, true),
    LARGE_LOSS("abrupt resistance loss of 35–60 %", "1 s", 0.97, true),
    LOSS_WITHOUT_METER("the same without a pump flow column", "1 s", 0.90, true),
    FALSE_LOSS("such a loss claimed in sound and eroding shots", "", 0.02, false),
    FALSE_REPAIR("repairs of sound logs", "", 0.01, false),
    LATE_SCALE("scale that is 1.0 to 2.5 s late", "", 0.90, true),
    EROSION("erosion", "2 u", 0.93, true),
    PEAK("peak resistance", "10 %", 0.90, true),
    PEAK_U("peak resistance", "2 u", 0.93, true);

    private final String title;
    private final String within;
    private final double wanted;
    private final boolean atLeast;

    Asked(String title, String within, double wanted, boolean atLeast) {
        this.title = title;
        this.within = within;
        this.wanted = wanted;
        this.atLeast = atLeast;
    }

    String title() {
        return title;
    }

    String within() {
        return within;
    }

    double wanted() {
        return wanted;
    }

    /** {@return whether so many must be right; else no more may happen} */
    boolean atLeast() {
        return atLeast;
    }
}
