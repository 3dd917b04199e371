package org.grenu.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import javafx.scene.control.MenuItem;
import javafx.scene.control.MenuButton;
import java.util.stream.Stream;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.stage.PopupWindow;
import javafx.stage.Window;
import javax.imageio.ImageIO;
import org.grenu.app.Product;
import org.grenu.app.importing.ShotSource;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.compare.Answered;
import org.grenu.desktop.plan.PlanTab;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.shell.ThemeSheet;
import org.grenu.figures.compare.CompareSheet;
import org.grenu.figures.compare.ReportHead;
import org.grenu.figures.compare.ReportPages;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.theme.Theme;
import org.grenu.formats.rules.ShippedPacks;
import org.junit.jupiter.api.Test;

/**
 * Takes the pictures in docs/screenshots from the demo study; docs/refresh-screenshots runs it. Its name keeps it out
 * of
 * the test run.
 */
class DocumentationPictures extends BenchFixture {

    private static final Path TARGET = Path.of(System.getProperty("grenu.pictures", "target/pictures"));

    @Test
    void take() throws IOException {
        Files.createDirectories(TARGET);
        openShot(5);
        interact(() -> {
            bench.desk().noticeProperty().set(null);
            lookup("#rack").query().requestFocus();
            bench.read().cursorProperty().set(32.4);
        });
        picture("read.png");
        wear(Theme.DARK);
        picture("read-dark.png");
        wear(Theme.LIGHT);
        openShot(26);
        interact(() -> bench.read()
                .showAt(bench.desk()
                        .openProperty()
                        .get()
                        .findings()
                        .stream()
                        .filter(f -> f.rule().equals("channel"))
                        .findFirst()
                        .orElseThrow()
                        .atSeconds()
                        .orElseThrow()));
        ledgerAt("findings");
        picture("finding.png");
        ledgerAt("numbers");
        interact(() -> {
            lookup("#settings").queryButton().fire();
        });
        picture("schools.png");
        push(KeyCode.ESCAPE);
        Path station = Files.writeString(folder.resolve("station log.txt"), station());
        interact(() -> bench.mapping().open(ShotSource.of(station)));
        until("it is guessed", () -> lookup("#column-Waage-role").tryQuery().isPresent());
        picture("mapping.png");
        push(KeyCode.ESCAPE);
        openShot(5);
        Path broken = Files.writeString(folder.resolve("2026-05-14 shot 3.csv"),
                "time [s],pressure [bar]\n0,0.1\n0.1,o.4\n0.2,0.9\n");
        Path foreign = Files.writeString(folder.resolve("logger.tsv"), table());
        interact(() -> bench.importing().importPaths(List.of(broken, foreign)));
        until("the batch is done",
                () -> !bench.importing().runningProperty().get() && bench.importing().outcomes().size() == 2);
        interact(() -> lookup("#import-close").queryButton().fire());
        comparisons();
        shelfAndRecords();
        firstDay();
    }

    /** A stranger's notebook, looked at before it is entered. */
    private void firstDay() throws IOException {
        Path brought = Files.createDirectory(folder.resolve("brought"));
        for (String name : List.of("2024-05-13_lab_1.csv", "2024-05-13_lab_2.csv", "2024-05-14_lab_3.csv",
                "Messung_005.txt", "Messung_006.txt", "campaign.csv", "notebook.csv")) {
            try (InputStream in = DocumentationPictures.class.getResourceAsStream("importing/first_day/" + name)) {
                Files.copy(in, brought.resolve(name));
            }
        }
        Path notebook = brought.resolve("notebook.csv");
        chosenFiles.clear();
        chosenFiles.add(notebook);
        try (Stream<Path> files = Files.list(brought)) {
            List<Path> logs = files.filter(file -> !file.equals(notebook)).sorted().toList();
            int before = bench.desk().shots().size();
            interact(() -> bench.importing().importPaths(logs));
            until("they are in", () -> !bench.importing().runningProperty().get()
                    && bench.desk().shots().size() > before + 5);
        }
        interact(() -> {
            bench.workspace().set(Workspace.READ);
            lookup("#import-close").queryButton().fire();
            lookup("#library-menu").queryAs(MenuButton.class)
                    .getItems()
                    .stream()
                    .filter(item -> "library-join".equals(item.getId()))
                    .forEach(MenuItem::fire);
        });
        until("it is read", () -> lookup("#join-apply").tryQuery().isPresent());
        picture("join.png");
    }

