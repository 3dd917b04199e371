/**
 * The parts of a shot from pump on to the last drip, where they begin and why they end. Knows curves and profiles,
 * nothing of records.
 */
package org.grenu.core.phase;
