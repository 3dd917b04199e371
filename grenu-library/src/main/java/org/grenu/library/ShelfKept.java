package org.grenu.library;

import org.grenu.core.shelf.Shelf;

/** The shelf as the file has it; read again when it was changed here, or the file by another process. */
final class ShelfKept {

    private final Transactions within;
    private final ShelfRows rows;
    private final ShelfNames names;
    private Shelf shelf;

    ShelfKept(Transactions within, ShelfRows rows, ShelfNames names) {
        this.within = within;
        this.rows = rows;
        this.names = names;
    }

    Shelf now() {
        within.reading();
        if (shelf == null) {
            shelf = rows.read();
        }
        return shelf;
    }

    void forget() {
        shelf = null;
        names.forget();
    }
}
