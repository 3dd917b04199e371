/** Shots as a study sees them: in order, and from wherever they lie. */
package org.grenu.app.study;
