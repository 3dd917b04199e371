package org.grenu.desktop.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.library.ShotSummary;

/**
 * A profile of the shelf, or one that only shots have so far.
 *
 * @param name    by which shots call it
 * @param item    on the shelf; empty where only shots have it
 * @param profile its steps as they are now
 * @param shots   that were pulled by it, the newest last
 */
public record KnownProfile(String name, Optional<ShelfItem> item, Profile profile, List<ShotSummary> shots) {

    public KnownProfile {
        shots = List.copyOf(shots);
    }

    /** {@return all of them, by name} */
    static List<KnownProfile> all(Shelf shelf, List<ShotSummary> shots) {
        Map<String, List<ShotSummary>> byName = new LinkedHashMap<>();
        for (ShotSummary shot : shots) {
            shot.record()
                    .text(RecordField.PROFILE)
                    .ifPresent(name -> byName.computeIfAbsent(name, any -> new ArrayList<>()).add(shot));
        }
        List<KnownProfile> all = new ArrayList<>();
        for (ShelfItem item : shelf.of(ShelfKind.PROFILE)) {
            List<ShotSummary> pulled = byName.entrySet()
                    .stream()
                    .filter(entry -> entry.getKey().equalsIgnoreCase(item.name()))
                    .flatMap(entry -> entry.getValue().stream())
                    .toList();
            item.entries()
                    .entry(RecordField.PROFILE_STEPS)
                    .ifPresent(steps -> all.add(new KnownProfile(item.name(), Optional.of(item), Profile.parse(steps),
                            pulled)));
        }
        byName.forEach((name, pulled) -> {
            if (shelf.find(ShelfKind.PROFILE, name).isEmpty()) {
                newestSteps(pulled)
                        .ifPresent(steps -> all.add(new KnownProfile(name, Optional.empty(), steps, pulled)));
            }
        });
        all.sort((a, b) -> a.name.compareToIgnoreCase(b.name));
        return all;
    }

    /** Read from the newest on: a large library's shots need not all be read. */
    private static Optional<Profile> newestSteps(List<ShotSummary> pulled) {
        return IntStream.rangeClosed(1, pulled.size())
                .mapToObj(back -> pulled.get(pulled.size() - back))
                .flatMap(shot -> shot.record().profileSteps().stream())
                .findFirst();
    }

    /** {@return the number of its version} */
    int version() {
        return item.map(thing -> thing.newest().number()).orElse(1);
    }

    /** {@return whether shots were pulled by this very version, which keeps it as it is} */
    boolean used() {
        return item.map(thing -> thing.newest().since())
                .map(since -> shots.stream()
                        .anyMatch(shot -> since.isEmpty() || shot.record()
                                .pulledAt()
                                .map(moment -> !moment.toLocalDate().isBefore(since.get()))
                                .orElse(true)))
                .orElse(!shots.isEmpty());
    }
}
