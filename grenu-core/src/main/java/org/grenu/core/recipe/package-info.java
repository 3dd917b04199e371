/** What to begin a coffee with on a set-up, each number with what it rests on. Front door: {@code StartRecipe}. */
package org.grenu.core.recipe;
