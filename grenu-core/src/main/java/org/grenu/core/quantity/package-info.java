/**
 * Numbers that carry their unit and their uncertainty, and the way they are written and read.
 * Knows nothing of coffee. Front door: {@link org.grenu.core.quantity.Measured}.
 */
package org.grenu.core.quantity;
