package org.grenu.figures.theme;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/** The weights of IBM Plex Sans (OFL-1.1) that ship with the program; its digits are tabular. */
public enum Face {
    REGULAR("Regular", "IBM Plex Sans"),
    ITALIC("Italic", "IBM Plex Sans"),
    TEXT("Text", "IBM Plex Sans Text"),
    MEDIUM("Medium", "IBM Plex Sans Medm"),
    SEMIBOLD("SemiBold", "IBM Plex Sans SmBld");

    private final String file;
    private final String family;
    /** Read when it is first drawn with. */
    private Font font;

    Face(String file, String family) {
        this.file = "/org/grenu/figures/fonts/IBMPlexSans-" + file + ".ttf";
        this.family = family;
    }

    private synchronized Font font() {
        if (font == null) {
            font = read();
        }
        return font;
    }

    private Font read() {
        try (InputStream in = open()) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        } catch (FontFormatException damaged) {
            throw new IllegalStateException(damaged);
        }
    }

    /** {@return this weight at that size, px} */
    public Font at(double size) {
        return font().deriveFont((float) size);
    }

    /** {@return the family name by which a style record calls this weight} */
    public String family() {
        return family;
    }

    /** {@return the font file; the caller closes it} */
    public InputStream open() {
        return Face.class.getResourceAsStream(file);
    }

    /** {@return all weights} */
    public static List<Face> all() {
        return List.of(values());
    }
}
