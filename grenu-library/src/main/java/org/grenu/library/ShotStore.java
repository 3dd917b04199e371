package org.grenu.library;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;

/** Shots with their logs. */
public final class ShotStore {

    private final Transactions within;
    private final SummaryRows summaries;
    private final ShelfKept shelf;
    private final SampleRows samples;
    private final ShotIntake intake;
    private final Journal journal;
    private final FindingStore findings;

    ShotStore(Transactions within, SummaryRows summaries, ShelfKept shelf, SampleRows samples, ShotIntake intake,
            Journal journal, FindingStore findings) {
        this.within = within;
        this.summaries = summaries;
        this.shelf = shelf;
        this.samples = samples;
        this.intake = intake;
        this.journal = journal;
        this.findings = findings;
    }

    /** {@return all shots that are not in the bin, in the order of their numbers} */
    public List<ShotSummary> all() {
        return summaries.all(shelf.now());
    }

    /** {@return the shot of that number, when it is not in the bin} */
    public Optional<ShotSummary> find(int number) {
        return summaries.chosen("WHERE shot.binned_at = '' AND shot.number = " + number, shelf.now())
                .stream()
                .findFirst();
    }

    /** {@return the newest shots by number, so many at most, in the order of their numbers} */
    public List<ShotSummary> newest(int most) {
        return summaries
                .chosen("WHERE shot.number IN (SELECT number FROM shot WHERE binned_at = '' ORDER BY number DESC LIMIT "
                        + most + ") ORDER BY shot.number", shelf.now());
    }

    /**
     * {@return the shots as the shelf tells of them now, which may have changed since they were read} What was found
     * in
     * those that did is forgotten.
     */
    public List<ShotSummary> refresh(List<ShotSummary> shots) {
        within.writing();
        Shelf told = shelf.now();
        List<ShotSummary> now = new ArrayList<>(shots.size());
        for (ShotSummary shot : shots) {
            ShotSummary on = summaries.on(shot, told);
            if (!on.equals(shot)) {
                findings.forget(shot.id());
            }
            now.add(on.record().curveSettings().equals(shot.record().curveSettings()) ? on
                    : summaries.of(shot.id(), told));
        }
        return now;
    }

    /** {@return the shot's log; {@link ShotLog#NONE} where it has none} */
    public ShotLog log(long id) {
        return logged(id) ? samples.read(id) : ShotLog.NONE;
    }

    private boolean logged(long id) {
        return within.reading()
                .createQuery("SELECT log_digest IS NOT NULL FROM shot WHERE id = :id")
                .bind("id", id)
                .mapTo(Boolean.class)
                .one();
    }

    /**
     * Stores a shot with the file it came from, unless one with the same samples is there already; one in the bin is
     * taken out.
     */
    public AddOutcome add(String fileName, byte[] raw, Shot shot) {
        return add(fileName, raw, shot, 0, Set.of());
    }

    /**
     * As {@link #add(String, byte[], Shot)}; the shot keeps that number where it is free.
     *
     * @param met numbers of shots that others of the same source are: of two written alike each is one
     */
    public AddOutcome add(String fileName, byte[] raw, Shot shot, int wantedNumber, Set<Integer> met) {
        within.writing();
        ShotIntake.Taken taken = intake.take(fileName, raw, shot, wantedNumber, met, journal.now());
        return taken.known() ? new AddOutcome.Duplicate(taken.number())
                : new AddOutcome.Added(summaries.of(taken.id(), shelf.now()));
    }

    /**
     * Stores a shot that has no log, or none yet, as a step of its own.
     *
     * @param wantedNumber its number where that is free; 0 for the next
     */
    public StoredStep write(ShotRecord record, ShotState state, int wantedNumber) {
        ShotIntake.Taken taken = intake.write(record, state, wantedNumber, journal.now());
        within.writing().execute("UPDATE shot SET binned_at = ? WHERE id = ?", Change.NEVER, taken.id());
        return journal.make("New shot " + taken.number(), List.of(ShotIntake.made(taken.id())), "");
    }

    /** Changes shots and makes new ones without a log, together as one step. */
    public StoredStep join(String words, List<ShotRecord> made, List<Change> changes, String reason) {
        List<Change> all = new ArrayList<>(changes);
        for (ShotRecord record : made) {
            ShotIntake.Taken taken = intake.write(record, ShotState.RECORDED, 0, journal.now());
            within.writing().execute("UPDATE shot SET binned_at = ? WHERE id = ?", Change.NEVER, taken.id());
            all.add(ShotIntake.made(taken.id()));
        }
        return journal.make(words, all, reason);
    }

    /**
     * Gives a shot the log it was pulled with, as a step of its own.
     *
     * @param beside changes of its record that come with the log
     * @throws LibraryException if it has one, or the log is another shot's
     */
    public StoredStep giveLog(ShotSummary shot, String fileName, byte[] raw, ShotLog log, List<Change> beside) {
        within.writing();
        if (logged(shot.id())) {
            throw new LibraryException("Shot " + shot.number() + " has a log. Import the file as a shot of its own.");
        }
        List<Change> all = new ArrayList<>(beside);
        all.add(intake.log(shot.id(), fileName, raw, log, journal.now()));
        return journal.make("Log of shot " + shot.number(), all, "");
    }
}
