/**
 * What is worth saying about a shot: rules that look at the record and its measures and give findings with their
 * evidence. Front door: {@link org.grenu.core.diagnosis.Diagnosis}.
 */
package org.grenu.core.diagnosis;
