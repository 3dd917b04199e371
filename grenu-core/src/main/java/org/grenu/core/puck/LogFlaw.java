package org.grenu.core.puck;

/** What may go wrong between the shot and its log. */
public enum LogFlaw {
    NONE,
    /** The scale is knocked while the cup fills. */
    KNOCKED_SCALE,
    /** The cup's last drops of an earlier rinse were not tared away. */
    FORGOTTEN_TARE
}
