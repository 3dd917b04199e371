package org.grenu.core.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.FreeName;
import org.grenu.core.record.ShotRecord;

/** All things on the shelf. Immutable. */
public final class Shelf {

    /** Nothing on it. */
    public static final Shelf EMPTY = new Shelf(List.of());

    private final List<ShelfItem> items;
    private final Map<ShelfKind, Map<String, ShelfItem>> byName = new HashMap<>();
    /** Worked out once for each bag, and for each scale and day: every shot asks. */
    private final Map<Entries, BagLife> lives = Collections.synchronizedMap(new IdentityHashMap<>());
    private final Map<Entries, Map<Optional<LocalDate>, CheckWeights>> weights = Collections
            .synchronizedMap(new IdentityHashMap<>());

    /** The shelf with those things. */
    public Shelf(List<ShelfItem> items) {
        this.items = items.stream()
                .sorted(Comparator.comparing(ShelfItem::kind)
                        .thenComparing(ShelfItem::name, String.CASE_INSENSITIVE_ORDER))
                .toList();
        this.items.forEach(
                item -> byName.computeIfAbsent(item.kind(), kind -> new HashMap<>()).put(lower(item.name()), item));
    }

    /** {@return all things, by kind and name} */
    public List<ShelfItem> items() {
        return items;
    }

    /** {@return the things of that kind, by name} */
    public List<ShelfItem> of(ShelfKind kind) {
        return items.stream().filter(item -> item.kind() == kind).toList();
    }

    /**
     * {@return the same as they stand: with coffees, each coffee's bags below it, and those of no coffee on the shelf
     * at the end}
     */
    public List<ShelfItem> arranged(ShelfKind kind) {
        if (kind != ShelfKind.COFFEE) {
            return of(kind);
        }
        List<ShelfItem> arranged = new ArrayList<>();
        List<ShelfItem> bags = new ArrayList<>(of(ShelfKind.BAG));
        for (ShelfItem coffee : of(ShelfKind.COFFEE)) {
            arranged.add(coffee);
            List<ShelfItem> own = bags.stream()
                    .filter(bag -> bag.entries()
                            .text(ShelfField.BAG_COFFEE)
                            .filter(coffee.name()::equalsIgnoreCase)
                            .isPresent())
                    .toList();
            arranged.addAll(own);
            bags.removeAll(own);
        }
        arranged.addAll(bags);
        return arranged;
    }

    /** {@return the thing of that kind and name, whatever the case of its letters} */
    public Optional<ShelfItem> find(ShelfKind kind, String name) {
        return Optional.ofNullable(byName.getOrDefault(kind, Map.of()).get(lower(name)));
    }

    /** {@return a name like that which no thing of that kind has} */
    public String freeName(ShelfKind kind, String wanted) {
        return FreeName.of(wanted, name -> find(kind, name).isPresent());
    }

    /** {@return the thing with that key} */
    public Optional<ShelfItem> find(long id) {
        return items.stream().filter(item -> item.id() == id).findFirst();
    }

    /** {@return the thing of that kind that the shot names, as it was when the shot was pulled} */
    public Optional<ShelfVersion> versionFor(ShelfKind kind, ShotRecord record) {
        Optional<LocalDate> day = record.pulledAt().map(moment -> moment.toLocalDate());
        return record.text(kind.named()).flatMap(name -> find(kind, name)).flatMap(item -> item.on(day));
    }

    /**
     * {@return the record with what it leaves open and its coffee and gear tell; the same record when they tell
     * nothing}
     */
    public ShotRecord complete(ShotRecord record) {
        return items.isEmpty() ? record : new Completion(this, record).completed();
    }

    /** {@return the life of a bag on it} */
    BagLife life(Entries bag) {
        return lives.computeIfAbsent(bag, BagLife::of);
    }

    /** {@return what a scale's check weights said on that day} */
    CheckWeights checkWeights(Entries scale, Optional<LocalDate> day) {
        return weights.computeIfAbsent(scale, any -> Collections.synchronizedMap(new HashMap<>()))
                .computeIfAbsent(day, on -> CheckWeights.of(scale, on));
    }

    private static String lower(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
