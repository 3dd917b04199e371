package org.grenu.desktop.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.grenu.app.findings.FindingIndex;
import org.grenu.app.study.ShotsByTime;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.collections.ListChangeListener;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.library.ShotSummary;

/**
 * What the chosen schools find in every shot, so that shots can be searched by it. Worked out in the background, a
 * few at a
 * time, and kept in the library: a large one is searched at once the next time.
 */
public final class FindingSearch implements AutoCloseable {

    private static final int A_FEW = 20;

    private final StudyDesk desk;
    private final Background worker;
    private final FindingIndex index;
    private final Map<Long, String> words = new ConcurrentHashMap<>();
    private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
    private String basis = "";
    private boolean working;
    /** Null when the shots have changed since. */
    private Course course;

    /** What is found in that desk's shots; {@code worker} is closed with it. */
    public FindingSearch(StudyDesk desk, Background worker) {
        this.desk = desk;
        this.worker = worker;
        this.index = new FindingIndex(desk.opened());
        desk.settingsProperty().addListener((o, was, is) -> begin());
        desk.loadedProperty().addListener((o, was, is) -> begin());
        Runnable goOn = desk.turns().of(this::goOn);
        desk.shots().addListener((ListChangeListener<ShotSummary>) change -> {
            forget(change);
            goOn.run();
        });
        begin();
    }

    private void forget(ListChangeListener.Change<? extends ShotSummary> change) {
        course = null;
        while (change.next()) {
            change.getRemoved().forEach(shot -> words.remove(shot.id()));
        }
    }

    /** {@return counts up when more is known} */
    public ReadOnlyLongProperty changesProperty() {
        return changes.getReadOnlyProperty();
    }

    /** {@return names of the rules that speak of the shot, and what they say; empty while not worked out} */
    public String of(long shot) {
        return words.getOrDefault(shot, "");
    }

    /** {@return names of rules that speak of some shot, the most frequent first} */
    public List<String> names() {
        Map<String, Integer> counts = new HashMap<>();
        words.values().forEach(text -> count(text, counts));
        return counts.entrySet()
                .stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static void count(String text, Map<String, Integer> counts) {
        for (String finding : text.split("\n")) {
            if (!finding.isBlank()) {
                counts.merge(FindingIndex.rule(finding), 1, Integer::sum);
            }
        }
    }

    /** Other rules find other things: all is looked up or worked out anew. */
    private void begin() {
        List<RulePack> packs = desk.settingsProperty().get().packs();
        String now = FindingIndex.basis(packs);
        if (!desk.loadedProperty().get() || now.equals(basis)) {
            return;
        }
        basis = now;
        course = null;
        words.clear();
        worker.run(() -> index.kept(now), kept -> take(now, kept), desk::failed);
    }

    private void take(String now, Map<Long, String> kept) {
        if (now.equals(basis)) {
            words.putAll(kept);
            course = null;
            changes.set(changes.get() + 1);
            goOn();
        }
    }

    private void goOn() {
        if (working || basis.isEmpty()) {
            return;
        }
        if (course == null) {
            course = new Course(desk.shots(), words.keySet());
        }
        List<ShotSummary> next = course.next();
        if (next.isEmpty()) {
            return;
        }
        working = true;
        Course mine = course;
        String on = basis;
        List<RulePack> packs = desk.settingsProperty().get().packs();
        worker.run(() -> index.look(next, mine.order, packs), found -> {
            working = false;
            if (on.equals(basis)) {
                next.stream()
                        .filter(shot -> mine == course || desk.shots().contains(shot))
                        .forEach(shot -> words.put(shot.id(), found.get(shot.id())));
                changes.set(changes.get() + 1);
            }
            goOn();
        }, failure -> working = false);
    }

    /** The shots as they stood at one time, a few after the other, and which was pulled before which. */
    private static final class Course {

        private final List<ShotSummary> shots;
        private final Set<Long> known;
        private final ShotsByTime order;
        private int at;

        Course(List<ShotSummary> shots, Set<Long> known) {
            this.shots = List.copyOf(shots);
            this.known = Set.copyOf(known);
            this.order = ShotsByTime.of(shots);
        }

        List<ShotSummary> next() {
            List<ShotSummary> next = new ArrayList<>();
            for (; at < shots.size() && next.size() < A_FEW; at++) {
                if (!known.contains(shots.get(at).id())) {
                    next.add(shots.get(at));
                }
            }
            return next;
        }
    }

    @Override
    public void close() {
        worker.close();
    }
}
