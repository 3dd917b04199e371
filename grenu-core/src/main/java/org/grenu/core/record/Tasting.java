package org.grenu.core.record;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.grenu.core.entry.Row;

/**
 * What was tasted in a shot, in words that were picked.
 *
 * @param notes each with its intensity, 0 to 10, where one was given
 */
public record Tasting(Map<TasteNote, OptionalDouble> notes) {

    /** From there on a fault is more than a trace (assumed, no source). */
    private static final double NOTICEABLE = 3;

    public Tasting {
        Map<TasteNote, OptionalDouble> inOrder = new EnumMap<>(TasteNote.class);
        inOrder.putAll(notes);
        notes = Collections.unmodifiableMap(inOrder);
    }

    /** {@return the tasting in that record; a word picked twice counts as it was picked last} */
    public static Tasting of(ShotRecord record) {
        Map<TasteNote, OptionalDouble> notes = new EnumMap<>(TasteNote.class);
        for (Row row : record.rows(RecordField.TASTING)) {
            row.words(0).flatMap(TasteNote::find).ifPresent(note -> notes.put(note, row.number(1)));
        }
        return new Tasting(notes);
    }

    /** {@return how strong that was; empty where it was not noted, or without a number} */
    public OptionalDouble intensity(TasteNote note) {
        return notes.getOrDefault(note, OptionalDouble.empty());
    }

    /** {@return whether that was tasted by more than a trace; a word without a number was} */
    public boolean noticed(TasteNote note) {
        return notes.containsKey(note) && notes.get(note).orElse(NOTICEABLE) >= NOTICEABLE;
    }

    /** {@return the words of that side that were more than a trace} */
    public List<TasteNote> of(TasteNote.Side side) {
        return notes.keySet().stream().filter(note -> note.side() == side && noticed(note)).toList();
    }

    /** {@return the words that were tasted at all: a nought says that it was not there} */
    public List<TasteNote> present() {
        return notes.keySet().stream().filter(note -> notes.get(note).orElse(1) > 0).toList();
    }

    /**
     * {@return the notes that are not wanted: more than a trace of a fault's side, unless the coffee is expected to
     * taste of them}
     *
     * @param expected the notes that the coffee is known for, in words
     */
    public List<TasteNote> unwanted(Optional<String> expected) {
        Set<String> wanted = expectedWords(expected);
        return notes.keySet()
                .stream()
                .filter(note -> note.side() != TasteNote.Side.NEITHER && !wanted.contains(note.key())
                        && noticed(note))
                .toList();
    }

    /** {@return the single words of the notes that a coffee is known for} */
    public static Set<String> expectedWords(Optional<String> expected) {
        return new LinkedHashSet<>(
                Arrays.asList(expected.orElse("").toLowerCase(Locale.ROOT).split("[^\\p{L}]+")));
    }
}
