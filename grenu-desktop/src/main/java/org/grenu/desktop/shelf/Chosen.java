package org.grenu.desktop.shelf;

import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfVersion;

/** The thing whose entries are shown, and which version of it. */
record Chosen(ShelfItem item, ShelfVersion version) {
}
