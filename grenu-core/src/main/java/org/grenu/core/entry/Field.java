package org.grenu.core.entry;

import java.util.List;

/** An entry that records of a sort have a place for. */
public interface Field {

    /** {@return how it is written} */
    FieldDefinition form();

    /** {@return the name in files, in the library and in the history of edits} */
    default String key() {
        return form().key();
    }

    /** {@return the name on screen} */
    default String title() {
        return form().title();
    }

    /** {@return how the entry is typed} */
    default FieldKind kind() {
        return form().kind();
    }

    /** {@return the unit of a number, empty when it has none} */
    default String unit() {
        return form().unit();
    }

    /** {@return whether a mass may be estimated from a volume typed for it} */
    default boolean volumeTells() {
        return false;
    }

    /** {@return the words to choose from, of a choice; else empty} */
    default List<String> choices() {
        return form().choices();
    }

    /** {@return what its rows are made of, of a table in an entry; else none} */
    default List<RowColumn> columns() {
        return form().columns();
    }
}
