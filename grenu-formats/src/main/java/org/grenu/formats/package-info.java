/**
 * Shot files in and out: Grenu's shot CSV and shot JSON, any plain table with recognisable columns, and the study's
 * table. Works on bytes in memory and never touches the library. Front doors: {@link org.grenu.formats.ShotReader},
 * {@link org.grenu.formats.ShotCsvWriter}, {@link org.grenu.formats.ShotJsonWriter}.
 */
package org.grenu.formats;
