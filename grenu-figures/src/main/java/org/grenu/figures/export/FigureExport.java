package org.grenu.figures.export;

import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2D;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2DFontTextDrawer;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.grenu.figures.paint.PathPen;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;
import org.jfree.svg.SVGGraphics2D;
import org.jfree.svg.SVGHints;

/** Turns a record into the bytes of a file. */
public final class FigureExport {

    private static final int PNG_SCALE = 2;

    private FigureExport() {
    }

    /** {@return the file's bytes} */
    public static byte[] write(Sheet record, Theme theme, FigureFormat format) throws IOException {
        return switch (format) {
            case PNG -> png(record, theme);
            case SVG -> svg(record, theme);
            case PDF -> pdf(record, theme);
        };
    }

    private static byte[] png(Sheet record, Theme theme) throws IOException {
        BufferedImage image = new BufferedImage((int) Math.ceil(record.width() * PNG_SCALE),
                (int) Math.ceil(record.height() * PNG_SCALE), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.scale(PNG_SCALE, PNG_SCALE);
        record.paint(g, theme, new PathPen());
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    /** Words become outlines, so that the figure looks the same where the face is not installed. */
    private static byte[] svg(Sheet record, Theme theme) {
        SVGGraphics2D g = new SVGGraphics2D(record.width(), record.height());
        g.setDefsKeyPrefix("grenu");
        g.setRenderingHint(SVGHints.KEY_DRAW_STRING_TYPE, SVGHints.VALUE_DRAW_STRING_TYPE_VECTOR);
        record.paint(g, theme, new PathPen());
        return g.getSVGDocument().getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] pdf(Sheet record, Theme theme) throws IOException {
        return pdf(List.of(record), record.title(), theme);
    }

    /** {@return a PDF file with a page a record} */
    public static byte[] pdf(List<? extends Sheet> sheets, String title, Theme theme) throws IOException {
        PdfBoxGraphics2DFontTextDrawer fonts = new PdfBoxGraphics2DFontTextDrawer();
        try (PDDocument document = new PDDocument(); fonts) {
            register(fonts);
            for (Sheet record : sheets) {
                page(document, record, theme, fonts);
            }
            document.getDocumentInformation().setTitle(title);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private static void register(PdfBoxGraphics2DFontTextDrawer fonts) throws IOException {
        for (Face face : Face.all()) {
            try (InputStream in = face.open()) {
                fonts.registerFont(face.at(1).getFontName(), in);
            }
        }
    }

    private static void page(PDDocument document, Sheet record, Theme theme, PdfBoxGraphics2DFontTextDrawer fonts)
            throws IOException {
        PDPage page = new PDPage(new PDRectangle((float) record.width(), (float) record.height()));
        document.addPage(page);
        PdfBoxGraphics2D g = new PdfBoxGraphics2D(document, (float) record.width(), (float) record.height());
        g.setFontTextDrawer(fonts);
        record.paint(g, theme, new PathPen());
        g.dispose();
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.drawForm(g.getXFormObject());
        }
    }
}
