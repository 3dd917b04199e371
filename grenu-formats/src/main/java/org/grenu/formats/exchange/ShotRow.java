package org.grenu.formats.exchange;

import java.util.List;
import org.grenu.core.curve.Channel;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;

/**
 * A shot's row in a package, before its samples are read.
 *
 * @param channels those it has samples of; none for a shot without a log
 * @param rawName  of the file it was read from
 * @param rawPath  of that file's bytes in the package, blank if they are not kept
 */
record ShotRow(ShotState state, ShotRecord record, List<Channel> channels, String rawName, String rawPath) {
}
