package org.grenu.core.curve;

import java.util.List;

/**
 * A log whose times increase strictly, with the repairs that led to it.
 *
 * @param log     the repaired log
 * @param repairs what was found, applied or not, in order of kind and time
 */
public record RepairedLog(ShotLog log, List<Repair> repairs) {

    public RepairedLog {
        repairs = List.copyOf(repairs);
    }
}
