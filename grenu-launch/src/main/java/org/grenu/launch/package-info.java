/** Starts the program: reads the command line, then runs a command or opens the window. */
package org.grenu.launch;
