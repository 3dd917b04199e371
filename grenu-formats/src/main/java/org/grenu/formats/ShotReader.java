package org.grenu.formats;

import org.grenu.core.curve.ShotLog;
import org.grenu.core.record.ShotRecord;

/** Reads a shot from a file's bytes, telling by content what kind of file it is. Stateless and safe for threads. */
public final class ShotReader {

    private ShotReader() {
    }

    /**
     * {@return the shot in the file}
     *
     * @param name  the file's name, for messages
     * @param bytes all of the file
     * @throws ImportFailure if it cannot be read as a shot
     */
    public static ParsedShot read(String name, byte[] bytes) throws ImportFailure {
        return GuardedReading.of(name, () -> {
            String text = text(name, bytes);
            String start = text.stripLeading();
            ParsedShot parsed = start.startsWith("{") || start.startsWith("[") ? ShotJsonReader.read(name, text)
                    : ShotTableReader.read(name, text);
            if (!parsed.shot().log().isEmpty()) {
                check(name, parsed.shot().log());
            } else if (parsed.shot().record().equals(ShotRecord.EMPTY)) {
                throw new ImportFailure(name, 0, "The file holds neither a log nor anything written down.",
                        "Choose another file.");
            }
            return parsed;
        });
    }

    /** {@return whether the text is one of Grenu's own files, which need no mapping} */
    public static boolean own(String text) {
        String start = text.stripLeading();
        return start.startsWith("# " + Preamble.MARK)
                || start.startsWith("{") && start.substring(0, Math.min(200, start.length()))
                        .contains("\"" + ShotJsonReader.FORMAT + "\"");
    }

    /**
     * {@return the file as text}
     *
     * @throws ImportFailure if it is empty, too large, or not text
     */
    public static String text(String name, byte[] bytes) throws ImportFailure {
        if (bytes.length == 0) {
            throw new ImportFailure(name, 0, "The file is empty.", "Log the shot again, or choose another file.");
        }
        if (bytes.length > Limits.LARGEST_FILE_BYTES) {
            throw new ImportFailure(name, 0,
                    "The file is larger than " + Limits.LARGEST_FILE_BYTES / 1024 / 1024 + " MB.",
                    "Split it into one file per shot.");
        }
        return GuardedReading.of(name, () -> SpreadsheetText.looksLike(bytes) ? SpreadsheetText.read(name, bytes)
                : FileText.decode(name, bytes));
    }

    /**
     * Refuses a log that no shot can have made.
     *
     * @throws ImportFailure says why
     */
    public static void check(String name, ShotLog log) throws ImportFailure {
        LogCheck.check(name, log);
    }
}
