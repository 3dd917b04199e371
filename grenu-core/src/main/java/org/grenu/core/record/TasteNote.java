package org.grenu.core.record;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A word for what was tasted, picked and not parsed, and which side it tells of (common practice, no source). Sour is a
 * fault of too little extraction; acidic is the liveliness of a fruit.
 */
public enum TasteNote {
    SOUR(Side.UNDER), SALTY(Side.UNDER), SHARP(Side.UNDER), THIN(Side.UNDER), BITTER(Side.OVER), DRY(Side.OVER),
    HOLLOW(Side.OVER), ASHY(Side.OVER), ACIDIC(Side.NEITHER), SWEET(Side.NEITHER), BODY(Side.NEITHER),
    FINISH(Side.NEITHER);

    /** Of the extraction. */
    public enum Side {
        /** Too little extracted. */
        UNDER,
        /** Too much extracted. */
        OVER,
        /** Of the coffee, not of its extraction. */
        NEITHER
    }

    private final Side side;

    TasteNote(Side side) {
        this.side = side;
    }

    /** {@return which side it tells of} */
    public Side side() {
        return side;
    }

    /** {@return the word, in files and on screen} */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** {@return the quality in a sentence, such as “sourness”} */
    public String quality() {
        return switch (this) {
            case SOUR, THIN, BITTER, HOLLOW, SWEET, DRY -> key() + "ness";
            case SALTY -> "saltiness";
            case SHARP -> "sharpness";
            case ASHY -> "ashiness";
            case ACIDIC -> "acidity";
            case BODY, FINISH -> key();
        };
    }

    /** {@return the note of that word} */
    public static Optional<TasteNote> find(String key) {
        return Arrays.stream(values()).filter(note -> note.key().equals(key)).findFirst();
    }

    static List<String> keys() {
        return Arrays.stream(values()).map(TasteNote::key).toList();
    }
}
