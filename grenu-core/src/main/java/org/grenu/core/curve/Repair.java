package org.grenu.core.curve;

/**
 * One repair that was found, with its evidence.
 *
 * @param kind        what was found
 * @param fromSeconds where on the time axis it begins, s
 * @param toSeconds   where it ends, s
 * @param evidence    the numbers that speak for it, in words
 * @param applied     whether the curve is shown repaired; false when the user switched this kind off
 */
public record Repair(RepairKind kind, double fromSeconds, double toSeconds, String evidence, boolean applied) {
}
