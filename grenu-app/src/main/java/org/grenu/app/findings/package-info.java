/** What rules find in the shots of a library, looked up or worked out. */
package org.grenu.app.findings;
