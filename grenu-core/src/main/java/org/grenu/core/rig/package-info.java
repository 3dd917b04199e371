/**
 * A simulated machine with a puck in it: pump, spouts, scale and refractometer, with known truth. Deterministic:
 * every
 * random number follows from a seed. Front door: {@link org.grenu.core.rig.SimulatedRig}.
 */
package org.grenu.core.rig;
