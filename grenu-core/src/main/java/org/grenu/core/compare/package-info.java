/**
 * Comparing shots: what changed, by how much, how sure that is, what else differed, and what it takes to know more.
 * The
 * front door is {@link org.grenu.core.compare.Comparison}. Knows records and measures of shots and the statistics of
 * {@code model}; nothing of files or screens.
 */
package org.grenu.core.compare;
