/**
 * A shot as a record: what is written down about it, how entries are checked and changed, and everything that is
 * measured from it. Front doors: {@link org.grenu.core.record.ShotRecord} for the record,
 * {@link org.grenu.core.record.ShotMeasures} for the results.
 */
package org.grenu.core.record;
