package org.grenu.core.phase;

/** Where a phase begins, s on the log's axis. */
public record PhaseBorder(PhaseKind kind, double seconds) {
}
