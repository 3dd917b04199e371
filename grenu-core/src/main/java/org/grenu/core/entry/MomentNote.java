package org.grenu.core.entry;

/** Words at a moment of the shot, s on the log's axis. */
public record MomentNote(double seconds, String words) {
}
