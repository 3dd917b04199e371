package org.grenu.library;

import org.jdbi.v3.core.Handle;

/** The file's tables, and the names of things that entries in them refer to. */
record Tables(Handle handle, ShelfNames names) {

    static Tables of(Handle handle) {
        return new Tables(handle, new ShelfNames(handle));
    }
}