    private void shelfAndRecords() throws IOException {
        interact(() -> bench.desk()
                .inBin()
                .put(bench.desk().shots().stream().filter(shot -> shot.record().pulledAt().isEmpty()).toList()));
        until("the strange shot is gone", () -> bench.desk().shots().size() == 49);
        interact(() -> {
            bench.desk().noticeProperty().set(null);
            bench.rack().filterProperty().set("");
            bench.appearance().colourByProperty().set(RecordFactor.GRIND);
            bench.workspace().set(Workspace.SHELF);
            bench.desk()
                    .choose(bench.desk()
                            .settingsProperty()
                            .get()
                            .with(bench.desk()
                                    .settingsProperty()
                                    .get()
                                    .schools()
                                    .with(ShippedPacks.all()
                                            .stream()
                                            .filter(pack -> pack.id().equals("rest_1_3w"))
                                            .findFirst()
                                            .orElseThrow(), true)));
        });
        thing(ShelfKind.BAG, "Heron 14 bag A");
        picture("shelf-coffee.png");
        thing(ShelfKind.MACHINE, "Rig 2");
        picture("shelf-machine.png");
        interact(() -> bench.workspace().set(Workspace.READ));
        openShot(18);
        interact(() -> {
            bench.desk()
                    .enter(RecordField.READINGS,
                            "9.71@0/24.3/24.0/filtered; 9.73@38/24.2/24.0/filtered; 9.70@75/24.2/24.1/filtered; "
                                    + "9.81@118/24.1/24.1/filtered");
            bench.desk()
                    .enter(RecordField.SAMPLES, "slice 12.4 g: 16.02; slice 14.1 g: 9.03; slice 12.8 g: 4.41");
            bench.series().show();
        });
        until("the series is drawn", () -> bench.desk().openProperty().get().summary().record().samples().size() == 3);
        picture("series.png");
        interact(() -> {
            bench.series().shownProperty().set(false);
            bench.rack().filterProperty().set("");
        });
        plan();
    }

