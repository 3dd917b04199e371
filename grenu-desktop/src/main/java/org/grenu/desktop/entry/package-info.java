/**
 * Entries edited where they stand: a field, a choice, a small table. Knows how to type, refuse and show, not whose
 * entry
 * it is. Front doors: {@link org.grenu.desktop.entry.EntryField} and {@link org.grenu.desktop.entry.EntryViewModel}.
 */
package org.grenu.desktop.entry;
