package org.grenu.formats;

/** What a shot file may hold at most; beyond it, a file is something else or broken. */
final class Limits {

    static final int LARGEST_FILE_BYTES = 64 * 1024 * 1024;
    static final int MOST_SAMPLES = 500_000;
    static final int MOST_COLUMNS = 200;
    static final double LONGEST_SHOT_SECONDS = 3 * 3600;

    private Limits() {
    }
}
