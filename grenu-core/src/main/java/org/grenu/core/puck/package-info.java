/** The physics of a bed of coffee: grains, flow, solids. Front door: {@link org.grenu.core.puck.SimulatedBed}. */
package org.grenu.core.puck;
