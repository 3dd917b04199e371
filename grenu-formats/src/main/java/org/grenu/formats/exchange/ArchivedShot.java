package org.grenu.formats.exchange;

import java.util.List;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotState;

/**
 * A shot with all that belongs to it.
 *
 * @param number  as people call it
 * @param state   how far its life has come
 * @param shot    record as it was written down, and log
 * @param rawName name of the file its log came from; empty where it has no log
 * @param raw     that file, byte for byte
 * @param files   photos and other attachments
 */
public record ArchivedShot(int number, ShotState state, Shot shot, String rawName, byte[] raw,
        List<ArchivedFile> files) {

    public ArchivedShot {
        files = List.copyOf(files);
    }

    /** An attachment. */
    public record ArchivedFile(String name, byte[] bytes) {
    }
}
