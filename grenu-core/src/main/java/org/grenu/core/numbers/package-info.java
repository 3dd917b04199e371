/** Columns of numbers and what is done to numbers alone, whatever they are of. */
package org.grenu.core.numbers;
