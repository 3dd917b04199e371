/**
 * The batch commands: {@code analyse} and {@code demo-files}. They read files, ask the core and print; nothing here
 * opens a window or a library.
 */
package org.grenu.cli;
