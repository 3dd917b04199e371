/**
 * The rack: the study's shots as slips, grouped by day, filtered, coloured by the chosen factor.
 */
package org.grenu.desktop.rack;
