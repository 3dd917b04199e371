/**
 * A small, deterministic shot simulator that makes the demo data: a puck, the machine above it, the scale and the
 * refractometer, with flaws on request. Front door: {@link org.grenu.core.puck.SimulatedRig}.
 */
package org.grenu.core.puck;
