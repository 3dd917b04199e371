/**
 * Reading one shot: its strips, the hairline that reads them, zoom and pan in time.
 */
package org.grenu.desktop.read;
