/**
 * Bringing shot files into the library: the batch with its progress, and the panel that reports on it.
 */
package org.grenu.desktop.importing;
