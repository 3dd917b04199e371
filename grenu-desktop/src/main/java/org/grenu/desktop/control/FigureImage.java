package org.grenu.desktop.control;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.IntBuffer;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.grenu.figures.paint.ColumnPen;
import org.grenu.figures.paint.CurvePen;

/**
 * A figure on screen, painted off the interface thread into pixels that the toolkit shows as they are. When painting
 * is
 * slower than asking, only the latest wish is painted.
 */
public final class FigureImage extends ImageView {

    private static final ExecutorService PAINTERS = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "grenu-painter");
        thread.setDaemon(true);
        return thread;
    });

    private final AtomicReference<Wish> wish = new AtomicReference<>();

    /** Paints a figure into that size. */
    @FunctionalInterface
    public interface Painting {
        /** Paints with that graphics, in logical pixels, drawing curves with that pen. */
        void paint(Graphics2D g, CurvePen pen, double width, double height);
    }

    private record Wish(Painting painting, double width, double height, double scale) {
    }

    /** An empty figure. */
    public FigureImage() {
        setManaged(false);
        setPreserveRatio(false);
    }

    /** Asks for the figure to be painted in that size. */
    public void paint(Painting painting, double width, double height) {
        if (width < 2 || height < 2) {
            return;
        }
        double scale = getScene() == null || getScene().getWindow() == null ? 1
                : getScene().getWindow().getRenderScaleX() * getLocalToSceneTransform().getMxx();
        if (wish.getAndSet(new Wish(painting, width, height, Math.max(1, scale))) == null) {
            PAINTERS.execute(this::work);
        }
    }

    /** Shows nothing. */
    public void clear() {
        wish.set(null);
        setImage(null);
    }

    private void work() {
        Wish latest = wish.getAndSet(null);
        if (latest == null) {
            return;
        }
        BufferedImage image = new BufferedImage((int) Math.ceil(latest.width * latest.scale),
                (int) Math.ceil(latest.height * latest.scale),
                BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        g.scale(latest.scale, latest.scale);
        latest.painting.paint(g, new ColumnPen(image, latest.scale), latest.width, latest.height);
        g.dispose();
        Platform.runLater(() -> show(image, latest));
    }

    private void show(BufferedImage painted, Wish latest) {
        int[] pixels = ((DataBufferInt) painted.getRaster().getDataBuffer()).getData();
        PixelBuffer<
                IntBuffer> buffer = new PixelBuffer<>(painted.getWidth(), painted.getHeight(), IntBuffer.wrap(pixels),
                        PixelFormat.getIntArgbPreInstance());
        setImage(new WritableImage(buffer));
        setFitWidth(painted.getWidth() / latest.scale);
        setFitHeight(painted.getHeight() / latest.scale);
    }
}
