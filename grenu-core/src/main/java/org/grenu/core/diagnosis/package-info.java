/**
 * What is worth saying about a shot. Facts are numbers read off the record and its measures; rules, written as text
 * in
 * packs that people can choose and edit, compare facts with limits and give findings with evidence, confidence and
 * advice. Front door: {@link org.grenu.core.diagnosis.Diagnosis}.
 */
package org.grenu.core.diagnosis;
