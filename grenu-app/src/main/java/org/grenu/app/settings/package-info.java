/** What the user chose, kept in the library. */
package org.grenu.app.settings;
