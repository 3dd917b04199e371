package org.grenu.figures.shelf;

import org.grenu.core.study.ShotSheet;

/** A shot as the shelf's pictures need it: its number and its completed record. */
public record ShelfShot(int number, ShotSheet sheet) {
}
