package org.grenu.formats.mapping;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.record.RecordField;
import org.grenu.formats.EntryHeading;
import org.grenu.formats.FileFacts;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShotReader;

/**
 * Reads a file with shots without asking: one of Grenu's own, a table whose headings are understood, or a foreign
 * log of which the guess is sure. What else the file tells of its shots is taken over, with the place it stood.
 */
public final class ShotFile {

    private static final Set<RecordField> OF_SHOTS = EnumSet.of(RecordField.DOSE, RecordField.STATED_YIELD);

    private ShotFile() {
    }

    /**
     * {@return the shots in the file, in its order}
     *
     * @param name  the file's name
     * @param bytes all of it
     * @throws ImportFailure if it cannot be read, or not without asking
     */
    public static List<ParsedShot> read(String name, byte[] bytes) throws ImportFailure {
        return read(name, bytes, ShotReader.text(name, bytes));
    }

    /** As {@link #read(String, byte[])}; the bytes are decoded already. */
    public static List<ParsedShot> read(String name, byte[] bytes, String text) throws ImportFailure {
        if (ShotReader.own(text)) {
            return FileFacts.complete(name, text, List.of(ShotReader.read(name, bytes)));
        }
        refuseNotebook(name, text);
        Optional<TableMapping> guess = guess(name, text);
        boolean several = guess.filter(mapping -> mapping.split().kind() == ShotSplit.Kind.ID).isPresent();
        if (several) {
            return FileFacts.complete(name, text, MappedReader.readText(name, text, guess.get()));
        }
        try {
            return FileFacts.complete(name, text, List.of(ShotReader.read(name, bytes)));
        } catch (ImportFailure notUnderstood) {
            return byGuess(name, text, guess, notUnderstood);
        }
    }

    private static List<ParsedShot> byGuess(String name, String text, Optional<TableMapping> guess,
            ImportFailure notUnderstood) throws ImportFailure {
        if (guess.isEmpty()) {
            throw notUnderstood;
        }
        try {
            return FileFacts.complete(name, text, MappedReader.readText(name, text, guess.get()));
        } catch (ImportFailure neither) {
            throw notUnderstood;
        }
    }

    /** @throws ImportFailure if it is a notebook, whose rows are shots, and no log, whose rows are samples */
    private static void refuseNotebook(String name, String text) throws ImportFailure {
        String heading = text.lines().filter(line -> !line.isBlank() && !line.startsWith("#")).findFirst().orElse("");
        long ofShots = Arrays.stream(heading.split("[,;\t]"))
                .map(cell -> EntryHeading.parse(cell.strip().replaceAll("^\"|\"$", "")).meaning().orElse(null))
                .filter(meaning -> meaning instanceof EntryHeading.StrengthReading
                        || meaning instanceof EntryHeading.LogFile
                        || meaning instanceof EntryHeading.Entry entry && OF_SHOTS.contains(entry.field()))
                .count();
        if (ofShots > 1) {
            throw new ImportFailure(name, 0, "The file is a table with a row for each shot, not a log.",
                    "Join it with the shots instead (find it with Ctrl K: “Join a table”).");
        }
    }

    private static Optional<TableMapping> guess(String name, String text) {
        try {
            MappingGuess guess = MappingGuess.of(name, text);
            return guess.sure() ? Optional.of(guess.mapping()) : Optional.empty();
        } catch (ImportFailure noTable) {
            return Optional.empty();
        }
    }
}
