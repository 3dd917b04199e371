/**
 * A shot's logged curves: from raw samples through repairs and resampling to flow, events and times.
 * Knows quantities and units, nothing of strength or recipes. Front door: {@link org.grenu.core.curve.CurveMeasures}.
 */
package org.grenu.core.curve;
