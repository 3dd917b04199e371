/**
 * The window: its layout, its keys, its look, and the actions that belong to no single workspace.
 */
package org.grenu.desktop.shell;
