package org.grenu.desktop.desk;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javafx.beans.InvalidationListener;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.grenu.app.study.ShotsByTime;
import org.grenu.library.ShotSummary;

/** The shots that are shown, in the order of their numbers. For the interface's thread. */
final class ShownShots {

    private static final int ONE_BY_ONE = 12;

    private final ObservableList<ShotSummary> shots = FXCollections.observableArrayList();
    /** Null when the shots have changed since. */
    private ShotsByTime byTime;

    ShownShots() {
        shots.addListener((InvalidationListener) change -> byTime = null);
    }

    ObservableList<ShotSummary> list() {
        return shots;
    }

    /** What is shown now, for work on another thread. */
    List<ShotSummary> now() {
        return List.copyOf(shots);
    }

    Optional<ShotSummary> find(long id) {
        return shots.stream().filter(shot -> shot.id() == id).findFirst();
    }

    /** In the order they were pulled. */
    ShotsByTime byTime() {
        if (byTime == null) {
            byTime = ShotsByTime.of(shots);
        }
        return byTime;
    }

    /** Shows new shots. */
    void add(List<ShotSummary> added) {
        if (shots.isEmpty() || added.stream().allMatch(shot -> shot.number() > shots.get(shots.size() - 1).number())) {
            shots.addAll(added);
        } else {
            added.forEach(this::show);
        }
    }

    /**
     * Shows shots as they have become and takes others away. Many are told of once, so that what is shown is not
     * worked out for each.
     */
    void change(List<ShotSummary> changed, List<Long> gone) {
        Map<Long, ShotSummary> there = new HashMap<>();
        shots.forEach(shot -> there.put(shot.id(), shot));
        List<ShotSummary> others = changed.stream().filter(shot -> !shot.equals(there.get(shot.id()))).toList();
        Set<Long> missing = new HashSet<>(gone);
        if (others.size() + missing.size() > ONE_BY_ONE) {
            showAll(others, missing);
        } else {
            others.forEach(this::show);
            shots.removeIf(shot -> missing.contains(shot.id()));
        }
    }

    private void showAll(List<ShotSummary> others, Set<Long> missing) {
        Map<Integer, ShotSummary> byNumber = new TreeMap<>();
        shots.forEach(shot -> byNumber.put(shot.number(), shot));
        others.forEach(shot -> byNumber.put(shot.number(), shot));
        shots.setAll(byNumber.values().stream().filter(shot -> !missing.contains(shot.id())).toList());
    }

    /** Puts the shot where its number belongs. */
    private void show(ShotSummary summary) {
        int at = placeOf(summary.number());
        if (at < shots.size() && shots.get(at).id() == summary.id()) {
            shots.set(at, summary);
        } else {
            shots.add(at, summary);
        }
    }

    private int placeOf(int number) {
        int low = 0;
        int high = shots.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (shots.get(middle).number() < number) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
