/** Whole libraries and tables out and in. */
package org.grenu.app.exchange;
