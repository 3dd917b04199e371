package org.grenu.desktop.rack;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.app.OpenLibrary;
import org.junit.jupiter.api.Test;

/**
 * How long a keystroke in the filter takes in a large library, from the key to the rack's rows. Its name keeps it out
 * of the
 * test run: {@code mvn -q -pl grenu-desktop -am test -Dtest.jit= -Dtest=SearchPace -Dgrenu.library=PATH
 * -Dsurefire.failIfNoSpecifiedTests=false}.
 */
class SearchPace {

    private static final List<String> QUERIES = List.of("coffee:heron grind:2.2-2.6 ey>20", "gentle -is:faulty",
            "finding:channel", "number 77", "unknown:taste strength:9-10");

    /** As long as it takes to reach for the filter. */
    private static void sleep() {
        try {
            Thread.sleep(4_000);
        } catch (InterruptedException stopped) {
            throw new AssertionError(stopped);
        }
    }

    @Test
    void type() {
        try (StudyDesk desk = new StudyDesk(OpenLibrary.open(Path.of(System.getProperty("grenu.library"))),
                Runnable::run)) {
            FindingSearch found = new FindingSearch(desk, new Background("found", task -> {}));
            RackViewModel rack = new RackViewModel(desk, found);
            desk.shots().setAll(Stored.shots(desk.library()));
            sleep();
            for (String query : QUERIES) {
                List<Long> nanos = new ArrayList<>();
                for (int round = 0; round < 4; round++) {
                    for (int length = 1; length <= query.length(); length++) {
                        long begin = System.nanoTime();
                        rack.filterProperty().set(query.substring(0, length));
                        rack.offers(query.substring(0, length));
                        if (round > 0) {
                            nanos.add(System.nanoTime() - begin);
                        }
                    }
                    rack.filterProperty().set("");
                }
                nanos.sort(Comparator.naturalOrder());
                System.out.printf("%d shots, “%s”: median %.1f ms, longest %.1f ms, %s%n", desk.shots().size(), query,
                        nanos.get(nanos.size() / 2) / 1e6,
                        nanos.get(nanos.size() - 1) / 1e6, rack.countProperty().get());
                assertThat(nanos).isNotEmpty();
            }
        }
    }
}
