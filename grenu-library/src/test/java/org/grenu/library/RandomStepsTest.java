package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.entry.Entries;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is done in whatever order, undo leads back through every state in between, and redo forth again. */
class RandomStepsTest {

    private static final int STEPS = 40;

    @TempDir
    private Path folder;
    private Library library;
    private Random random;
    private int names;

    /** All that a library shows. */
    private record State(List<ShotSummary> shots, List<ShelfItem> shelf, Map<Long, List<Attachment>> attachments) {
    }

    private State state() {
        Map<Long, List<Attachment>> attachments = new TreeMap<>();
        Stored.shots(library)
                .forEach(shot -> attachments.put(shot.id(), Stored.attachments(library, shot.id())));
        return new State(Stored.shots(library), Stored.shelf(library).items(),
                attachments);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void undoAndRedoPassThroughEveryState(long seed) {
        random = new Random(seed);
        library = Library.open(folder.resolve("library.sqlite"));
        DemoStudy.shots()
                .stream()
                .limit(4)
                .forEach(demo -> Stored.add(library, demo.name(), new byte[] {1}, demo.shot()));
        List<State> states = new ArrayList<>(List.of(state()));
        while (states.size() <= STEPS) {
            int before = Stored.depth(library).undoable();
            step();
            if (Stored.depth(library).undoable() > before) {
                states.add(state());
            }
            if (states.size() == STEPS / 2) {
                library.close();
                library = Library.open(folder.resolve("library.sqlite"));
            }
        }
        for (int i = STEPS - 1; i >= 0; i--) {
            assertThat(Stored.undo(library)).isPresent();
            same("after undoing step " + (i + 1), states.get(i));
        }
        assertThat(Stored.undo(library)).isEmpty();
        for (int i = 1; i <= STEPS; i++) {
            assertThat(Stored.redo(library)).isPresent();
            same("after making step " + i + " again", states.get(i));
        }
        assertThat(Stored.redo(library)).isEmpty();
        library.close();
    }

    private void same(String when, State expected) {
        State now = state();
        assertThat(now.shelf).as(when).isEqualTo(expected.shelf);
        assertThat(now.attachments).as(when).isEqualTo(expected.attachments);
        assertThat(now.shots).as(when)
                .extracting(ShotSummary::written)
                .isEqualTo(expected.shots.stream().map(ShotSummary::written).toList());
        assertThat(now.shots).as(when).isEqualTo(expected.shots);
    }

    private void step() {
        List<ShotSummary> shots = Stored.shots(library);
        List<ShelfItem> items = Stored.shelf(library).items();
        switch (random.nextInt(9)) {
            case 0 -> library.write(tx -> tx.shelf()
                    .add(ShelfKind.SITE, "Site " + names++,
                            Entries.NONE.with(ShelfField.ALTITUDE, Integer.toString(random.nextInt(3000))).texts()));
            case 1 -> library.write(tx -> tx.shelf()
                    .add(ShelfKind.SCALE, "S-" + names++,
                            Entries.NONE.with(ShelfField.SCALE_LAG, "0." + random.nextInt(9)).texts()));
            case 2 -> one(shots).ifPresent(shot -> library.write(tx -> tx.journal()
                    .make(shot.id(),
                            RecordEdit.of(shot.written(), RecordField.DOSE, "17." + random.nextInt(10)))));
            case 3 -> one(shots).ifPresent(
                    shot -> one(items).filter(item -> item.kind() == ShelfKind.SITE || item.kind() == ShelfKind.SCALE)
                            .ifPresent(item -> library.write(tx -> tx.journal()
                                    .make(shot.id(),
                                            RecordEdit.of(shot.written(), item.kind().named(), item.name())))));
            case 4 -> library.write(tx -> tx.journal()
                    .make("Arm", shots.stream()
                            .map(shot -> Change.of(shot.id(),
                                    RecordEdit.of(shot.written(), RecordField.ARM, "arm " + names++)))
                            .toList(), "so it was"));
            case 5 -> one(items).ifPresent(item -> library.write(tx -> tx.shelf()
                    .addVersion(item.id(),
                            LocalDate.of(2026, 5, 1).plusDays(names++), "part " + names, item.entries().texts())));
            case 6 -> one(shots).ifPresent(
                    shot -> library.write(tx -> tx.attachments()
                            .attach(shot.id(), "puck " + names++ + ".jpg", new byte[] {(byte) names})));
            case 7 -> bin(shots, items);
            default -> one(Stored.bin(library)).ifPresent(binned -> library.write(tx -> tx.bin().restore(binned)));
        }
    }

    private void bin(List<ShotSummary> shots, List<ShelfItem> items) {
        if (random.nextBoolean() && shots.size() > 1) {
            one(shots).ifPresent(
                    shot -> library.write(tx -> tx.bin().put(Target.SHOT, List.of(shot.id()), "Shot into the bin")));
        } else {
            one(items).ifPresent(item -> library
                    .write(tx -> tx.bin().put(Target.ITEM, List.of(item.id()), item.name() + " into the bin")));
        }
    }

    private <T> Optional<T> one(List<T> among) {
        return among.isEmpty() ? Optional.empty() : Optional.of(among.get(random.nextInt(among.size())));
    }
}
