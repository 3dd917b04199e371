/**
 * The application: its command line and its window. Only here is everything wired together.
 */
package org.grenu.desktop;
