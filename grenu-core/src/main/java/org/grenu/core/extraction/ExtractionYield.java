package org.grenu.core.extraction;

import org.grenu.core.quantity.Measured;

/**
 * An extraction yield that names its basis.
 *
 * @param basis   what it is a share of
 * @param percent its value and uncertainty, %
 * @param budget  where the uncertainty comes from
 */
public record ExtractionYield(Basis basis, Measured percent, UncertaintyBudget budget) {
}
