/** How soon dialling in arrives, on coffees whose truth is known, against rules that people keep by hand. */
package org.grenu.core.demo.dialin;
