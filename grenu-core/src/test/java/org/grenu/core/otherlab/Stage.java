package org.grenu.core.otherlab;

import org.grenu.core.phase.PhaseKind;

/**
 * Part of a shot: what pushes, until so many seconds are over or so much is in the cup.
 *
 * @param push    what pushes
 * @param seconds it lasts at most
 * @param grams   in the cup at which it ends
 * @param kind    the phase it is meant to be; a ramp becomes the main phase once the pressure has come to its height
 */
record Stage(Push push, double seconds, double grams, PhaseKind kind) {
}
