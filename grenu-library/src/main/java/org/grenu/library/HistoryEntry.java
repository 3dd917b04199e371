package org.grenu.library;

import java.time.Instant;

/**
 * A change as the history keeps it.
 *
 * @param id     its key
 * @param change what was changed
 * @param reason why, in the user's words; may be empty
 * @param madeAt when
 * @param undone whether it was taken back
 */
public record HistoryEntry(long id, Change change, String reason, Instant madeAt, boolean undone) {
}
