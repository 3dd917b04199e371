package org.grenu.library;

import java.time.Instant;

/** Something in the bin: what it is, and since when. */
public record Binned(Target target, long id, String words, Instant since) {
}
