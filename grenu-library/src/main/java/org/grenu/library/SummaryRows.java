package org.grenu.library;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.study.ShotSheet;
import org.grenu.core.study.ShotState;
import org.jdbi.v3.core.Handle;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Shots as the rack lists them: their records, what the shelf adds, and what is kept of their curves. */
final class SummaryRows {

    private static final Logger LOG = LoggerFactory.getLogger(SummaryRows.class);

    private final Handle handle;
    private final SampleRows samples;
    private final Transactions transactions;
    private final LogDigests digests;
    private final boolean readOnly;
    /** Measured while nothing could be written; stored at the next occasion. */
    private final Map<Long, Fresh> fresh = new LinkedHashMap<>();

    SummaryRows(Handle handle, SampleRows samples, Transactions transactions, LogDigests digests, boolean readOnly) {
        this.handle = handle;
        this.samples = samples;
        this.transactions = transactions;
        this.digests = digests;
        this.readOnly = readOnly;
    }

    private record Fresh(CurveSettings settings, CurveDigest digest) {
    }

    private record Row(long id, int number, ShotState state, String log, ShotSheet recorded, ShotSheet complete,
            Optional<CurveDigest> digest) {
    }

    /** {@return the shots that an SQL condition chooses, in a transaction of its own} */
    List<ShotSummary> read(String where, Supplier<Shelf> shelf) {
        return measuring(() -> within(where, shelf.get()));
    }

    /** {@return the shots that an SQL condition chooses, within a transaction under way} */
    List<ShotSummary> within(String where, Shelf shelf) {
        List<Row> rows = handle.createQuery(ShotRows.selectSummaries() + " " + where).map((row, context) -> {
            ShotSheet recorded = ShotRows.sheet(row, ShotRows.EXTRAS);
            ShotSheet complete = shelf.complete(recorded);
            ShotState state = ShotState.find(row.getString(3)).orElse(ShotState.RECORDED);
            return new Row(row.getLong(1), row.getInt(2), state, row.getString(4), recorded, complete,
                    ShotRows.digest(row, complete.curveSettings()));
        }).list();
        List<ShotSummary> summaries = new ArrayList<>(rows.size());
        rows.forEach(row -> summaries.add(summary(row)));
        return summaries;
    }

    /** Reads, and stores afterwards what had to be measured for it: who only reads shall not wait for who writes. */
    <T> T measuring(Supplier<T> reading) {
        T found = transactions.read("read the shots", reading);
        if (!fresh.isEmpty() && !readOnly) {
            try {
                transactions.write("keep what was measured",
                        () -> fresh.forEach((id, one) -> ShotRows.store(handle, id, one.settings, one.digest)));
            } catch (LibraryException later) {
                LOG.debug("What was measured is measured again next time", later);
            }
        }
        fresh.clear();
        return found;
    }

    private ShotSummary summary(Row row) {
        CurveDigest digest = row.digest.orElseGet(() -> {
            CurveDigest made = digests.of(!row.log.isEmpty() ? samples.read(row.id) : ShotLog.NONE,
                    row.complete.curveSettings());
            if (transactions.writing()) {
                ShotRows.store(handle, row.id, row.complete.curveSettings(), made);
            } else {
                fresh.put(row.id, new Fresh(row.complete.curveSettings(), made));
            }
            return made;
        });
        return new ShotSummary(row.id, row.number, row.recorded, row.complete, row.state, row.log, digest);
    }
}
