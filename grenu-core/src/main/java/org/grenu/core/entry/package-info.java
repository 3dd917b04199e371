/**
 * Entries of records: how each is typed, checked and written, whatever the record is of. Front doors:
 * {@link org.grenu.core.entry.Field} and {@link org.grenu.core.entry.Entries}. What is not entered is unknown.
 */
package org.grenu.core.entry;
