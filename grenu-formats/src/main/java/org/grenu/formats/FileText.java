package org.grenu.formats;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Bytes to text: UTF-8, UTF-16 with a byte order mark, else Windows-1252, which old loggers write. */
final class FileText {

    private static final Charset WINDOWS = Charset.forName("windows-1252");

    /** What Java puts in place of bytes that are no UTF-8; a file may hold it itself. */
    private static final char REPLACED = '\uFFFD';

    private FileText() {
    }

    static String decode(String name, byte[] bytes) throws ImportFailure {
        String text = decode(bytes);
        if (!text.isEmpty() && text.charAt(0) == '\uFEFF') {
            text = text.substring(1);
        }
        int nul = text.indexOf('\0');
        if (nul >= 0) {
            int line = 1 + (int) text.substring(0, nul).chars().filter(c -> c == '\n').count();
            throw new ImportFailure(name, line, "The file is not text.", "Choose a CSV, TSV or JSON log of a shot.");
        }
        return text;
    }

    private static String decode(byte[] b) {
        if (b.length >= 2 && (b[0] & 0xFF) == 0xFE && (b[1] & 0xFF) == 0xFF) {
            return new String(b, StandardCharsets.UTF_16BE);
        }
        if (b.length >= 2 && (b[0] & 0xFF) == 0xFF && (b[1] & 0xFF) == 0xFE) {
            return new String(b, StandardCharsets.UTF_16LE);
        }
        String lenient = new String(b, StandardCharsets.UTF_8);
        return lenient.indexOf(REPLACED) < 0 ? lenient : strict(b);
    }

    private static String strict(byte[] b) {
        try {
            return StandardCharsets.UTF_8.newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(b))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            return new String(b, WINDOWS);
        }
    }
}
