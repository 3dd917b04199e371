package org.grenu.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.ConcurrentModificationException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import org.grenu.desktop.control.NextLayout;
import org.grenu.app.importing.DemoFiles;
import org.grenu.desktop.shell.Bench;
import org.grenu.desktop.shell.BenchView;
import org.grenu.desktop.shell.FileDialogs;
import org.grenu.desktop.shell.FilesWanted;
import org.grenu.desktop.shell.ThemeSheet;
import org.grenu.figures.theme.Theme;
import org.grenu.app.OpenLibrary;
import org.junit.jupiter.api.AfterEach;
import org.slf4j.LoggerFactory;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** The real window, headless, on a library of its own. File dialogs answer with what the test puts here. */
public abstract class BenchFixture extends ApplicationTest {

    private static final long A_MINUTE = 60_000;

    protected final List<Path> chosenFiles = new ArrayList<>();
    protected Path chosenTarget;
    protected Path folder;
    protected Bench bench;
    protected BenchView view;

    /** {@return whether the demo study is loaded before the test} */
    protected boolean withDemo() {
        return true;
    }

    @Override
    public void start(Stage stage) throws Exception {
        folder = Files.createTempDirectory("grenu-test");
        System.setProperty("user.home", folder.toString());
        ThemeSheet.loadFace();
        if (withDemo()) {
            DemoTemplate.copyTo(folder.resolve("library.sqlite"));
        }
        bench = Bench.on(OpenLibrary.open(folder.resolve("library.sqlite")), Platform::runLater);
        view = new BenchView(bench, new FileDialogs() {
            @Override
            public List<Path> filesToOpen(FilesWanted wanted) {
                return List.copyOf(chosenFiles);
            }

            @Override
            public Optional<Path> fileToSave(String suggestedName) {
                return Optional.ofNullable(chosenTarget);
            }
        });
        Scene scene = new Scene(view, 1280, 800);
        ThemeSheet.dress(scene, Theme.LIGHT);
        stage.setScene(scene);
        stage.show();
        bench.desk().load(Stored.shots(bench.desk().library()));
    }

    @AfterEach
    void closeBench() {
        if (bench != null) {
            bench.close();
        }
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        } catch (IOException | UncheckedIOException stillInUse) {
            LoggerFactory.getLogger(BenchFixture.class).debug("{} stays", folder, stillInUse);
        }
    }

    /** Waits until the demo study is there and its shot of that number is open. */
    protected void openShot(int number) {
        until("the demo study is there", () -> bench.desk().shots().size() == DemoFiles.all().size()
                && !bench.importing().runningProperty().get());
        interact(() -> bench.desk()
                .shots()
                .stream()
                .filter(s -> s.number() == number)
                .findFirst()
                .ifPresent(s -> bench.desk().select(s.id())));
        until("shot " + number + " is open", () -> bench.desk().openProperty().get() != null
                && bench.desk().openProperty().get().summary().number() == number);
        settle();
    }

    protected void until(String what, BooleanSupplier condition) {
        try {
            WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> holds(condition));
        } catch (TimeoutException late) {
            throw new AssertionError("Waited in vain until " + what + "; " + keysGoTo(), late);
        }
        settle();
    }

    private String keysGoTo() {
        if (view == null || view.getScene() == null) {
            return "no window";
        }
        return (view.getScene().getWindow().isFocused() ? "keys go to " : "the window has no focus; in it ")
                + view.getScene().getFocusOwner();
    }

    /** The test's thread may look at the window just while its own thread changes it: then it looks again. */
    private static boolean holds(BooleanSupplier condition) {
        try {
            return condition.getAsBoolean();
        } catch (IndexOutOfBoundsException | ConcurrentModificationException changing) {
            return false;
        }
    }

    @Override
    public FxRobot interact(Runnable work) {
        WaitForAsyncUtils.waitForAsyncFx(A_MINUTE, work);
        settle();
        return this;
    }

    /** Presses the keys together and lets them go. */
    @Override
    public FxRobot push(KeyCode... keys) {
        return interact(() -> {
            Robot robot = new Robot();
            for (KeyCode key : keys) {
                robot.keyPress(key);
            }
            for (int i = keys.length - 1; i >= 0; i--) {
                robot.keyRelease(keys[i]);
            }
        });
    }

    @Override
    public FxRobot write(String text, int pauseMillis) {
        text.chars()
                .forEach(typed -> robotContext().getBaseRobot()
                        .typeKeyboard(view.getScene(), KeyCode.UNDEFINED, Character.toString(typed)));
        settle();
        return this;
    }

    /** Waits until what was done is laid out, and what that has set off, too. */
    protected void settle() {
        for (int i = 0; i < 2; i++) {
            CountDownLatch laidOut = new CountDownLatch(1);
            Platform.runLater(() -> NextLayout.then(view.getScene(), laidOut::countDown));
            try {
                assertThat(laidOut.await(A_MINUTE, TimeUnit.MILLISECONDS)).as("the window is laid out").isTrue();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
            WaitForAsyncUtils.waitForAsyncFx(A_MINUTE, () -> {});
        }
    }

    /** Types into the field as a user does and ends with Enter. */
    protected void enter(String id, String text) {
        interact(() -> {
            TextInputControl field = field(id);
            field.requestFocus();
            field.selectAll();
        });
        if (text.isEmpty()) {
            push(KeyCode.DELETE);
        } else {
            write(text, 0);
        }
        push(KeyCode.ENTER);
        settle();
    }

    protected TextInputControl field(String id) {
        return lookup("#" + id).queryAs(TextInputControl.class);
    }

    protected String text(String id) {
        // What is shown for the first time is there once it has been styled.
        until(id + " is there", () -> lookup("#" + id).tryQuery().isPresent());
        Node node = lookup("#" + id).query();
        return node instanceof TextInputControl field ? field.getText() : ((Labeled) node).getText();
    }

    /** Makes the window as small as it may be. */
    protected void smallest() {
        interact(() -> {
            view.getScene().getWindow().setWidth(1100);
            view.getScene().getWindow().setHeight(700);
        });
    }

    /** {@return what the slips in sight say, spoken} */
    protected List<String> slips() {
        List<String> spoken = new ArrayList<>();
        interact(() -> lookup("#rack").query()
                .lookupAll(".list-cell")
                .stream()
                .filter(BenchFixture::inSight)
                .map(Node::getAccessibleText)
                .filter(words -> words != null && !words.isEmpty())
                .forEach(spoken::add));
        return spoken;
    }

    /** {@return whether neither the node nor anything it stands in is hidden} */
    protected static boolean inSight(Node node) {
        return node == null || node.isVisible() && inSight(node.getParent());
    }
}
