/**
 * Figures of a comparison: overlaid curves, what each change did, the shots as points, what the model leaves over. As
 * in
 * {@code read}, a figure is a model without colours and sizes, and its painter knows nothing of screens.
 */
package org.grenu.figures.compare;
