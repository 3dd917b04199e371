package org.grenu.library;

import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.Field;

/**
 * A kind of thing that the library keeps: where it lies, what of it is changed and how, and what it is called. Its
 * table
 * has {@code id} and {@code binned_at}; making a thing and putting it into the bin are the same for all. A new kind
 * is
 * one of these, its {@link Target}, and a migration.
 */
interface Aggregate {

    /** {@return the table of which each row is one} */
    String table();

    /** {@return what one and what several of it are called, as in “1 shot”, “2 shots”} */
    Plural called();

    /** {@return how one is called in the bin: an SQL expression over its row, named {@code it}} */
    String name();

    /** {@return what it is part of and goes with, if anything} */
    default Optional<Owner> owner() {
        return Optional.empty();
    }

    /** {@return tables whose rows go with it, each with the column that refers to it} */
    default List<Part> parts() {
        return List.of();
    }

    /** {@return an entry of one as it is now} */
    Entry entry(Tables tables, long id, String key);

    /** {@return the field of that key; empty for what is no field} */
    default Optional<Field> field(String key) {
        return Optional.empty();
    }

    /** It has come into use: it was made, or taken out of the bin. */
    default void appeared(Tables tables, long id) {
    }

    /** Things of this kind that are in the bin are about to go for good. */
    default void leaving(Tables tables) {
    }

    /** Enters that text; an empty one makes the entry unknown. */
    void enter(Tables tables, long id, String key, String text);

    /** What one and what several are called. */
    record Plural(String one, String many) {

        String of(int count) {
            return count + " " + (count == 1 ? one : many);
        }
    }

    /**
     * What a thing is part of, and goes with.
     *
     * @param column       of the part's table: of which
     * @param countedApart whether it is counted although what it is part of is
     */
    record Owner(Target target, String column, boolean countedApart) {
    }

    /** A table whose rows belong to things, and its column that says to which. */
    record Part(String table, String column) {
    }

    /**
     * An entry as it is now.
     *
     * @param title what it is called to who finds it changed, such as “Dose of shot 3”
     * @param text  empty for unknown
     */
    record Entry(String title, String text) {
    }
}
