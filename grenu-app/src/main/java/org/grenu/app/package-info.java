/**
 * What the program does, without a window and without a command line: both stand on it. Knows files, the library,
 * figures and the
 * core; nothing of nodes, stages or options. Begin with {@link org.grenu.app.OpenLibrary}.
 */
package org.grenu.app;
