package org.grenu.app.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.exchange.ArchiveSource;
import org.grenu.formats.exchange.ArchivedChange;
import org.grenu.formats.exchange.ArchivedShot;
import org.grenu.library.Change;
import org.grenu.library.HistoryEntry;
import org.grenu.library.Library;
import org.grenu.library.RawFile;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** A library, or some of its shots, as a source for open formats. */
public final class LibraryArchive implements ArchiveSource {

    private static final RawFile NO_FILE = new RawFile("", new byte[0]);

    private final Library library;
    private final Map<Integer, ShotSummary> shots = new HashMap<>();
    private final List<Integer> numbers;
    private final IntConsumer progress;

    /**
     * Those shots, with all of the shelf.
     *
     * @param progress told the number of each shot that is asked for
     */
    public LibraryArchive(Library library, List<ShotSummary> chosen, IntConsumer progress) {
        this.library = library;
        this.progress = progress;
        chosen.forEach(shot -> shots.put(shot.number(), shot));
        numbers = shots.keySet().stream().sorted().toList();
    }

    @Override
    public String title() {
        return "Espresso shots, " + numbers.size() + " of them";
    }

    @Override
    public List<Integer> numbers() {
        return numbers;
    }

    @Override
    public ShotRecord record(int number) {
        return shots.get(number).written();
    }

    @Override
    public ArchivedShot shot(int number) {
        progress.accept(number);
        ShotSummary shot = shots.get(number);
        RawFile raw = library.read(tx -> tx.files().of(shot.id())).orElse(NO_FILE);
        List<ArchivedShot.ArchivedFile> files = library.read(tx -> tx.attachments().of(shot.id()))
                .stream()
                .map(file -> new ArchivedShot.ArchivedFile(file.name(),
                        library.read(tx -> tx.attachments().bytes(file.id()))))
                .toList();
        return new ArchivedShot(number, shot.state(),
                new Shot(shot.written(), library.read(tx -> tx.shots().log(shot.id()))),
                raw.name(), raw.bytes(),
                files);
    }

    @Override
    public List<ShelfItem> shelf() {
        return library.read(tx -> tx.shelf().all()).items();
    }

    @Override
    public List<ArchivedChange> history() {
        Map<Long, Integer> byShot = new HashMap<>();
        shots.values().forEach(shot -> byShot.put(shot.id(), shot.number()));
        Map<Long, ShelfItem> byItem = new HashMap<>();
        Map<Long, Integer> versions = new HashMap<>();
        for (ShelfItem item : library.read(tx -> tx.shelf().all()).items()) {
            byItem.put(-item.id(), item);
            for (ShelfVersion version : item.versions()) {
                byItem.put(version.id(), item);
                versions.put(version.id(), version.number());
            }
        }
        List<ArchivedChange> all = new ArrayList<>();
        for (HistoryEntry entry : library.read(tx -> tx.history().standing())) {
            Change change = entry.change();
            Integer shot = change.target() == Target.SHOT ? byShot.get(change.id()) : null;
            ShelfItem item = change.target() == Target.VERSION ? byItem.get(change.id())
                    : change.target() == Target.ITEM ? byItem.get(-change.id()) : null;
            if (change.ofEntry() && (shot != null || item != null)) {
                all.add(new ArchivedChange(shot == null ? 0 : shot,
                        new ArchivedChange.Thing(item == null ? "" : item.kind().key(),
                                item == null ? "" : item.name(),
                                change.target() == Target.VERSION ? versions.get(change.id()) : 0),
                        change.key(),
                        change.before(), change.after(), entry.reason(), entry.madeAt().toString()));
            }
        }
        return all;
    }
}
