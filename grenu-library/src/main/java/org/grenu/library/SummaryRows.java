package org.grenu.library;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShotDerivation;
import org.grenu.core.record.KnownEntries;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;

/** Shots as the rack lists them: their records, what the shelf adds, and what is kept of their curves. */
final class SummaryRows {

    private static final int AT_ONCE = 500;

    private final Transactions within;
    private final SampleRows samples;
    private final ShotDerivation derivation;
    private final ShelfNames names;
    /** Measured while nothing could be written; stored at the next occasion. */
    private final Map<Long, Measured> fresh = new LinkedHashMap<>();

    SummaryRows(Transactions within, SampleRows samples, ShotDerivation derivation, ShelfNames names) {
        this.within = within;
        this.samples = samples;
        this.derivation = derivation;
        this.names = names;
    }

    /** What a log says in short, by what its record said about it. */
    record Measured(CurveSettings settings, CurveDigest digest) {
    }

    private record Row(long id, int number, ShotState state, String log, ShotRecord recorded, ShotRecord complete,
            Optional<CurveDigest> digest) {
    }

    /** {@return that shot} */
    ShotSummary of(long id, Shelf shelf) {
        return chosen("WHERE shot.id = " + id, shelf).get(0);
    }

    /** {@return those shots, in that order, without those that are in the bin} */
    List<ShotSummary> of(Collection<Long> ids, Shelf shelf) {
        Map<Long, ShotSummary> found = new HashMap<>();
        List<Long> all = List.copyOf(ids);
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            String some = all.subList(from, Math.min(all.size(), from + AT_ONCE))
                    .stream()
                    .map(String::valueOf)
                    .collect(Collectors.joining(", "));
            chosen("WHERE shot.binned_at = '' AND shot.id IN (" + some + ")", shelf)
                    .forEach(shot -> found.put(shot.id(), shot));
        }
        return all.stream().map(found::get).filter(Objects::nonNull).toList();
    }

    /** {@return the shot as that shelf tells of it; its digest is the caller's to look after} */
    ShotSummary on(ShotSummary shot, Shelf shelf) {
        return new ShotSummary(shot.id(), shot.number(), shot.written(), derivation.complete(shot.written(), shelf),
                shot.state(), shot.log(), shot.digest());
    }

    /** {@return the shots that an SQL condition chooses} */
    List<ShotSummary> chosen(String where, Shelf shelf) {
        return chosen(ShotRows.ALL, where, shelf);
    }

    /** {@return all shots that are not in the bin, in the order of their numbers} */
    List<ShotSummary> all(Shelf shelf) {
        return chosen(ShotRows.used(within.reading()), "WHERE shot.binned_at = '' ORDER BY shot.number", shelf);
    }

    private List<ShotSummary> chosen(List<RecordField> fields, String where, Shelf shelf) {
        KnownEntries known = new KnownEntries();
        List<Row> rows = within.reading()
                .createQuery(ShotRows.selectSummaries(fields) + " " + where)
                .map((row, context) -> {
                    ShotRecord recorded = ShotRows.record(row, ShotRows.EXTRAS, fields, names, known);
                    ShotRecord complete = derivation.complete(recorded, shelf);
                    ShotState state = ShotState.find(row.getString(3)).orElse(ShotState.RECORDED);
                    return new Row(row.getLong(1), row.getInt(2), state, row.getString(4), recorded, complete,
                            ShotRows.digest(row, fields.size(), complete.curveSettings()));
                })
                .list();
        List<ShotSummary> summaries = new ArrayList<>(rows.size());
        rows.forEach(row -> summaries.add(summary(row)));
        return summaries;
    }

    /** {@return what was measured while it could not be stored, for once} */
    Map<Long, Measured> takeMeasured() {
        Map<Long, Measured> taken = new LinkedHashMap<>(fresh);
        fresh.clear();
        return taken;
    }

    /** Stores what was measured. */
    void store(Map<Long, Measured> measured) {
        measured.forEach((id, one) -> ShotRows.store(within.writing(), id, one.settings, one.digest));
    }

    private ShotSummary summary(Row row) {
        CurveDigest digest = row.digest.orElseGet(() -> {
            CurveDigest made = derivation.digest(!row.log.isEmpty() ? samples.read(row.id) : ShotLog.NONE,
                    row.complete.curveSettings());
            if (within.writes()) {
                ShotRows.store(within.writing(), row.id, row.complete.curveSettings(), made);
            } else {
                fresh.put(row.id, new Measured(row.complete.curveSettings(), made));
            }
            return made;
        });
        return new ShotSummary(row.id, row.number, row.recorded, row.complete, row.state, row.log, digest);
    }
}
