package org.grenu.desktop;

import java.util.Arrays;
import java.util.concurrent.CountDownLatch;
import java.util.function.DoubleConsumer;
import javafx.animation.AnimationTimer;
import org.grenu.desktop.desk.Workspace;
import org.junit.jupiter.api.Test;

/**
 * Moves the hairline in every frame for five seconds and prints how long the frames took; docs/performance.md says
 * how to
 * run it. Its name keeps it out of the test run, since time is measured, never asserted.
 */
class HairlinePace extends BenchFixture {

    private static final int FRAMES = 300;
    private static final int WARM_UP = 120;

    @Test
    void overOneShot() throws InterruptedException {
        openShot(5);
        interact(() -> bench.desk().noticeProperty().set(null));
        measure("one shot", share -> bench.read().cursorProperty().set(3 + 25 * share));
    }

    /** All shots of the demo study above each other, two fields, three strips, with the means of every group read. */
    @Test
    void overAnOverlay() throws InterruptedException {
        openShot(5);
        interact(() -> {
            bench.desk().noticeProperty().set(null);
            bench.picked().pickOnly(bench.desk().shots());
            bench.workspace().set(Workspace.COMPARE);
        });
        until("they are compared",
                () -> bench.compare().answeredProperty().get() != null && !bench.compare().busyProperty().get());
        measure("overlay", share -> bench.compare().cursorProperty().set(-5 + 25 * share));
    }

    private void measure(String what, DoubleConsumer move) throws InterruptedException {
        double[] gaps = new double[FRAMES];
        CountDownLatch done = new CountDownLatch(1);
        interact(() -> new AnimationTimer() {
            private long last;
            private int frame = -WARM_UP;

            @Override
            public void handle(long now) {
                if (frame >= 0 && frame < FRAMES) {
                    gaps[frame] = (now - last) / 1e6;
                }
                last = now;
                frame++;
                move.accept((double) (frame + WARM_UP) / (FRAMES + WARM_UP));
                if (frame == FRAMES) {
                    stop();
                    done.countDown();
                }
            }
        }.start());
        done.await();
        Arrays.sort(gaps);
        System.err.printf("%s: median %.1f ms, 95th percentile %.1f ms, longest %.1f ms%n", what, gaps[FRAMES / 2],
                gaps[FRAMES * 95 / 100], gaps[FRAMES - 1]);
    }
}
