/**
 * What the simulated puck would do with a profile, fitted to a coffee's shots where there are any. Front doors:
 * {@code PuckFit}, {@code ProfilePrediction}.
 */
package org.grenu.core.predict;
