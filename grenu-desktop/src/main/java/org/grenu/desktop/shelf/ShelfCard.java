package org.grenu.desktop.shelf;

import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.figures.shelf.ShelfFigure;

/** A thing on the shelf with its picture, as that version of it was. */
public record ShelfCard(ShelfItem item, ShelfVersion version, ShelfFigure figure) {
}
