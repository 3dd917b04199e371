package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import javafx.beans.WeakListener;
import javafx.beans.value.ObservableValue;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.Parent;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Workspace;
import org.junit.jupiter.api.Test;

/** Whoever listens lets go: walking through everything time and again leaves no more behind than the first time. */
class LeakTest extends BenchFixture {

    private static final int ROUNDS = 20;

    /** Through every workspace, sort of thing, a few shots, and every panel. */
    private void walk(int round) {
        interact(() -> {
            bench.workspace().set(Workspace.SHELF);
            Shelf shelf = bench.desk().shelfProperty().get();
            for (ShelfKind kind : ShelfKind.values()) {
                shelf.of(kind).stream().findFirst().ifPresent(item -> bench.shelf().choose(item));
            }
            bench.workspace().set(Workspace.PLAN);
            bench.workspace().set(Workspace.READ);
            bench.desk().select(bench.desk().shots().get(round % 3 + 3).id());
            bench.series().show();
            lookup("#series-close").queryButton().fire();
            view.actions().get("settings").run();
            view.actions().get("settings").run();
            bench.workspace().set(Workspace.COMPARE);
        });
    }

    /** The same place each time, with nothing under way and the collector just been. */
    private void comeToRest() {
        openShot(5);
        until("the answer stands", () -> !bench.compare().busyProperty().get());
        System.gc();
    }

    private Map<String, Integer> counts() {
        Map<String, Integer> counts = new LinkedHashMap<>();
        interact(() -> {
            counts.put("nodes", (int) nodes(view).count());
            counts.put("open shot", listeners(bench.desk().openProperty()));
            counts.put("settings", listeners(bench.desk().settingsProperty()));
            counts.put("shelf", listeners(bench.desk().shelfProperty()));
            counts.put("steps", listeners(bench.desk().editDepthProperty()));
            counts.put("workspace", listeners(bench.workspace()));
            counts.put("colour", listeners(bench.appearance().colourByProperty()));
            counts.put("theme", listeners(bench.appearance().themeProperty()));
            counts.put("chosen thing", listeners(bench.shelf().chosenProperty()));
            counts.put("answer", listeners(bench.compare().answeredProperty()));
            counts.put("shots", listeners(bench.desk().shots()));
        });
        return counts;
    }

    /** One left behind a round would be twenty more; the nodes of what was looked at last differ a little. */
    private Map<String, Integer> grownSince(Map<String, Integer> before) {
        comeToRest();
        Map<String, Integer> grown = new LinkedHashMap<>();
        counts().forEach((what, count) -> {
            int more = count - before.get(what);
            if (more > (what.equals("nodes") ? 150 : 3)) {
                grown.put(what, more);
            }
        });
        return grown;
    }

    private static Stream<Node> nodes(Node node) {
        return node instanceof Parent parent
                ? Stream.concat(Stream.of(node), parent.getChildrenUnmodifiable().stream().flatMap(LeakTest::nodes))
                : Stream.of(node);
    }

    /** The toolkit keeps listeners in a helper of each property, and gives no count of them. */
    private static int listeners(Object observed) {
        assertThat(observed).isInstanceOfAny(ObservableValue.class, ObservableList.class);
        for (Class<?> type = observed.getClass(); type != null; type = type.getSuperclass()) {
            for (String name : new String[] {"readOnlyProperty", "helper", "listenerHelper"}) {
                Object held = field(type, name, observed);
                if (held != null) {
                    return name.equals("readOnlyProperty") ? listeners(held) : inHelper(held);
                }
            }
        }
        return 0;
    }

    /** Those that are still there: what is held weakly is dropped by the toolkit only when the next one comes. */
    private static int inHelper(Object helper) {
        List<Object> listening = new ArrayList<>();
        for (String name : List.of("changeListeners", "invalidationListeners")) {
            if (field(helper.getClass(), name, helper) instanceof Object[] several) {
                listening.addAll(Arrays.asList(several));
            }
        }
        listening.add(field(helper.getClass(), "listener", helper));
        return (int) listening.stream()
                .filter(Objects::nonNull)
                .filter(one -> !(one instanceof WeakListener weak && weak.wasGarbageCollected()))
                .count();
    }

    private static Object field(Class<?> type, String name, Object of) {
        try {
            Field field = type.getDeclaredField(name);
            field.setAccessible(true);
            return field.get(of);
        } catch (NoSuchFieldException none) {
            return null;
        } catch (IllegalAccessException closed) {
            throw new AssertionError(closed);
        }
    }

    @Test
    void manyRoundsLeaveNoMoreBehindThanOne() {
        openShot(5);
        interact(() -> bench.picked().pickOnly(bench.desk().shots().subList(0, 4)));
        for (int round = 0; round < 3; round++) {
            walk(round);
        }
        comeToRest();
        Map<String, Integer> before = counts();
        assertThat(before.values()).as("something listens to each: %s", before).allMatch(count -> count > 0);
        for (int round = 3; round < ROUNDS + 1; round++) {
            walk(round);
        }
        Map<String, Integer> grown = grownSince(before);
        // What the background still holds goes with it; what leaks stays however often one looks.
        for (int look = 0; look < 10 && !grown.isEmpty(); look++) {
            grown = grownSince(before);
        }
        assertThat(grown).as("left behind").isEmpty();
    }
}
