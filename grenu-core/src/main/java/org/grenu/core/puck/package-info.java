/**
 * A physical model of a shot: grains, bed, machine, scale and refractometer, with known truth. It makes the demo
 * data,
 * checks the analysis and answers what-if. Deterministic: every random number follows from a seed. Front door:
 * {@link org.grenu.core.puck.SimulatedRig}.
 */
package org.grenu.core.puck;
