package org.grenu.desktop.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.collections.ListChangeListener;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.study.ShotSheet;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/**
 * What the chosen schools find in every shot, so that shots can be searched by it. Worked out in the background, a few at a
 * time, and kept in the library: a large one is searched at once the next time.
 */
public final class FoundInShots implements AutoCloseable {

    private static final int A_FEW = 20;

    private final StudyDesk desk;
    private final Background worker;
    private final Map<Long, String> words = new ConcurrentHashMap<>();
    private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
    private String basis = "";
    private boolean working;

    /** What is found in that desk's shots; {@code worker} is closed with it. */
    public FoundInShots(StudyDesk desk, Background worker) {
        this.desk = desk;
        this.worker = worker;
        desk.settingsProperty().addListener((o, was, is) -> begin());
        desk.loadedProperty().addListener((o, was, is) -> begin());
        desk.shots().addListener((ListChangeListener<ShotSummary>) change -> {
            while (change.next()) {
                change.getRemoved().forEach(shot -> words.remove(shot.id()));
            }
            goOn();
        });
        begin();
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
        words.values().forEach(text -> {
            for (String finding : text.split("\n")) {
                if (!finding.isBlank()) {
                    counts.merge(finding.substring(0, Math.max(0, finding.indexOf(':'))), 1, Integer::sum);
                }
            }
        });
        return counts.entrySet().stream().sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())).map(Map.Entry::getKey).toList();
    }

    /** Other rules find other things: all is looked up or worked out anew. */
    private void begin() {
        List<RulePack> packs = desk.settingsProperty().get().packs();
        String now = CurveMeasures.ALGORITHM_VERSION + "/" + Integer.toHexString(packs.stream().map(RulePack::text).collect(Collectors.joining("\n")).hashCode());
        if (!desk.loadedProperty().get() || now.equals(basis)) {
            return;
        }
        basis = now;
        words.clear();
        worker.run(() -> desk.library().findings(now), kept -> {
            if (now.equals(basis)) {
                words.putAll(kept);
                changes.set(changes.get() + 1);
                goOn();
            }
        }, desk::failed);
    }

    private void goOn() {
        if (working || basis.isEmpty()) {
            return;
        }
        List<ShotSummary> all = List.copyOf(desk.shots());
        List<ShotSummary> next = all.stream().filter(shot -> !words.containsKey(shot.id())).limit(A_FEW).toList();
        if (next.isEmpty()) {
            return;
        }
        working = true;
        String mine = basis;
        List<RulePack> packs = desk.settingsProperty().get().packs();
        worker.run(() -> look(next, all, packs, mine), found -> {
            working = false;
            if (mine.equals(basis)) {
                Set<ShotSummary> still = new HashSet<>(desk.shots());
                next.stream().filter(still::contains).forEach(shot -> words.put(shot.id(), found.get(shot.id())));
                changes.set(changes.get() + 1);
            }
            goOn();
        }, failure -> working = false);
    }

    private Map<Long, String> look(List<ShotSummary> next, List<ShotSummary> all, List<RulePack> packs, String mine) {
        Library library = desk.library();
        Map<Long, String> found = new HashMap<>();
        List<ShotSummary> ordered = new ArrayList<>(all);
        ordered.removeIf(shot -> shot.sheet().pulledAt().isEmpty());
        ordered.sort(Comparator.comparing(shot -> shot.sheet().pulledAt().orElseThrow()));
        for (ShotSummary shot : next) {
            int place = ordered.indexOf(shot);
            Optional<ShotSheet> before = place > 0 ? Optional.of(ordered.get(place - 1).sheet()) : Optional.empty();
            OpenShot open = OpenShot.of(shot, library.log(shot.id()), before, packs);
            found.put(shot.id(), open.findings().stream().map(finding -> finding.rule() + ": " + finding.statement()).collect(Collectors.joining("\n"))
                    .toLowerCase(Locale.ROOT));
        }
        library.keepFindings(mine, found);
        return found;
    }

    @Override
    public void close() {
        worker.close();
    }
}
