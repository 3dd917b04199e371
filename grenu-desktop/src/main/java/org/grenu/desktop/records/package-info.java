/**
 * Work on many records at once: one entry of many shots, the bin, tables joined by shot, studies. Front doors:
 * {@link org.grenu.desktop.records.BulkPanel} and {@link org.grenu.desktop.records.BinPanel}.
 */
package org.grenu.desktop.records;
