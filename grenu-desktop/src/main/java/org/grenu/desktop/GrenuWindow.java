package org.grenu.desktop;

import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.grenu.app.importing.DemoFiles;
import org.grenu.desktop.control.NextLayout;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.LibraryWatch;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.shell.Bench;
import org.grenu.desktop.shell.BenchView;
import org.grenu.desktop.shell.FileDialogs;
import org.grenu.desktop.shell.ThemeSheet;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;
import org.grenu.app.OpenLibrary;
import org.grenu.library.ShotSummary;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The application's window. The library is opened behind it, so that it shows at once. */
public final class GrenuWindow extends Application {

    private static final Logger LOG = LoggerFactory.getLogger(GrenuWindow.class);
    /** Shots that are shown before the others are read. */
    private static final int AT_ONCE = 200;
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static WindowRequest request;
    private static CompletableFuture<Opened> opening;

    private Bench bench;
    private LibraryWatch watch;

    /** The library with its newest shots, which are read while the window is built. */
    private record Opened(OpenLibrary library, CompletableFuture<List<ShotSummary>> shots) {

        static Opened open(WindowRequest request) {
            OpenLibrary library = OpenLibrary.open(request.library());
            return new Opened(library, CompletableFuture
                    .supplyAsync(() -> library.library().read(tx -> tx.shots().newest(AT_ONCE))));
        }
    }

    /**
     * Starts the toolkit on a thread of its own, while the command line is still being read and the library opened.
     * Without a display the process ends here.
     */
    public static void warmUp() {
        Thread warming = new Thread(() -> {
            try {
                Platform.startup(GrenuWindow::prepare);
            } catch (RuntimeException noDisplay) {
                LOG.error("No window can be opened: {}", noDisplay.getMessage());
                Runtime.getRuntime().halt(1);
            }
            Face.all().forEach(face -> face.at(12));
        }, "warm-up");
        warming.setDaemon(true);
        warming.start();
    }

    /** What is slow the first time and needs no library. */
    private static void prepare() {
        ThemeSheet.dressControls(Theme.LIGHT);
        ThemeSheet.loadFace();
        ThemeSheet.dress(new Scene(new StackPane(new Label("…"), new TextField(), new Button("…")), 10, 10),
                Theme.LIGHT);
    }

    /** {@return the exit code after the window is closed} */
    public static int open(WindowRequest wanted) {
        request = wanted;
        opening = CompletableFuture.supplyAsync(() -> Opened.open(wanted));
        Application.launch(GrenuWindow.class);
        return 0;
    }

    @Override
    public void start(Stage stage) {
        Scene scene = openingScene();
        show(stage, scene);
        opening.whenComplete((opened, failure) -> Platform.runLater(() -> {
            if (failure == null) {
                BenchView view = build(opened.library, stage, scene);
                opened.shots.whenComplete((shots, unread) -> Platform.runLater(() -> {
                    if (unread == null) {
                        show(view, shots, scene);
                        NextLayout.then(scene, () -> laidOut(shots.size()));
                    } else {
                        refuse(scene, cause(unread));
                    }
                }));
            } else {
                refuse(scene, cause(failure));
            }
        }));
    }

    private static Throwable cause(Throwable failure) {
        return failure.getCause() == null ? failure : failure.getCause();
    }

    /** The other shots wait until these can be seen. */
    private void laidOut(int shots) {
        if (LOG.isInfoEnabled()) {
            LOG.info("{} shots in the rack, laid out {} ms after the virtual machine began", shots,
                    System.currentTimeMillis() - ManagementFactory.getRuntimeMXBean().getStartTime());
        }
        if (shots == AT_ONCE) {
            bench.desk().arrival().begin();
        }
    }

    private Scene openingScene() {
        ThemeSheet.loadFace();
        Label opened = new Label("Opening " + request.library());
        opened.getStyleClass().add(Styles.MUTED);
        Scene scene = new Scene(new StackPane(opened), WIDTH, HEIGHT);
        ThemeSheet.dress(scene, Theme.LIGHT);
        return scene;
    }

    private static void show(Stage stage, Scene scene) {
        stage.setTitle("Grenu");
        stage.setMinWidth(1100);
        stage.setMinHeight(700);
        stage.setScene(scene);
        stage.show();
    }

    private BenchView build(OpenLibrary library, Stage stage, Scene scene) {
        bench = Bench.on(library, Platform::runLater);
        BenchView view = new BenchView(bench, FileDialogs.of(stage));
        bench.appearance().themeProperty().addListener((o, was, is) -> dress(scene));
        bench.desk().settingsProperty().addListener((o, was, is) -> {
            if (was.display().textSize() != is.display().textSize()) {
                dress(scene);
            }
        });
        return view;
    }

    private void show(BenchView view, List<ShotSummary> shots, Scene scene) {
        bench.desk().load(shots);
        scene.setRoot(view);
        watch = new LibraryWatch(bench.desk());
        if (bench.desk().readOnly()) {
            bench.desk()
                    .noticeProperty()
                    .set(Notice.failed(request.library()
                            + " can only be read where it lies: nothing that is entered will be stored. Copy it to a "
                            + "place that can be written to go on with it."));
            return;
        }
        if (request.demo() && shots.isEmpty()) {
            bench.importing().importSources(DemoFiles.all());
            bench.desk().onShelf().addAll(DemoFiles.shelf(), "The demo’s shelf");
        }
        if (!request.files().isEmpty()) {
            bench.importing().importPaths(request.files());
        }
    }

    private void dress(Scene scene) {
        ThemeSheet.dress(scene, bench.appearance().themeProperty().get(),
                bench.desk().settingsProperty().get().display().textSize());
    }

    /** The words can be copied; there is nothing else to do in this window. */
    private static void refuse(Scene scene, Throwable failure) {
        Label title = new Label("The library cannot be opened");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        TextArea words = new TextArea(failure.getMessage());
        words.setEditable(false);
        words.setWrapText(true);
        words.setMaxSize(560, 140);
        VBox box = new VBox(12, title, words);
        box.getStyleClass().add(Styles.EMPTY_STATE);
        scene.setRoot(box);
    }

    @Override
    public void stop() {
        if (watch != null) {
            watch.close();
        }
        if (bench != null) {
            bench.close();
        }
    }
}
