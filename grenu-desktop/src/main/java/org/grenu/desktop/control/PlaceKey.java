package org.grenu.desktop.control;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Keys that mean something at one place only, where no action stands behind them: each place goes by these, and so does
 * the page of keys.
 */
public enum PlaceKey {
    WALK(Place.RACK, "↑ ↓ Page Up Page Down Home End", "walk through the shots, outside of texts everywhere in Read",
            Held.NOTHING, KeyCode.UP, KeyCode.DOWN, KeyCode.PAGE_UP, KeyCode.PAGE_DOWN, KeyCode.HOME, KeyCode.END),
    BIN(Place.RACK, "Delete", "put the shot into the bin, outside of texts everywhere in Read", Held.NOTHING,
            KeyCode.DELETE),
    PICK(Place.RACK, "Space", "pick the shot for comparing, or put it back (in Compare)", Held.NOTHING, KeyCode.SPACE),
    HAIRLINE(Place.READ, "← →, with Shift", "move the hairline by 0.1 s, by 1 s", Held.NOTHING, KeyCode.LEFT,
            KeyCode.RIGHT),
    ZOOM_IN(Place.STRIPS, "+", "show a part larger", Held.ANYTHING, KeyCode.PLUS, KeyCode.ADD, KeyCode.EQUALS),
    ZOOM_OUT(Place.STRIPS, "−", "show more again", Held.ANYTHING, KeyCode.MINUS, KeyCode.SUBTRACT),
    SHOW_ALL(Place.STRIPS, "0", "show all", Held.ANYTHING, KeyCode.DIGIT0, KeyCode.NUMPAD0),
    PAN(Place.STRIPS, "Ctrl ← →", "move along", Held.SHORTCUT, KeyCode.LEFT, KeyCode.RIGHT),
    BORDER(Place.STRIPS, "Alt ← →", "move the phase border nearest to the hairline", Held.ALT, KeyCode.LEFT,
            KeyCode.RIGHT),
    STRIP_HAIRLINE(Place.STRIPS, "← →, with Shift", "move the hairline by 0.1 s, by 1 s", Held.NOTHING, KeyCode.LEFT,
            KeyCode.RIGHT),
    NOTE(Place.STRIPS, "N", "note at the hairline", Held.NOTHING, KeyCode.N),
    GHOST(Place.STRIPS, "G", "hold other shots against this one", Held.NOTHING, KeyCode.G),
    EFFECTS(Place.EFFECTS, "← → ↑ ↓", "from effect to effect", Held.ANYTHING, KeyCode.LEFT, KeyCode.RIGHT, KeyCode.UP,
            KeyCode.DOWN),
    CURVE_HAIRLINE(Place.CURVES, "← →, with Shift", "move the hairline by 0.1, by 1", Held.ANYTHING, KeyCode.LEFT,
            KeyCode.RIGHT),
    CURVE_ZOOM_IN(Place.CURVES, "+", "show a part larger", Held.ANYTHING, KeyCode.PLUS, KeyCode.ADD, KeyCode.EQUALS),
    CURVE_ZOOM_OUT(Place.CURVES, "−", "show more again", Held.ANYTHING, KeyCode.MINUS, KeyCode.SUBTRACT),
    CURVE_ALL(Place.CURVES, "0", "show all", Held.ANYTHING, KeyCode.DIGIT0, KeyCode.NUMPAD0),
    STORE(Place.ENTRY, "Enter", "store it", Held.NOTHING, KeyCode.ENTER),
    TAKE_BACK(Place.ENTRY, "Esc", "take the typing back", Held.ANYTHING, KeyCode.ESCAPE),
    STOOD_LAST(Place.EMPTY_ENTRY, "Down, Enter", "offer and take what stood there last", Held.ANYTHING, KeyCode.DOWN),
    CLOSE(Place.WINDOW, "Esc", "close what lies on top", Held.ANYTHING, KeyCode.ESCAPE);

    /** Where a key means something. */
    public enum Place {
        RACK("in the rack"), READ("in Read"), STRIPS("on the strips"), EFFECTS("on the effects"),
        CURVES("on the curves"), ENTRY("in an entry"), EMPTY_ENTRY("in an empty entry"), WINDOW("over the window");

        private final String words;

        Place(String words) {
            this.words = words;
        }

        /** {@return as it is said, such as {@code in the rack}} */
        public String words() {
            return words;
        }
    }

    /** What is held down with it. */
    private enum Held {
        NOTHING, SHORTCUT, ALT, ANYTHING
    }

    private final Place place;
    private final String shown;
    private final String meaning;
    private final Held held;
    private final Set<KeyCode> codes;

    PlaceKey(Place place, String shown, String meaning, Held held, KeyCode... codes) {
        this.place = place;
        this.shown = shown;
        this.meaning = meaning;
        this.held = held;
        this.codes = Set.of(codes);
    }

    /** {@return where it means that} */
    public Place place() {
        return place;
    }

    /** {@return the key as it is written} */
    public String shown() {
        return shown;
    }

    /** {@return what it does} */
    public String meaning() {
        return meaning;
    }

    /** {@return whether that is pressed; with Shift or without} */
    public boolean is(KeyEvent event) {
        return codes.contains(event.getCode()) && switch (held) {
            case NOTHING -> !event.isShortcutDown() && !event.isAltDown();
            case SHORTCUT -> event.isShortcutDown() && !event.isAltDown();
            case ALT -> event.isAltDown();
            case ANYTHING -> true;
        };
    }

    /** {@return what is pressed at that place; empty where it means nothing there} */
    public static Optional<PlaceKey> at(Place place, KeyEvent event) {
        return Arrays.stream(values()).filter(key -> key.place == place && key.is(event)).findFirst();
    }

    /** {@return −1 for a key that leads left or up, 1 for the others} */
    public static int direction(KeyEvent event) {
        return event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.UP ? -1 : 1;
    }
}
