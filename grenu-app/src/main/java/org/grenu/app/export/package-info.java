/** What of a shot, a study and a comparison can be written to a file, and as what. */
package org.grenu.app.export;
