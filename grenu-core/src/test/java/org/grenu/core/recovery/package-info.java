/** Holds the analysis against shots whose truth is known, from two simulators that share nothing but their subject. */
package org.grenu.core.recovery;
