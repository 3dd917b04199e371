package org.grenu.core.profile;

/** Why a step ended. */
public enum StepEnding {
    /** What it waited for came. */
    CONDITION,
    /** What it waited for did not come in time. */
    TIME_LIMIT,
    /** The pump stopped. */
    PUMP_OFF,
    /** None of its exits was met: somebody moved on by hand, or the log does not show it. */
    OPERATOR
}
