/**
 * A third source of shots, to which no coefficient is fitted: no pump and no bed are simulated, curves are drawn. A
 * pressure is drawn as a hand, a spring or a pump makes it, a resistance as beds swell and wear, and what falls into
 * the cup follows from both. Shares nothing with the other two sources but the form of a log.
 */
package org.grenu.core.thirdlab;
