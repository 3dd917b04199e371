/**
 * The balance of dissolved solids, solved for whichever of its numbers is wanted. Front door:
 * {@link org.grenu.desktop.calculator.CalculatorPanel}.
 */
package org.grenu.desktop.calculator;
