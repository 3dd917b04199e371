package org.grenu.library;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.grenu.core.record.RecordEdit;

/** Steps: changes that were made together, and are taken back and made again together. */
public final class Journal {

    private final Transactions within;
    private final Clock clock;
    private final Changes changes;
    private final SummaryRows summaries;
    private final ShelfKept shelf;
    private final FindingStore findings;
    private final ShelfLinks links;

    Journal(Transactions within, Clock clock, Changes changes, SummaryRows summaries, ShelfKept shelf,
            FindingStore findings, ShelfLinks links) {
        this.within = within;
        this.clock = clock;
        this.changes = changes;
        this.summaries = summaries;
        this.shelf = shelf;
        this.findings = findings;
        this.links = links;
    }

    /** Stores an edit of a shot's record. */
    public StoredStep make(long shot, RecordEdit edit) {
        return make(edit.title(), List.of(Change.of(shot, edit)), "");
    }

    /**
     * Makes changes that belong together; steps that were undone before can no longer be redone.
     *
     * @param words  what they do, for the history
     * @param reason why, in the user's words; may be empty
     */
    public StoredStep make(String words, List<Change> wanted, String reason) {
        within.writing();
        changes.store(words, wanted, reason, now());
        return took(new Changes.Kept(words, wanted));
    }

    /** Keeps that those shots were added together, so that adding them can be undone. */
    public void addedTogether(List<Long> shots, String words) {
        within.writing();
        changes.keep(words, shots.stream().map(ShotIntake::made).toList(), "", now());
    }

    /** Makes everything that the work stores one step: it is undone together. */
    void together(String words, Runnable work) {
        within.writing();
        changes.together(words, now(), work);
    }

    /** Takes the last step back; empty when there is none. */
    public Optional<StoredStep> undo() {
        within.writing();
        return changes.undo().map(this::took);
    }

    /** Makes the step again that was undone last; empty when there is none. */
    public Optional<StoredStep> redo() {
        within.writing();
        return changes.redo().map(this::took);
    }

    /** {@return how many steps can be undone and how many redone} */
    public EditDepth depth() {
        within.reading();
        return changes.depth();
    }

    private StoredStep took(Changes.Kept kept) {
        boolean shelfChanged = forgetShelfIfChanged(kept);
        Set<Long> changed = ids(kept, Target.SHOT);
        Set<Long> naming = new LinkedHashSet<>();
        ids(kept, Target.ITEM).forEach(item -> naming.addAll(links.shotsOf(item)));
        naming.removeAll(changed);
        changed.forEach(findings::forget);
        naming.forEach(findings::forget);
        List<ShotSummary> shots = summaries.of(changed, shelf.now());
        Set<Long> gone = new LinkedHashSet<>(changed);
        shots.forEach(shot -> gone.remove(shot.id()));
        return new StoredStep(kept.words(), kept.changes(), shots, summaries.of(naming, shelf.now()),
                List.copyOf(gone), shelfChanged ? Optional.of(shelf.now()) : Optional.empty());
    }

    private boolean forgetShelfIfChanged(Changes.Kept kept) {
        boolean shelfChanged = kept.changes()
                .stream()
                .anyMatch(change -> change.target() == Target.ITEM || change.target() == Target.VERSION);
        if (shelfChanged) {
            shelf.forget();
        }
        return shelfChanged;
    }

    private static Set<Long> ids(Changes.Kept kept, Target target) {
        return kept.changes()
                .stream()
                .filter(change -> change.target() == target)
                .map(Change::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** {@return the moment, as the file has it} */
    String now() {
        return Instant.now(clock).truncatedTo(ChronoUnit.MILLIS).toString();
    }
}
