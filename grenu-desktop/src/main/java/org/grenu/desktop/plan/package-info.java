/**
 * The workspace where the next shot is decided: dial-in and profiles. Front doors: {@code PlanView}, {@code
 * LadderView}.
 */
package org.grenu.desktop.plan;
