package org.grenu.formats;

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
        if (bytes.length == 0) {
            throw new ImportFailure(name, 0, "The file is empty.", "Log the shot again, or choose another file.");
        }
        if (bytes.length > Limits.LARGEST_FILE_BYTES) {
            throw new ImportFailure(name, 0, "The file is larger than " + Limits.LARGEST_FILE_BYTES / 1024 / 1024 + " MB.",
                    "Split it into one file per shot.");
        }
        String text = FileText.decode(name, bytes);
        String start = text.stripLeading();
        ParsedShot parsed = start.startsWith("{") || start.startsWith("[")
                ? ShotJsonReader.read(name, text)
                : ShotTableReader.read(name, text);
        LogCheck.check(name, parsed.shot().log());
        return parsed;
    }
}
