package org.grenu.core.shelf;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.grenu.core.entry.Row;

/**
 * Something that happened to a bag.
 *
 * @param day    on which
 * @param kind   what
 * @param grams  taken out, where that matters
 * @param remark in words, may be empty
 */
public record BagEvent(LocalDate day, Kind kind, OptionalDouble grams, String remark) {

    /** What can happen to a bag. */
    public enum Kind {
        ROASTED, OPENED, PORTIONED, FROZEN, THAWED, USED_UP;

        /** {@return the name in files, without a space} */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** {@return the name on screen} */
        public String title() {
            return key().replace('_', ' ');
        }
    }

    static List<String> keys() {
        return Arrays.stream(Kind.values()).map(Kind::key).toList();
    }

    /** {@return the event in a row of {@link ShelfField#LIFE}} */
    static BagEvent of(Row row) {
        return new BagEvent(row.day(0).orElseThrow(), Kind.valueOf(row.words(1).orElseThrow().toUpperCase(Locale.ROOT)),
                row.number(2), row.words(3).orElse(""));
    }
}
