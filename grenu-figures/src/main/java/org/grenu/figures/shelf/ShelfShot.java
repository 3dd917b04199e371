package org.grenu.figures.shelf;

import org.grenu.core.record.ShotRecord;

/** A shot as the shelf's pictures need it: its number and its completed record. */
public record ShelfShot(int number, ShotRecord record) {
}
