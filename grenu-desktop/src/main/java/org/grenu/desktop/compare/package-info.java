/**
 * The Compare workspace: overlaid curves, what each change did, every shot as a point, and the answer in words beside
 * it. The
 * view-model asks core in the background; views show what it answers.
 */
package org.grenu.desktop.compare;
