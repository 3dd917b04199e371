package org.grenu.core.demo.weighing;

/** What moves beside the treatment, or goes on in a study. */
public enum StudyKind {
    /** Nothing but what scatters: operators, baskets, minutes and purges come as they come. */
    SOUND("nothing but scatter", 1),
    /** The treatment makes cups 0.6 g heavier; each was stopped at the same target. */
    PATH_SMALL("the treatment adds 0.6 g to the cup", 1),
    /** The treatment makes cups 1 g heavier; nobody wrote a target down. */
    PATH_LARGE("the treatment adds 1 g to the cup, no target known", 1),
    /** The sensor shows 1.1 °C less with the treatment; the order was drawn. */
    SHOWN_COOLER("the treatment lowers the temperature shown by 1.1 °C, order drawn", 1),
    /** The treatment does nothing; the day moved along in 85 % of the shots and did a point. */
    PARTLY_DAY("the day moved along in 85 % and did it", 0),
    /** Likewise the dose, by 1 g. */
    PARTLY_DOSE("the dose moved along in 85 % and did it", 0),
    /** Likewise the bag. */
    PARTLY_BAG("the bag moved along in 85 % and did it", 0),
    /** Likewise the set temperature, by 3 °C. */
    PARTLY_TEMPERATURE("the temperature moved along in 85 % and did it", 0),
    /** Likewise the operator. */
    PARTLY_OPERATOR("the operator moved along in 85 % and did it", 0),
    /** One of the same things moved along in every shot and did a point. */
    WHOLLY("one of these moved along in every shot and did it", 0),
    /** Twelve shots that spread by 0.15 against five that spread by 0.6. */
    UNEQUAL_SPREAD("12 shots that spread by 0.15 against 5 by 0.6", 0),
    /** The same with an operator that changes and does something. */
    UNEQUAL_SPREAD_ADJUSTED("the same, an operator in the model", 0),
    /** Grinds in drawn order without a purge: a third of the grounds are those of the setting before. */
    CARRY_OVER("a third of the grounds are those of the setting before, retention known", 1),
    /** The same where nobody knows what the grinder keeps. */
    CARRY_OVER_UNKNOWN("the same, retention unknown", 1),
    /** Five days of four shots, each day shifted by as much as shots spread. */
    FEW_DAYS("five days that shift as much as shots spread, as blocks", 0);

    private final String words;
    private final double truth;

    StudyKind(String words, double truth) {
        this.words = words;
        this.truth = truth;
    }

    /** {@return it in words} */
    public String words() {
        return words;
    }

    /** {@return what the treatment does to extraction yield, points} */
    public double truth() {
        return truth;
    }

    boolean partly() {
        return name().startsWith("PARTLY");
    }
}
