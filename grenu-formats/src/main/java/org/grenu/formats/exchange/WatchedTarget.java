package org.grenu.formats.exchange;

import java.util.List;
import org.grenu.core.shelf.ShelfItem;

/** Hands everything on and keeps what went wrong there: what a target could not do is no fault of the package. */
final class WatchedTarget implements ArchiveTarget {
    private final ArchiveTarget target;
    private RuntimeException failure;

    WatchedTarget(ArchiveTarget target) {
        this.target = target;
    }

    /** @throws RuntimeException what the target threw, if it did */
    void rethrow() {
        if (failure != null) {
            throw failure;
        }
    }

    @Override
    public void shelf(List<ShelfItem> items) {
        keeping(() -> target.shelf(items));
    }

    @Override
    public void shot(ArchivedShot shot) {
        keeping(() -> target.shot(shot));
    }

    @Override
    public void history(List<ArchivedChange> changes) {
        keeping(() -> target.history(changes));
    }

    private void keeping(Runnable handing) {
        try {
            handing.run();
        } catch (RuntimeException failed) {
            failure = failed;
            throw failed;
        }
    }
}
