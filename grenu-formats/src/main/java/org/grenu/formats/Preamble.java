package org.grenu.formats;

import java.util.ArrayList;
import java.util.List;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * The lines before a table's header: {@code # key: value}. Known keys fill the record, other keys are kept as extra
 * entries. In Grenu's own files a bad value is an error; in other files such a line is a remark and passed over.
 *
 * @param record        the record
 * @param ours         whether the file names itself a Grenu shot
 * @param remarks      lines that were not understood
 * @param tableLine    line number of the header, first line is 1
 * @param tableStart   where the header begins in the text
 */
record Preamble(ShotRecord record, boolean ours, List<String> remarks, int tableLine, int tableStart) {

    static final String MARK = "grenu shot";
    static final int VERSION = 1;

    static Preamble parse(String file, String text) throws ImportFailure {
        ShotRecord.Builder record = new ShotRecord.Builder(ShotRecord.EMPTY);
        List<String> remarks = new ArrayList<>();
        boolean ours = false;
        int line = 1;
        int at = 0;
        while (at < text.length()) {
            int end = text.indexOf('\n', at);
            String content = text.substring(at, end < 0 ? text.length() : end).strip();
            if (!content.isEmpty() && content.charAt(0) != '#') {
                break;
            }
            String entry = content.isEmpty() ? "" : content.substring(1).strip();
            int colon = entry.indexOf(':');
            if (colon > 0) {
                String key = entry.substring(0, colon).strip();
                String value = entry.substring(colon + 1).strip();
                if (key.equalsIgnoreCase(MARK)) {
                    checkVersion(file, line, value);
                    ours = true;
                } else {
                    enter(record, key, ours ? unescaped(value) : value, new Place(file, line, ours), remarks);
                }
            } else if (!entry.isEmpty()) {
                remarks.add(entry);
            }
            at = end < 0 ? text.length() : end + 1;
            line++;
        }
        return new Preamble(record.build(), ours, remarks, line, at);
    }

    private static void enter(ShotRecord.Builder record, String key, String value, Place place, List<String> remarks)
            throws ImportFailure {
        try {
            RecordField field = RecordField.find(key).orElse(null);
            if (field == null) {
                record.extra(key, value);
            } else {
                record.text(field, value);
            }
        } catch (RefusedEntry refused) {
            if (place.ours) {
                throw new ImportFailure(place.file, place.line, key + ": " + refused.getMessage(),
                        "Correct the value or remove the line.");
            }
            remarks.add(key + ": " + value);
        }
    }

    private static void checkVersion(String file, int line, String version) throws ImportFailure {
        if (!version.equals(Integer.toString(VERSION))) {
            throw new ImportFailure(file, line,
                    "This is version “" + version + "” of the shot format; this program reads version "
                            + VERSION + ".",
                    "Open it with a newer Grenu.");
        }
    }

    static String escaped(String value) {
        return value.replace("\\", "\\\\").replace("\n", "\\n").replace("\r", "\\r");
    }

    static String unescaped(String value) {
        StringBuilder plain = new StringBuilder();
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            if (c == '\\' && i + 1 < value.length()) {
                i++;
                char next = value.charAt(i);
                plain.append(next == 'n' ? '\n' : next == 'r' ? '\r' : next);
            } else {
                plain.append(c);
            }
        }
        return plain.toString();
    }

    private record Place(String file, int line, boolean ours) {
    }
}
