/** Files into a library, one by one, and what became of each. */
package org.grenu.app.importing;
