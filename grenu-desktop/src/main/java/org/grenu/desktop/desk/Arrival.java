package org.grenu.desktop.desk;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.grenu.library.LibraryException;
import org.grenu.library.ShotSummary;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** How the shots of a large library come after the newest ones are shown, and that it is looked through for damage. */
public final class Arrival {

    private static final Logger LOG = LoggerFactory.getLogger(Arrival.class);

    private final StudyDesk desk;
    private volatile Consumer<List<ShotSummary>> before = all -> {};

    Arrival(StudyDesk desk) {
        this.desk = desk;
    }

    /** Has that done with all shots, on another thread, before they are shown. */
    public void before(Consumer<List<ShotSummary>> what) {
        before = what;
    }

    /** Reads all shots and shows them. */
    public void begin() {
        desk.background().run(() -> {
            List<ShotSummary> all = desk.library().read(tx -> tx.shots().all());
            all.forEach(desk.derived()::of);
            before.accept(all);
            return all;
        }, all -> {
            desk.shots().setAll(all);
            LOG.info("All {} shots are there", all.size());
        }, desk::failed);
        lookThrough();
    }

    private void lookThrough() {
        CompletableFuture.runAsync(desk.library()::check).whenComplete((done, failure) -> {
            if (failure != null) {
                desk.background()
                        .onInterface(() -> desk.failed(new LibraryException(
                                failure.getCause() == null ? failure.getMessage() : failure.getCause().getMessage())));
            }
        });
    }
}
