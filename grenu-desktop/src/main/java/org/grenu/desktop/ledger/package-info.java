/**
 * The ledger: the numbers of the shot being read with their uncertainty and basis, and the entries they rest on,
 * edited
 * in place.
 */
package org.grenu.desktop.ledger;
