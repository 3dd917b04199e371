/**
 * Controls that more than one view uses, their style names, and colours as the toolkit wants them. Knows no study.
 */
package org.grenu.desktop.control;
