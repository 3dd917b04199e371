/**
 * Statistics for comparisons: linear models with blocks and a random intercept, contrasts, equivalence, power. Knows
 * numbers only, nothing of coffee. The front door is {@link org.grenu.core.model.Design}; everything is stateless.
 */
package org.grenu.core.model;
