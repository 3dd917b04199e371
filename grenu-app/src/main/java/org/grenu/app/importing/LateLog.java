package org.grenu.app.importing;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShotReader;
import org.grenu.library.Change;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/**
 * A log that comes when its shot is written down already. Only the log is taken: what is written down stays.
 *
 * @param fileName name of the file it lay in
 * @param bytes    that file
 * @param ownClock whether its times are those of a logger, and not of the stopwatch that the record speaks of
 */
public record LateLog(String fileName, byte[] bytes, ShotLog log, boolean ownClock) {

    /** Under this name the time that a stopwatch gave stays, once a logger's clock counts. */
    public static final String STOPWATCH = "time by stopwatch s";

    /** Points that are typed are kept as a file of this name. */
    private static final String TYPED = "typed points.csv";

    /**
     * {@return the log in that file, by a kept mapping where one fits}
     *
     * @throws ImportFailure if it cannot be read, holds no log, or several
     */
    public static LateLog of(Library library, ShotSource source) throws ImportFailure, IOException {
        byte[] bytes = source.read();
        List<ParsedShot> shots = new ShotImport(library, Optional.empty()).read(source.name(), bytes);
        if (shots.size() != 1) {
            throw new ImportFailure(source.name(), 0, "The file holds " + shots.size() + " shots.",
                    "Choose a file with this shot alone.");
        }
        if (shots.get(0).shot().log().isEmpty()) {
            throw new ImportFailure(source.name(), 0, "The file holds no log.", "Choose another file.");
        }
        return new LateLog(source.name(), bytes, shots.get(0).shot().log(), true);
    }

    /**
     * {@return the log of points that were read off a gauge and a scale}
     *
     * @param text a heading such as {@code time [s], pressure [bar]}, then a line for each point
     * @throws ImportFailure if it is no such table; it names the line
     */
    public static LateLog typed(String text) throws ImportFailure {
        byte[] bytes = text.strip().concat("\n").getBytes(StandardCharsets.UTF_8);
        if (text.isBlank()) {
            throw new ImportFailure(TYPED, 0, "There are no points.", "Type a heading and a line for each point.");
        }
        return new LateLog(TYPED, bytes, ShotReader.read(TYPED, bytes).shot().log(), false);
    }

    /**
     * {@return what changes in the shot's record with the log} A time by stopwatch was stated as pump on at 0; on a
     * logger's
     * clock that would be false, so it stays as an entry of the user's own.
     */
    public List<Change> beside(ShotSummary shot) {
        ShotRecord written = shot.written();
        OptionalDouble on = written.number(RecordField.PUMP_ON);
        OptionalDouble off = written.number(RecordField.PUMP_OFF);
        if (!ownClock || on.isEmpty() && off.isEmpty()) {
            return List.of();
        }
        List<RecordEdit> edits = new ArrayList<>(List.of(RecordEdit.of(written, RecordField.PUMP_ON, ""),
                RecordEdit.of(written, RecordField.PUMP_OFF, "")));
        if (on.isPresent() && off.isPresent()) {
            edits.add(RecordEdit.ofOwn(written, STOPWATCH, DecimalText.exact(off.getAsDouble() - on.getAsDouble())));
        }
        return edits.stream().filter(RecordEdit::changes).map(edit -> Change.of(shot.id(), edit)).toList();
    }
}
