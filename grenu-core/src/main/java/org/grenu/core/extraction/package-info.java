/**
 * From dose, beverage mass and strength to extraction yield on either basis, with its uncertainty budget; dilution,
 * slices and the target window. Front door: {@link org.grenu.core.extraction.Brew}.
 */
package org.grenu.core.extraction;
