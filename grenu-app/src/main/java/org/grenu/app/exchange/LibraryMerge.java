package org.grenu.app.exchange;

import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.grenu.core.entry.Field;
import org.grenu.core.record.ShotState;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.exchange.ArchiveSource;
import org.grenu.formats.exchange.ArchiveTarget;
import org.grenu.formats.exchange.ArchivedChange;
import org.grenu.formats.exchange.ArchivedShot;
import org.grenu.formats.exchange.DataPackageReader;
import org.grenu.library.AddOutcome;
import org.grenu.library.Change;
import org.grenu.library.HistoryEntry;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import org.grenu.library.Stores;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/**
 * Takes another library in. A shot with the same samples is the same shot and is left as it is here; a thing of the
 * same sort
 * and name on the shelf is the same thing, whose unknown entries are filled and whose known ones stay.
 */
public final class LibraryMerge implements ArchiveTarget {

    private final Stores stores;
    private final Set<Integer> met = new HashSet<>();
    private final List<ShotSummary> added = new ArrayList<>();
    private final Map<Integer, Long> byNumber = new HashMap<>();
    private final List<String> differing = new ArrayList<>();
    private final List<ShelfItem> fresh = new ArrayList<>();
    private int alreadyThere;
    private int filled;
    private int healed;
    /** Shots that were here before, recorded just as there. */
    private final Set<Long> old = new HashSet<>();

    private LibraryMerge(Stores stores) {
        this.stores = stores;
    }

    /**
     * What was taken in.
     *
     * @param added        shots
     * @param alreadyThere number of shots with the same samples
     * @param items        number of things put on the shelf
     * @param filled       number of entries of the shelf that were unknown here
     * @param healed       files and corrections that shots here lacked, as after a merge that was broken off
     * @param differing    things on the shelf that say otherwise there; they stay as they are here
     */
    public record Report(List<ShotSummary> added, int alreadyThere, int items, int filled, int healed,
            List<String> differing) {

        public Report {
            added = List.copyOf(added);
            differing = List.copyOf(differing);
        }

        /** {@return that in a sentence} */
        public String words() {
            String shots = added.size() + (added.size() == 1 ? " shot" : " shots") + " taken in"
                    + (alreadyThere > 0 ? ", " + alreadyThere + " were here already" : "");
            String shelf = items > 0 || filled > 0
                    ? "; " + items + " new on the shelf" + (filled > 0 ? ", " + filled + " unknown entries filled" : "")
                    : "";
            String other = differing.isEmpty() ? ""
                    : ". Kept as it is here, although it differs there: "
                            + String.join(", ", differing.subList(0, Math.min(5, differing.size())))
                            + (differing.size() > 5 ? " and " + (differing.size() - 5) + " more" : "");
            String mended = healed > 0 ? "; " + healed + " missing files or corrections of shots here brought along"
                    : "";
            return shots + shelf + mended + other + ".";
        }
    }

    /**
     * {@return what was taken in from that package} It is read to its end before anything is taken, so that a damaged
     * one
     * leaves no trace.
     *
     * @throws ImportFailure if it is not such a package, or damaged
     */
    public static Report ofPackage(Library library, Path file) throws ImportFailure {
        DataPackageReader.read(file, new Looking());
        List<Report> report = new ArrayList<>();
        List<ImportFailure> refused = new ArrayList<>();
        try {
            library.storeInOneStep("Taken in from " + file.getFileName(), tx -> takeIn(tx, file, report, refused));
        } catch (LibraryException failed) {
            if (!refused.isEmpty()) {
                throw refused.get(0);
            }
            throw failed;
        }
        return report.get(0);
    }

    private static void takeIn(Stores tx, Path file, List<Report> report, List<ImportFailure> refused) {
        try {
            LibraryMerge merge = new LibraryMerge(tx);
            DataPackageReader.read(file, merge);
            report.add(merge.report());
        } catch (ImportFailure failure) {
            refused.add(failure);
            throw new LibraryException(failure.getMessage(), failure);
        }
    }

    /** {@return what was taken in from another library} */
    public static Report ofLibrary(Library library, Library other) {
        ArchiveSource source = new LibraryArchive(other, other.read(tx -> tx.shots().all()), number -> {});
        List<Report> report = new ArrayList<>();
        library.storeInOneStep("Taken in from " + other.path().getFileName(), tx -> {
            LibraryMerge merge = new LibraryMerge(tx);
            merge.shelf(source.shelf());
            source.numbers().forEach(number -> merge.shot(source.shot(number)));
            merge.history(source.history());
            report.add(merge.report());
        });
        return report.get(0);
    }

    /** Takes nothing. */
    private static final class Looking implements ArchiveTarget {
        @Override
        public void shelf(List<ShelfItem> items) {
            // Reading it is the check.
        }

