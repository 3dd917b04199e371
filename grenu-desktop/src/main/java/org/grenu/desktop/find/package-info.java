/** The find-or-do field: by a few letters to every action, shot, thing on the shelf and setting. */
package org.grenu.desktop.find;
