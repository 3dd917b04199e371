/**
 * A library as open files: a Frictionless Data Package out and in, a workbook out, tables joined by shot. Knows no
 * library;
 * shots come and go one at a time. Front doors: {@link org.grenu.formats.exchange.DataPackageWriter} and
 * {@link org.grenu.formats.exchange.DataPackageReader}.
 */
package org.grenu.formats.exchange;