        @Override
        public void shot(ArchivedShot shot) {
            // Reading it is the check.
        }

        @Override
        public void history(List<ArchivedChange> changes) {
            changes.forEach(change -> Instant.parse(change.madeAt()));
        }
    }

    private Report report() {
        return new Report(added, alreadyThere, fresh.size(), filled, healed, differing);
    }

    @Override
    public void shelf(List<ShelfItem> items) {
        List<Change> filling = new ArrayList<>();
        for (ShelfItem item : items) {
            Optional<ShelfItem> here = stores.shelf().all().find(item.kind(), item.name());
            if (here.isEmpty()) {
                fresh.add(item);
            } else {
                filling.addAll(filling(here.get(), item));
            }
        }
        keepShelf(filling);
    }

    private void keepShelf(List<Change> filling) {
        if (!fresh.isEmpty()) {
            stores.shelf().add(fresh, fresh.size() + " things of another library’s shelf");
        }
        if (!filling.isEmpty()) {
            filled = filling.size();
            stores.journal().make(filled + " entries of another library’s shelf", filling, "");
        }
    }

    private List<Change> filling(ShelfItem here, ShelfItem there) {
        List<Change> changes = new ArrayList<>();
        ShelfVersion mine = here.newest();
        boolean differs = here.versions().size() != there.versions().size();
        for (Field field : here.kind().fields()) {
            Optional<String> other = there.entries().entry(field);
            Optional<String> own = mine.entries().entry(field);
            if (other.isPresent() && own.isEmpty() && !differs) {
                changes.add(new Change(Target.VERSION, mine.id(), field.key(), "", other.get()));
            }
            differs |= other.isPresent() && own.isPresent() && !own.equals(other);
        }
        if (differs) {
            differing.add(here.name());
        }
        return changes;
    }

    @Override
    public void shot(ArchivedShot shot) {
        AddOutcome outcome = stores.shots()
                .add(shot.rawName(), shot.raw(), shot.shot(), shot.number(),
                        met);
        if (outcome instanceof AddOutcome.Added stored) {
            added.add(stored.shot());
            met.add(stored.shot().number());
            byNumber.put(shot.number(), stored.shot().id());
            live(stored.shot(), shot.state());
            shot.files()
                    .forEach(file -> stores.attachments().keep(stored.shot().id(), file.name(), file.bytes()));
        } else {
            alreadyThere++;
            met.add(((AddOutcome.Duplicate) outcome).number());
            heal(((AddOutcome.Duplicate) outcome).number(), shot);
        }
    }

    private void heal(int number, ArchivedShot shot) {
        stores.shots()
                .find(number)
                .filter(here -> here.written().equals(shot.shot().record()))
                .ifPresent(here -> {
                    byNumber.put(shot.number(), here.id());
                    shot.files()
                            .forEach(file -> healed += stores.attachments()
                                    .keep(here.id(), file.name(), file.bytes())
                                            ? 1 : 0);
                    old.add(here.id());
                });
    }

    /** What comes in counts as recorded until it is said how far it has come. */
    private void live(ShotSummary shot, ShotState state) {
        if (shot.state() != state) {
            stores.journal()
                    .make("State of shot " + shot.number(), List
                            .of(new Change(Target.SHOT, shot.id(), Change.STATE, shot.state().key(), state.key())), "");
        }
    }

    @Override
    public void history(List<ArchivedChange> changes) {
        List<HistoryEntry> entries = new ArrayList<>();
        for (ArchivedChange change : changes) {
            target(change).ifPresent(target -> entries
                    .add(new HistoryEntry(0, target, change.reason(), Instant.parse(change.madeAt()), false)));
        }
        int news = stores.history().keep(entries);
        long ofNew = entries.stream()
                .filter(entry -> entry.change().target() != Target.SHOT || !old.contains(entry.change().id()))
                .count();
        healed += (int) Math.max(0, news - ofNew);
    }

    /** Only what is new here brings its history along. */
    private Optional<Change> target(ArchivedChange change) {
        if (change.shot() > 0) {
            return Optional.ofNullable(byNumber.get(change.shot()))
                    .map(id -> new Change(Target.SHOT, id, change.field(), change.before(), change.after()));
        }
        Optional<ShelfItem> item = ShelfKind.find(change.kind())
                .filter(kind -> fresh.stream().anyMatch(one -> one.kind() == kind && one.name().equals(change.name())))
                .flatMap(kind -> stores.shelf().all().find(kind, change.name()));
        if (change.version() == 0) {
            return item
                    .map(found -> new Change(Target.ITEM, found.id(), change.field(), change.before(), change.after()));
        }
        return item.flatMap(
                found -> found.versions().stream().filter(version -> version.number() == change.version()).findFirst())
                .map(version -> new Change(Target.VERSION, version.id(), change.field(), change.before(),
                        change.after()));
    }
}
