package org.grenu.library;

/** How many edits can be undone and how many redone. */
public record EditDepth(int undoable, int redoable) {
}
