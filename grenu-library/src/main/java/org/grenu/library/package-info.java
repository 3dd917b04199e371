/**
 * The library: one SQLite file that keeps shots, the files they came from and every edit. Knows the core, not the
 * formats and no interface. Front door: {@link org.grenu.library.Library}; its user closes it. Safe for threads, one
 * call at a time.
 */
package org.grenu.library;