    /** The room where the next shot is decided, in both themes. */
    private void plan() throws IOException {
        openShot(49);
        interact(() -> {
            bench.desk().noticeProperty().set(null);
            bench.workspace().set(Workspace.PLAN);
        });
        until("it is answered", () -> bench.plan().dialIn().answeredProperty().get() != null
                && lookup("#plan-next").tryQuery().isPresent());
        both("plan");
        interact(() -> {
            bench.plan().tab().set(PlanTab.PROFILES);
            bench.plan().profiles().choose("Gentle ramp");
        });
        until("it is predicted", () -> bench.plan().profiles().figureProperty().get() != null
                && text("profile-title").startsWith("Gentle ramp"));
        both("profiles");
        interact(() -> {
            bench.plan().tab().set(PlanTab.DIAL_IN);
            bench.plan().dialIn().choose("Lot Marten 22");
        });
        until("the coffee has no recipe", () -> lookup("#start-recipe").tryQuery().isPresent());
        interact(() -> lookup("#start-recipe").queryButton().fire());
        until("the proposals are there", () -> lookup("#start-dose-target-g").tryQuery().isPresent());
        both("start-recipe");
        interact(() -> {
            lookup("#start-close").queryButton().fire();
            bench.workspace().set(Workspace.READ);
        });
        push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.K);
        until("the calculator is open", () -> lookup("#cup-strength").tryQuery().isPresent());
        interact(() -> {
            lookup("#cup-strength").queryTextInputControl().setText("10.5");
            lookup("#cup-water").queryTextInputControl().setText("60");
        });
        both("calculator");
        push(KeyCode.ESCAPE);
    }

    private void both(String name) throws IOException {
        picture(name + ".png");
        wear(Theme.DARK);
        picture(name + "-dark.png");
        wear(Theme.LIGHT);
    }

    private void wear(Theme theme) {
        interact(() -> {
            ThemeSheet.dress(view.getScene(), theme);
            bench.appearance().themeProperty().set(theme);
        });
    }

    private void thing(ShelfKind kind, String name) {
        interact(() -> bench.shelf().choose(bench.desk().shelfProperty().get().find(kind, name).orElseThrow()));
        until(name + " is drawn",
                () -> bench.shelf().cards().stream().anyMatch(card -> card.toString().contains(name)));
    }

    private void comparisons() throws IOException {
        compare("blocks", 18);
        picture("compare.png");
        interact(() -> bench.appearance().colourByProperty().set(RecordFactor.GRIND));
        until("it is answered", () -> !bench.compare().busyProperty().get()
                && bench.compare()
                        .answeredProperty()
                        .get()
                        .comparison()
                        .question()
                        .variables()
                        .get(0)
                        .key()
                        .equals("grind"));
        Answered answered = bench.compare().answeredProperty().get();
        CompareSheet sheet = answered.sheet(bench.appearance().scale().get());
        Files.write(TARGET.resolve("report.png"),
                FigureExport.write(ReportPages.of(sheet,
                        new ReportHead("Operator 1", LocalDate.of(2026, 6, 1), Product.VERSION)).get(0), Theme.LIGHT,
                        FigureFormat.PNG));
    }

    private void compare(String filter, int shots) {
        interact(() -> {
            bench.rack().filterProperty().set(filter);
            bench.workspace().set(Workspace.COMPARE);
            bench.picked().pickOnly(bench.rack().shown());
            bench.desk().noticeProperty().set(null);
        });
        until("they are compared",
                () -> !bench.compare().busyProperty().get() && bench.compare().answeredProperty().get() != null
                        && bench.compare().answeredProperty().get().comparison().shots().size()
                                + bench.compare().answeredProperty().get().comparison().faulty().size() == shots);
    }

    private void ledgerAt(String part) {
        interact(() -> lookup("#to-" + part).queryButton().fire());
    }

    /** Two shots of a logger whose words nobody knows, with decimal commas and a scale that counts down. */
    private static String station() {
        StringBuilder rows = new StringBuilder("Export of station 2\n\nZeit;Druck psi;Waage;Kessel;Ventil\n");
        for (int i = 0; i < 640; i++) {
            double t = i % 320 / 10.0;
            double pressure = t < 2.4 ? 1.4 : t < 25 ? Math.min(130, 60 * (t - 2.4)) : 130 * Math.exp(2 * (25 - t));
            double mass = -Math.max(0, Math.min(t, 25.7) - 6.8) * (i < 320 ? 2.05 : 1.9);
            rows.append(String.format(Locale.GERMANY, "%d;%.1f;%.1f;%.1f;1%n",
                    (int) (1000 * t) + (i < 320 ? 0 : 150_000), pressure, mass, 93 - 2 * Math.exp(-t / 3)));
        }
        return rows.toString();
    }

    private static String table() {
        StringBuilder rows = new StringBuilder("time ms\tpressure\tweight\n");
        for (int i = 0; i < 320; i++) {
            rows.append(i * 100)
                    .append('\t')
                    .append(i < 20 ? 6 * i : i < 270 ? 130 - i / 10 : Math.max(0, 103 - 9 * (i - 270)))
                    .append('\t')
                    .append(i < 70 ? 0 : Math.min(38.4, (i - 70) * 0.19))
                    .append('\n');
        }
        return rows.toString();
    }

    /** Menus and offers are windows of their own, which a picture of the scene leaves out. */
    private void over(BufferedImage image, Window popup) {
        WritableImage[] shot = new WritableImage[1];
        interact(() -> shot[0] = popup.getScene().snapshot(null));
        Window main = view.getScene().getWindow();
        int left = (int) Math.round(popup.getX() + popup.getScene().getX() - main.getX() - view.getScene().getX());
        int top = (int) Math.round(popup.getY() + popup.getScene().getY() - main.getY() - view.getScene().getY());
        for (int y = 0; y < shot[0].getHeight(); y++) {
            for (int x = 0; x < shot[0].getWidth(); x++) {
                if (left + x >= 0 && left + x < image.getWidth() && top + y >= 0 && top + y < image.getHeight()) {
                    image.setRGB(left + x, top + y, shot[0].getPixelReader().getArgb(x, y));
                }
            }
        }
    }

    private void picture(String name) throws IOException {
        sleep(900);
        WritableImage[] shot = new WritableImage[1];
        interact(() -> shot[0] = view.getScene().snapshot(null));
        BufferedImage image = new BufferedImage((int) shot[0].getWidth(), (int) shot[0].getHeight(),
                BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                image.setRGB(x, y, shot[0].getPixelReader().getArgb(x, y));
            }
        }
        Window.getWindows()
                .stream()
                .filter(window -> window instanceof PopupWindow && window.isShowing())
                .forEach(popup -> over(image, popup));
        assertThat(ImageIO.write(image, "png", TARGET.resolve(name).toFile())).isTrue();
    }
}
