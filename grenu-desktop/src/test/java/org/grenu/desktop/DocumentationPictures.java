package org.grenu.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.grenu.figures.theme.Theme;
import org.grenu.desktop.shell.ThemeSheet;
import org.junit.jupiter.api.Test;

/**
 * Takes the pictures in docs/screenshots from the demo study; docs/screenshots/refresh runs it. Its name keeps it out of
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
            bench.read().cursorProperty().set(22.3);
        });
        picture("read.png");
        interact(() -> {
            ThemeSheet.dress(view.getScene(), Theme.DARK);
            bench.appearance().themeProperty().set(Theme.DARK);
        });
        picture("read-dark.png");
        interact(() -> {
            ThemeSheet.dress(view.getScene(), Theme.LIGHT);
            bench.appearance().themeProperty().set(Theme.LIGHT);
        });
        enter("dose_g", "abc");
        picture("edit-refused.png");
        push(KeyCode.ESCAPE);
        Path broken = Files.writeString(folder.resolve("2026-05-14 shot 3.csv"), "time [s],pressure [bar]\n0,0.1\n0.1,o.4\n0.2,0.9\n");
        Path foreign = Files.writeString(folder.resolve("logger.tsv"), table());
        interact(() -> bench.importing().importPaths(List.of(broken, foreign)));
        until("the batch is done", () -> !bench.importing().runningProperty().get() && bench.importing().outcomes().size() == 2);
        openNewest();
        picture("import.png");
    }

    private void openNewest() {
        long id = bench.desk().shots().get(bench.desk().shots().size() - 1).id();
        interact(() -> bench.desk().select(id));
        until("it is open", () -> bench.desk().openProperty().get().summary().id() == id);
    }

    private static String table() {
        StringBuilder rows = new StringBuilder("time ms\tpressure\tweight\n");
        for (int i = 0; i < 320; i++) {
            rows.append(i * 100).append('\t').append(i < 20 ? 6 * i : i < 270 ? 130 - i / 10 : Math.max(0, 103 - 9 * (i - 270))).append('\t')
                    .append(i < 70 ? 0 : Math.min(38.4, (i - 70) * 0.19)).append('\n');
        }
        return rows.toString();
    }

    private void picture(String name) throws IOException {
        sleep(900);
        WritableImage[] shot = new WritableImage[1];
        interact(() -> shot[0] = view.getScene().snapshot(null));
        BufferedImage image = new BufferedImage((int) shot[0].getWidth(), (int) shot[0].getHeight(), BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                image.setRGB(x, y, shot[0].getPixelReader().getArgb(x, y));
            }
        }
        assertThat(ImageIO.write(image, "png", TARGET.resolve(name).toFile())).isTrue();
    }
}
