package org.grenu.desktop.rack;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.grenu.app.study.ShotOrder;
import org.grenu.app.study.StoredSubject;
import org.grenu.core.curve.TimeConvention;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.ShotSummary;

/** The shots as they stand in the rack, newest first under their days, and what a filter asks of each, kept. */
final class RackOrder {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH);
    private static final String UNKNOWN_DAY = "Day unknown";
    private static final int MANY = 1_000;

    private final StudyDesk desk;
    private final FindingSearch found;
    private final Map<Long, Known> known = new ConcurrentHashMap<>();
    private volatile TimeConvention convention;
    /** All that is to come, as it will stand here while nothing is typed. */
    private volatile Prepared prepared = Prepared.NOTHING;
    private List<ShotSummary> ordered;

    RackOrder(StudyDesk desk, FindingSearch found) {
        this.desk = desk;
        this.found = found;
        convention = desk.settingsProperty().get().convention();
        ordered = ShotOrder.newestFirst(desk.shots());
    }

    private record Known(ShotSummary shot, StoredSubject subject, String day, RackRow.Slip slip) {
    }

    private record Prepared(List<ShotSummary> shots, List<ShotSummary> ordered, List<RackRow> rows) {

        static final Prepared NOTHING = new Prepared(List.of(), List.of(), List.of());

        boolean are(List<ShotSummary> others) {
            for (int i = 0; i < others.size(); i++) {
                if (i >= shots.size() || shots.get(i) != others.get(i)) {
                    return false;
                }
            }
            return shots.size() == others.size();
        }
    }

    /** {@return the shots, newest first} */
    List<ShotSummary> shots() {
        return ordered;
    }

    /** Times are counted by that from now on. */
    void countBy(TimeConvention other) {
        convention = other;
        known.clear();
    }

    /** Takes the desk's shots as they are now. {@return all their rows, where they were prepared} */
    Optional<List<RackRow>> follow() {
        Prepared there = prepared;
        if (!there.shots.isEmpty() && there.are(desk.shots())) {
            prepared = Prepared.NOTHING;
            ordered = there.ordered;
            return Optional.of(there.rows);
        }
        ordered = ShotOrder.newestFirst(desk.shots());
        return Optional.empty();
    }

    /** Prepares the rows of shots that will come. On another thread. */
    void prepare(List<ShotSummary> coming) {
        List<ShotSummary> order = ShotOrder.newestFirst(coming);
        coming.forEach(shot -> subject(shot).prepare());
        prepared = new Prepared(coming, order, rows(order, subject -> true));
    }

    /** What a keystroke asks of every shot is made before the first one, off the interface thread. */
    void warmUp() {
        if (ordered.size() > MANY) {
            List<ShotSummary> all = ordered;
            CompletableFuture.runAsync(() -> all.forEach(shot -> subject(shot).prepare()));
        }
    }

    /** {@return what a filter asks that shot} */
    StoredSubject subject(ShotSummary shot) {
        return known(shot).subject;
    }

    private Known known(ShotSummary shot) {
        Known there = known.get(shot.id());
        if (there == null || there.shot != shot) {
            there = new Known(shot,
                    new StoredSubject(shot, () -> desk.derived().of(shot), convention, () -> found.of(shot.id())),
                    shot.record().pulledAt().map(moment -> DAY.format(moment.toLocalDate())).orElse(UNKNOWN_DAY),
                    new RackRow.Slip(shot));
            known.put(shot.id(), there);
        }
        return there;
    }

    /** {@return the slips of those that pass, under their days} */
    List<RackRow> rows(Predicate<StoredSubject> wanted) {
        return rows(ordered, wanted);
    }

    private List<RackRow> rows(List<ShotSummary> order, Predicate<StoredSubject> wanted) {
        Map<String, List<RackRow.Slip>> days = new LinkedHashMap<>();
        for (ShotSummary shot : order) {
            Known there = known(shot);
            if (wanted.test(there.subject)) {
                days.computeIfAbsent(there.day, key -> new ArrayList<>()).add(there.slip);
            }
        }
        List<RackRow> built = new ArrayList<>(order.size() + days.size());
        days.forEach((day, slips) -> {
            built.add(new RackRow.DayHeading(day, slips.size()));
            built.addAll(slips);
        });
        return built;
    }
}
