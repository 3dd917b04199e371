package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.grenu.app.OpenLibrary;
import org.grenu.core.demo.DemoStudy;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A desk without any window: the test's thread stands in for the interface thread. */
public abstract class DeskFixture {

    @TempDir
    protected Path folder;
    protected final LinkedBlockingQueue<Runnable> onInterface = new LinkedBlockingQueue<>();
    protected StudyDesk desk;

    /** {@return how many shots of the demo study are in the library} */
    protected int shots() {
        return 3;
    }

    @BeforeEach
    void fill() {
        OpenLibrary library = OpenLibrary.open(folder.resolve("library.sqlite"));
        DemoStudy.shots()
                .stream()
                .limit(shots())
                .forEach(demo -> library.library()
                        .write(tx -> tx.shots().add(demo.name(), new byte[] {1}, demo.shot())));
        openDesk(library);
    }

    @AfterEach
    void closeDesk() {
        desk.close();
    }

    /** Closes the desk and opens its library anew, as the next start does. */
    protected void restart() {
        desk.close();
        onInterface.clear();
        openDesk(OpenLibrary.open(folder.resolve("library.sqlite")));
    }

    private void openDesk(OpenLibrary library) {
        desk = new StudyDesk(library, onInterface::add);
        desk.load(Stored.shots(library.library()));
        until(() -> shots() == 0 || desk.openProperty().get() != null);
    }

    protected void until(BooleanSupplier condition) {
        try {
            while (!condition.getAsBoolean()) {
                Runnable next = onInterface.poll(30, TimeUnit.SECONDS);
                assertThat(next).as("something more happens").isNotNull();
                next.run();
            }
        } catch (InterruptedException stopped) {
            throw new AssertionError(stopped);
        }
    }

    protected ShotSummary open() {
        return desk.openProperty().get().summary();
    }

    protected void open(int number) {
        desk.select(desk.shots().stream().filter(shot -> shot.number() == number).findFirst().orElseThrow().id());
        until(() -> open().number() == number);
    }
}
