package org.grenu.library;

import java.time.Clock;
import org.grenu.core.shelf.ShotDerivation;
import org.jdbi.v3.core.Handle;

/**
 * What lies in a library, by what it is of: for work in {@link Library#read} and {@link Library#write}, and outside
 * them
 * of no use. What changes something is refused in {@code read}.
 */
public final class Stores {

    private final ShotStore shots;
    private final ShelfStore shelf;
    private final FileStore files;
    private final AttachmentStore attachments;
    private final Journal journal;
    private final HistoryStore history;
    private final BinStore bin;
    private final FindingStore findings;
    private final SettingStore settings;
    private final Changes changes;
    private final SummaryRows summaries;
    private final ShelfKept shelfKept;

    Stores(Handle handle, Transactions within, Clock clock, ShotDerivation derivation) {
        SampleRows samples = new SampleRows(handle);
        Tables tables = Tables.of(handle);
        ShelfRows shelfRows = new ShelfRows(tables);
        changes = new Changes(tables);
        summaries = new SummaryRows(within, samples, derivation, tables.names());
        shelfKept = new ShelfKept(within, shelfRows, tables.names());
        files = new FileStore(within);
        history = new HistoryStore(within, tables.names());
        findings = new FindingStore(within);
        settings = new SettingStore(within);
        journal = new Journal(within, clock, changes, summaries, shelfKept, findings, new ShelfLinks(tables));
        bin = new BinStore(within, journal, tables);
        attachments = new AttachmentStore(within, changes, journal);
        shelf = new ShelfStore(within, shelfRows, shelfKept, journal);
        shots = new ShotStore(within, summaries, shelfKept, samples, new ShotIntake(tables, files, samples, changes),
                journal, findings);
    }

    /** {@return shots with their logs} */
    public ShotStore shots() {
        return shots;
    }

    /** {@return coffees, gear and whatever else shots are pulled with} */
    public ShelfStore shelf() {
        return shelf;
    }

    /** {@return the files that logs came from} */
    public FileStore files() {
        return files;
    }

    /** {@return photos and other files kept with shots} */
    public AttachmentStore attachments() {
        return attachments;
    }

    /** {@return steps, to make, take back and make again} */
    public Journal journal() {
        return journal;
    }

    /** {@return what was changed of each thing} */
    public HistoryStore history() {
        return history;
    }

    /** {@return what was thrown away} */
    public BinStore bin() {
        return bin;
    }

    /** {@return what was found in shots, in words} */
    public FindingStore findings() {
        return findings;
    }

    /** {@return what the user chose for this library} */
    public SettingStore settings() {
        return settings;
    }

    SummaryRows summaries() {
        return summaries;
    }

    /** The file became another as a whole. */
    void begin() {
        changes.begin();
        shelfKept.forget();
    }

    /** What was being done did not come to pass, or another process has written. */
    void forget() {
        shelfKept.forget();
    }
}
