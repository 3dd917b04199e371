package org.grenu.library;

/**
 * What emptying the bin loses for good, beside the history of it all.
 *
 * @param shots       shots
 * @param logs        those of them that have a log, which goes with the file it came from
 * @param attachments photos and other files, of those shots and of others
 * @param things      coffees, gear and whatever else stands on the shelf, with all their versions
 * @param versions    versions of things that stay
 */
public record BinLoss(int shots, int logs, int attachments, int things, int versions) {
}
