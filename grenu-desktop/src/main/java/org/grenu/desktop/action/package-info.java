/**
 * What can be done, said once each: buttons, menus, tooltips, keys, the find-or-do field and the table of keys
 * follow from it.
 */
package org.grenu.desktop.action;
