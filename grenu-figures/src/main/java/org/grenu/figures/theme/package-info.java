/**
 * What every figure and the window share: colours by role, treatment palettes, the face. One token file a theme, read
 * here and by the window's style record, so that screen and export agree. Knows no figure.
 */
package org.grenu.figures.theme;
