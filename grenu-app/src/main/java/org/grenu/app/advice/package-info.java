/**
 * What to pull next: the library's shots and shelf put to {@code core.learn}, and its answer in words. Front door:
 * {@link org.grenu.app.advice.CoffeeAdvice}.
 */
package org.grenu.app.advice;
