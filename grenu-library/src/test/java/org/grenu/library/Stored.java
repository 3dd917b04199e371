package org.grenu.library;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.record.Shot;

/** What tests ask of a library, each in a transaction of its own. */
public final class Stored {

    private Stored() {
    }

    /** {@return the shots} */
    public static List<ShotSummary> shots(Library library) {
        return library.read(tx -> tx.shots().all());
    }

    /** {@return the log of that shot} */
    public static ShotLog log(Library library, long shot) {
        return library.read(tx -> tx.shots().log(shot));
    }

    /** {@return the file that the shot's log came from} */
    public static Optional<RawFile> file(Library library, long shot) {
        return library.read(tx -> tx.files().of(shot));
    }

    /** {@return the shelf} */
    public static Shelf shelf(Library library) {
        return library.read(tx -> tx.shelf().all());
    }

    /** {@return the settings} */
    public static Map<String, String> settings(Library library) {
        return library.read(tx -> tx.settings().all());
    }

    /** {@return what is in the bin} */
    public static List<Binned> bin(Library library) {
        return library.read(tx -> tx.bin().list());
    }

    /** {@return what emptying the bin would lose} */
    public static BinLoss loss(Library library) {
        return library.read(tx -> tx.bin().loss());
    }

    /** {@return how many steps can be taken back and made again} */
    public static EditDepth depth(Library library) {
        return library.read(tx -> tx.journal().depth());
    }

    /** {@return what was changed of that thing} */
    public static List<HistoryEntry> history(Library library, Target target, long id) {
        return library.read(tx -> tx.history().of(target, id));
    }

    /** {@return the files kept with that shot} */
    public static List<Attachment> attachments(Library library, long shot) {
        return library.read(tx -> tx.attachments().of(shot));
    }

    /** {@return what became of that shot} */
    public static AddOutcome add(Library library, String fileName, byte[] raw, Shot shot) {
        return library.write(tx -> tx.shots().add(fileName, raw, shot));
    }

    /** Takes the last step back. */
    public static Optional<StoredStep> undo(Library library) {
        return library.write(tx -> tx.journal().undo());
    }

    /** Makes the step again that was undone last. */
    public static Optional<StoredStep> redo(Library library) {
        return library.write(tx -> tx.journal().redo());
    }
}
