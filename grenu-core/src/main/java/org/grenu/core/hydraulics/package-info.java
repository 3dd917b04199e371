/**
 * How water runs through a bed of coffee: the properties of water, Darcy's law, and what the curves say of the puck's
 * resistance. Knows curves and quantities, nothing of records or strength.
 */
package org.grenu.core.hydraulics;
