/**
 * Another laboratory: machines, pucks, spouts, scales and loggers by other laws than those of
 * {@link org.grenu.core.puck} and {@link org.grenu.core.rig}, so that nothing can be tuned to one of them unnoticed. No
 * part of the analysis was fitted to it; the tests hold the analysis against both.
 */
package org.grenu.core.otherlab;
