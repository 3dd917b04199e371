package org.grenu.core.diagnosis;

/**
 * What a finding says.
 *
 * @param statement what is the case
 * @param evidence  what it rests on; may be empty
 * @param toTry     advice; may be empty
 * @param next      the one change it asks for; empty when none
 */
public record FindingWords(String statement, String evidence, String toTry, String next) {
}
