package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.scene.Scene;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.skin.VirtualFlow;
import javafx.stage.Stage;
import org.grenu.desktop.control.NextLayout;
import org.grenu.figures.theme.Theme;
import org.grenu.app.OpenLibrary;
import org.grenu.desktop.desk.OpenShot;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;

/**
 * How the real window keeps up with a large library: frames while the rack is scrolled, and each key in the filter
 * until its
 * frame stands. Its name keeps it out of the test run:
 * {@code mvn -q -pl grenu-desktop -am test -Dtest.jit= -Dtest=RackPace -Dgrenu.library=PATH
 * -Dsurefire.failIfNoSpecifiedTests=false}.
 */
class RackPace extends ApplicationTest {

    private static final List<String> QUERIES = List.of("coffee:heron grind:2.2-2.6 ey>20", "gentle -is:faulty",
            "finding:channel", "number 77",
            "unknown:taste strength:9-10");
    private static final int FRAMES = 300;
    private static final int STEPS = 40;

    private Bench bench;
    private Scene scene;

    @Override
    public void start(Stage stage) {
        ThemeSheet.loadFace();
        bench = Bench.on(OpenLibrary.open(Path.of(System.getProperty("grenu.library"))), Platform::runLater);
        scene = new Scene(new BenchView(bench, mock(FileDialogs.class)), 1280, 800);
        ThemeSheet.dress(scene, Theme.LIGHT);
        stage.setScene(scene);
        stage.show();
        bench.desk().load(bench.desk().library().read(tx -> tx.shots().newest(200)));
    }

    @Test
    void keepUp() throws Exception {
        Thread.sleep(3_000);
        Platform.runLater(bench.desk().arrival()::begin);
        report("while the rest is read", frames(frame -> {}));
        Thread.sleep(Long.getLong("grenu.settle", 10_000));
        frames(frame -> flow().scrollPixels(120));
        frames(frame -> flow().scrollPixels(-120));
        report("scrolling, 120 pixels a frame", frames(frame -> flow().scrollPixels(120)));
        report("back to the top, a page a frame", frames(frame -> flow().scrollPixels(-600)));
        for (int round = 0; round < 2; round++) {
            List<Long> steps = new ArrayList<>();
            for (int i = 0; i < STEPS; i++) {
                steps.add(nextShot());
                Thread.sleep(Long.getLong("grenu.between", 150));
            }
            if (round > 0) {
                report("to the next shot, processor time of the interface thread", steps);
            }
        }
        Platform.runLater(() -> scene.lookup("#filter").requestFocus());
        for (String query : QUERIES) {
            List<Long> nanos = new ArrayList<>();
            for (int round = 0; round < 4; round++) {
                for (int length = 1; length <= query.length(); length++) {
                    long taken = key(query.substring(0, length));
                    if (round > 0) {
                        nanos.add(taken);
                    }
                }
                key("");
            }
            report("“" + query + "”", nanos);
        }
        Platform.runLater(bench::close);
    }

    private long key(String text) throws InterruptedException {
        return pulse(() -> ((TextField) scene.lookup("#filter")).setText(text));
    }

    /** Processor time of the interface thread from the key to the end of the pulse that has laid out the next shot. */
    private long nextShot() throws InterruptedException {
        CountDownLatch shown = new CountDownLatch(1);
        long[] taken = new long[1];
        Platform.runLater(() -> {
            long begin = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
            bench.desk().openProperty().addListener(new ChangeListener<>() {

                @Override
                public void changed(ObservableValue<? extends OpenShot> o, OpenShot was, OpenShot is) {
                    bench.desk().openProperty().removeListener(this);
                    NextLayout.then(scene, () -> {
                        taken[0] = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - begin;
                        shown.countDown();
                    });
                }
            });
            bench.rack().step(1);
        });
        shown.await();
        return taken[0];
    }

    /** Processor time of the interface thread from a deed to the end of the pulse that has laid out what it changed. */
    private long pulse(Runnable deed) throws InterruptedException {
        CountDownLatch shown = new CountDownLatch(1);
        long[] taken = new long[1];
        Platform.runLater(() -> {
            long begin = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
            deed.run();
            NextLayout.then(scene, () -> {
                taken[0] = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - begin;
                shown.countDown();
            });
        });
        shown.await();
        return taken[0];
    }

    private VirtualFlow<?> flow() {
        return (VirtualFlow<?>) ((ListView<?>) scene.lookup("#rack")).lookup(".virtual-flow");
    }

    private static List<Long> frames(Consumer<Integer> each) throws InterruptedException {
        List<Long> nanos = new ArrayList<>();
        CountDownLatch end = new CountDownLatch(1);
        Platform.runLater(() -> new AnimationTimer() {
            private long last;

            @Override
            public void handle(long now) {
                if (last > 0) {
                    nanos.add(now - last);
                }
                last = now;
                each.accept(nanos.size());
                if (nanos.size() >= FRAMES) {
                    stop();
                    end.countDown();
                }
            }
        }.start());
        end.await();
        return nanos;
    }

    private void report(String what, List<Long> nanos) {
        nanos.sort(Comparator.naturalOrder());
        System.out.printf("%d shots, %s: median %.1f ms, 95 %% within %.1f, longest %.1f%n",
                bench.desk().shots().size(), what,
                nanos.get(nanos.size() / 2) / 1e6, nanos.get((int) (nanos.size() * 0.95)) / 1e6,
                nanos.get(nanos.size() - 1) / 1e6);
        assertThat(nanos).isNotEmpty();
    }
}
