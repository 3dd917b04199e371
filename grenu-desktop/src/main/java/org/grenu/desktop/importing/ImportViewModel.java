package org.grenu.desktop.importing;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.grenu.app.importing.ImportOutcome;
import org.grenu.app.importing.ImportSummary;
import org.grenu.app.importing.ShotImport;
import org.grenu.app.importing.ShotSource;
import org.grenu.app.study.ShotOrder;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.formats.mapping.TableMapping;
import org.grenu.library.ShotSummary;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Imports batches of files one after another, each file by itself: one that cannot be read does not stop the others,
 * and cancelling keeps what was stored until then.
 */
public final class ImportViewModel implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(ImportViewModel.class);
    private static final long SHOW_EVERY_NANOS = 120_000_000;

    private final StudyDesk desk;
    private final Background worker;
    private final AtomicBoolean cancelled = new AtomicBoolean();
    private final ObservableList<ImportOutcome> outcomes = FXCollections.observableArrayList();
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper();
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
    private final ReadOnlyStringWrapper summary = new ReadOnlyStringWrapper("");
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final Map<String, ShotSource> refused = new ConcurrentHashMap<>();
    private final List<ShotSummary> imported = new ArrayList<>();
    private int filesDone;
    private OpenShot openAtStart;

    /** Imports into the desk's library. */
    public ImportViewModel(StudyDesk desk, Executor interfaceThread) {
        this.desk = desk;
        this.worker = new Background("grenu-import", interfaceThread);
    }

    // Observables

    /** {@return what became of each file of the last batch, those refused first} */
    public ObservableList<ImportOutcome> outcomes() {
        return outcomes;
    }

    /** {@return share of the batch that is done, in [0, 1]} */
    public ReadOnlyDoubleProperty progressProperty() {
        return progress.getReadOnlyProperty();
    }

    /** {@return whether a batch is under way} */
    public ReadOnlyBooleanProperty runningProperty() {
        return running.getReadOnlyProperty();
    }

    /** {@return the batch in a sentence} */
    public ReadOnlyStringProperty summaryProperty() {
        return summary.getReadOnlyProperty();
    }

    // Actions

    /** Imports those files and folders. */
    public void importPaths(List<Path> paths) {
        start(() -> ShotSource.of(paths), Optional.empty());
    }

    /** Imports those sources. */
    public void importSources(List<ShotSource> sources) {
        start(() -> sources, Optional.empty());
    }

    /** Imports the shots that the mapping makes of that log; if it was refused, the others stay in the report. */
    public void importMapped(ShotSource source, TableMapping mapping) {
        if (refused.containsKey(source.name())) {
            goOn(() -> List.of(source), Optional.of(mapping));
        } else {
            start(() -> List.of(source), Optional.of(mapping));
        }
    }

    /** Tries those again that were refused; a mapping kept meanwhile may fit them. */
    public void tryRefusedAgain() {
        List<ShotSource> again = refused.values().stream().sorted(Comparator.comparing(ShotSource::name)).toList();
        goOn(() -> again, Optional.empty());
    }

    /** {@return the file of that name that could not be read in the last batch, to map its columns} */
    public Optional<ShotSource> refused(String file) {
        return Optional.ofNullable(refused.get(file));
    }

    /** Stops after the file that is being read; batches that wait are dropped. */
    public void cancel() {
        waiting.clear();
        cancelled.set(true);
    }

    @Override
    public void close() {
        cancel();
        worker.close();
    }

    private interface Listing {
        List<ShotSource> list() throws IOException;
    }

    /** A batch that comes while another is under way waits for it. */
    private void start(Listing listing, Optional<TableMapping> mapping) {
        if (running.get()) {
            waiting.add(() -> start(listing, mapping));
            return;
        }
        outcomes.clear();
        refused.clear();
        run(listing, mapping);
    }

    /** Goes on with the last batch: its report stays, but for what is tried again. */
    private void goOn(Listing listing, Optional<TableMapping> mapping) {
        if (running.get()) {
            waiting.add(() -> goOn(listing, mapping));
            return;
        }
        run(() -> {
            List<ShotSource> sources = listing.list();
            Set<String> again = sources.stream().map(ShotSource::name).collect(Collectors.toSet());
            refused.keySet().removeAll(again);
            worker.onInterface(() -> outcomes.removeIf(
                    outcome -> outcome instanceof ImportOutcome.Failed && again.contains(outcome.file())));
            return sources;
        }, mapping);
    }

    private void run(Listing listing, Optional<TableMapping> mapping) {
        filesDone = 0;
        imported.clear();
        openAtStart = desk.openProperty().get();
        cancelled.set(false);
        running.set(true);
        progress.set(0);
        summary.set("Importing…");
        long started = System.nanoTime();
        worker.run(() -> {
            List<ShotSource> sources = listing.list();
            Batch batch = new Batch(sources.size(), mapping);
            for (ShotSource source : sources) {
                if (cancelled.get()) {
                    break;
                }
                batch.take(source);
            }
            batch.show();
            LOG.info("{} of {} files imported in {} ms", batch.done, sources.size(),
                    (System.nanoTime() - started) / 1_000_000);
            return sources.size();
        }, this::finished, failure -> {
            running.set(false);
            desk.failed(failure);
            startNext();
        });
    }

    private void finished(int total) {
        progress.set(left(total) == 0 ? 1 : progress.get());
        running.set(false);
        int left = left(total);
        if (!imported.isEmpty()) {
            desk.addedTogether(imported);
        }
        openNewest();
        summary.set(ImportSummary.of(outcomes, left));
        if (left == 0 && outcomes.stream().allMatch(ImportOutcome::withoutRemark)) {
            desk.noticeProperty().set(Notice.done(summary.get()));
        }
        startNext();
    }

    private void startNext() {
        if (!waiting.isEmpty()) {
            waiting.remove().run();
        }
    }

    /** Who imports wants to see it; who has opened another shot meanwhile is left where they are. */
    private void openNewest() {
        if (!imported.isEmpty() && desk.openProperty().get() == openAtStart) {
            desk.select(ShotOrder.newestFirst(imported).get(0).id());
        }
    }

    /** What was refused needs a look: it stands before the rest. */
    private void report(List<ImportOutcome> more) {
        Map<Boolean, List<ImportOutcome>> byRefusal = more.stream()
                .collect(Collectors.partitioningBy(outcome -> outcome instanceof ImportOutcome.Failed));
        int before = (int) outcomes.stream().takeWhile(outcome -> outcome instanceof ImportOutcome.Failed).count();
        outcomes.addAll(before, byRefusal.get(true));
        outcomes.addAll(byRefusal.get(false));
    }

    private int left(int total) {
        return total - filesDone;
    }

    /** Runs on the worker; shows what it has at most eight times a second. */
    private final class Batch {
        private final int total;
        private final ShotImport files;
        private int done;
        private List<ImportOutcome> pending = new ArrayList<>();
        private List<ShotSummary> added = new ArrayList<>();
        private long lastShown = System.nanoTime();

        Batch(int total, Optional<TableMapping> mapping) {
            this.total = total;
            this.files = new ShotImport(desk.library(), mapping);
        }

        void take(ShotSource source) {
            ShotImport.Taken taken = files.take(source);
            pending.addAll(taken.outcomes());
            added.addAll(taken.added());
            if (taken.refused()) {
                refused.put(source.name(), source);
            }
            done++;
            if (System.nanoTime() - lastShown > SHOW_EVERY_NANOS) {
                show();
            }
        }

        void show() {
            List<ImportOutcome> shownOutcomes = pending;
            List<ShotSummary> shownShots = added;
            double share = total == 0 ? 1 : done / (double) total;
            int files = done;
            pending = new ArrayList<>();
            added = new ArrayList<>();
            lastShown = System.nanoTime();
            worker.onInterface(() -> {
                report(shownOutcomes);
                filesDone = files;
                progress.set(share);
                if (!shownShots.isEmpty()) {
                    imported.addAll(shownShots);
                    desk.added(shownShots);
                }
            });
        }
    }
}
