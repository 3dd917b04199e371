/**
 * The Shelf workspace: a picture of each coffee, bag and piece of gear, and at its right what is written down about
 * the one
 * that is chosen. Front doors: {@link org.grenu.desktop.shelf.ShelfView} and {@link
 * org.grenu.desktop.shelf.ShelfLedger}.
 */
package org.grenu.desktop.shelf;
