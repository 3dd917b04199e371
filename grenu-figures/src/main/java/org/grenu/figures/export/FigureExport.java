package org.grenu.figures.export;

import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2D;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2DFontTextDrawer;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
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

/** Turns a sheet into the bytes of a file. */
public final class FigureExport {

    private static final int PNG_SCALE = 2;

    private FigureExport() {
    }

    /** {@return the file's bytes} */
    public static byte[] write(ReadSheet sheet, Theme theme, FigureFormat format) throws IOException {
        return switch (format) {
            case PNG -> png(sheet, theme);
            case SVG -> svg(sheet, theme);
            case PDF -> pdf(sheet, theme);
        };
    }

    private static byte[] png(ReadSheet sheet, Theme theme) throws IOException {
        BufferedImage image = new BufferedImage((int) ReadSheet.WIDTH * PNG_SCALE, (int) ReadSheet.HEIGHT * PNG_SCALE, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.scale(PNG_SCALE, PNG_SCALE);
        sheet.paint(g, theme, new PathPen());
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    /** Words become outlines, so that the figure looks the same where the face is not installed. */
    private static byte[] svg(ReadSheet sheet, Theme theme) {
        SVGGraphics2D g = new SVGGraphics2D(ReadSheet.WIDTH, ReadSheet.HEIGHT);
        g.setDefsKeyPrefix("grenu");
        g.setRenderingHint(SVGHints.KEY_DRAW_STRING_TYPE, SVGHints.VALUE_DRAW_STRING_TYPE_VECTOR);
        sheet.paint(g, theme, new PathPen());
        return g.getSVGDocument().getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] pdf(ReadSheet sheet, Theme theme) throws IOException {
        PdfBoxGraphics2DFontTextDrawer fonts = new PdfBoxGraphics2DFontTextDrawer();
        try (PDDocument document = new PDDocument(); fonts) {
            for (Face face : Face.all()) {
                try (InputStream in = face.open()) {
                    fonts.registerFont(face.at(1).getFontName(), in);
                }
            }
            PDPage page = new PDPage(new PDRectangle((float) ReadSheet.WIDTH, (float) ReadSheet.HEIGHT));
            document.addPage(page);
            PdfBoxGraphics2D g = new PdfBoxGraphics2D(document, (float) ReadSheet.WIDTH, (float) ReadSheet.HEIGHT);
            g.setFontTextDrawer(fonts);
            sheet.paint(g, theme, new PathPen());
            g.dispose();
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.drawForm(g.getXFormObject());
            }
            document.getDocumentInformation().setTitle(sheet.title());
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }
}
