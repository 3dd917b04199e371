package org.grenu.desktop.control;

/** Style classes that Java and the style record share. */
public final class Styles {

    public static final String ACTION = "action";
    public static final String PRIMARY = "primary";
    public static final String QUIET = "quiet";
    public static final String MUTED = "muted";
    public static final String STRONG = "strong";
    public static final String HEADING = "heading";
    public static final String SCREEN_TITLE = "screen-title";
    public static final String HEADLINE = "headline";
    public static final String HEADLINE_U = "headline-u";
    public static final String NUMBER = "number";
    public static final String ENTRY = "entry";
    public static final String REFUSAL = "refusal";
    public static final String SECTION = "section";
    public static final String SPINE = "spine";
    public static final String SPINE_ITEM = "spine-item";
    public static final String HEADER = "header";
    public static final String RACK = "rack";
    public static final String CHIP = "chip";
    public static final String FAULTY = "faulty";
    public static final String LEDGER = "ledger";
    public static final String WORK = "work";
    public static final String FLAG = "flag";
    public static final String TIME_FLAG = "time-flag";
    public static final String HAIRLINE = "hairline";
    public static final String RING = "ring";
    public static final String NOTICE = "notice";
    public static final String FAILED = "failed";
    public static final String OVERLAY = "overlay";
    public static final String EMPTY = "empty";
    public static final String LINK = "link";
    public static final String FOLD = "fold";
    public static final String SLIP_BODY = "slip-body";
    public static final String CAPTION = "caption";
    public static final String VALUE = "value";
    public static final String STORED = "stored";
    public static final String WORDMARK = "wordmark";
    public static final String RECIPE = "recipe";
    public static final String TITLE_ROW = "title-row";
    public static final String WORK_FOOT = "work-foot";
    public static final String EMPTY_STATE = "empty-state";
    public static final String RACK_FOOT = "rack-foot";
    public static final String RACK_LIST = "rack-list";
    public static final String FILTER_BOX = "filter-box";
    public static final String ICON = "icon";
    public static final String PRODUCT_MARK = "product-mark";
    public static final String CURRENT = "current";
    public static final String PROSE = "prose";
    public static final String INSTRUMENT = "instrument";
    public static final String REMOVE = "remove";
    public static final String CHOICE = "choice";
    public static final String FINDING = "finding";
    public static final String NEXT = "next";
    public static final String DOUBT = "doubt";
    public static final String PICK = "pick";
    public static final String MAPPING_COLUMN = "mapping-column";
    public static final String CODE = "code";
    public static final String FIRST = "first";
    public static final String OUTCOME = "outcome";
    public static final String STRIPS = "strips";
    public static final String OVERLAY_READING = "overlay-reading";
    public static final String CELL_RING = "cell-ring";
    public static final String ANSWER = "answer";
    public static final String GUARD = "guard";
    public static final String GUARD_QUIET = "guard-quiet";
    public static final String SLIP_PICK = "slip-pick";
    public static final String LARGE_ENTRY = "large-entry";
    public static final String SERIES_STEP = "series-step";
    public static final String MARK_CHECK = "mark-check";
    public static final String SEARCH_MENU = "search-menu";
    public static final String OFFERS = "offers";
    public static final String OFFER = "offer";
    public static final String CARD = "card";
    public static final String SHELF_LIST = "shelf-list";
    public static final String ROW = "row";
    public static final String LEDGER_PAGE = "ledger-page";
    public static final String LEDGER_PARTS = "ledger-parts";
    public static final String LEDGER_COLUMN = "ledger-column";

    private Styles() {
    }
}
