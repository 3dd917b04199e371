package org.grenu.core.shelf;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.grenu.core.entry.Entries;

/**
 * A thing on the shelf.
 *
 * @param id       key in the library
 * @param name     by which shots call it
 * @param versions by number, at least one
 */
public record ShelfItem(long id, ShelfKind kind, String name, List<ShelfVersion> versions) {

    public ShelfItem {
        versions = versions.stream().sorted(Comparator.comparingInt(ShelfVersion::number)).toList();
        if (versions.isEmpty()) {
            throw new IllegalArgumentException("a thing on the shelf has a version");
        }
    }

    /** {@return as it is now} */
    public ShelfVersion newest() {
        return versions.get(versions.size() - 1);
    }

    /** {@return what is known of it as it is now} */
    public Entries entries() {
        return newest().entries();
    }

    /** {@return from when on its next version can count: from today, but later than the one before} */
    public LocalDate nextBegins(LocalDate today) {
        return newest().since().filter(since -> !since.isBefore(today)).map(since -> since.plusDays(1)).orElse(today);
    }

    /**
     * {@return as it was on that day: the version that began last, before it or on it} Of an unknown day only a thing
     * that
     * never changed can be told.
     */
    public Optional<ShelfVersion> on(Optional<LocalDate> day) {
        if (versions.size() == 1) {
            return Optional.of(versions.get(0));
        }
        return day.map(date -> versions.stream()
                .filter(version -> version.since().filter(since -> since.isAfter(date)).isEmpty())
                .reduce((first, second) -> second)
                .orElse(versions.get(0)));
    }
}
